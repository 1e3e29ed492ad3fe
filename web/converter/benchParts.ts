import type { Converter, Engine, StatorFault } from '../../core/converter';
import type { Vehicle } from '../../core/vehicle';
import type { ConverterBenchState } from './converterSlice';

/** What the parts of the bench that drive away share. */
export interface DrivingProps {
  readonly converter: Converter;
  readonly engine: Engine;
  readonly vehicle: Vehicle | null;
  readonly bench: ConverterBenchState;
  readonly fault: StatorFault | null;
  readonly onBench: (change: Partial<ConverterBenchState>) => void;
}
