import { expose } from 'comlink';
import {
  circuitOf,
  shiftInTime,
  shiftMap,
  withPlanFaults,
  type HydraulicPlan,
  type PlanFault,
} from '../../core/hydraulics';
import type { OilWorker } from './protocol';

const circuit = (plan: HydraulicPlan, faults: readonly PlanFault[]) => {
  const worn = withPlanFaults(plan, faults);
  return circuitOf(worn.plan, worn.condition);
};

const worker: OilWorker = {
  map: ({ plan, faults, setting }) => shiftMap(circuit(plan, faults), setting),
  shift: ({ plan, faults, ...setup }) => shiftInTime({ ...setup, circuit: circuit(plan, faults) }),
};
expose(worker);
