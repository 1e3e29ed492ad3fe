import type { Engine } from '../../core/converter';
import type { Unit } from '../../core/geartrain';
import type { HydraulicPlan } from '../../core/hydraulics';
import type { Vehicle } from '../../core/vehicle';
import type { ShiftBenchState } from './shiftSlice';
import type { Oil } from './useOil';

/** What stands on the Shift bench, for each of its parts. */
export interface ShiftBenchProps {
  unit: Unit;
  engine: Engine | undefined;
  vehicle: Vehicle | undefined;
  bench: ShiftBenchState;
  /** As it is now, and as it was made or kept. */
  plan: HydraulicPlan;
  base: HydraulicPlan;
  fault: ShiftBenchState['fault'];
  oil: Oil;
  onBench: (change: Partial<ShiftBenchState>) => void;
}
