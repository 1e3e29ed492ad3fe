import { expose } from 'comlink';
import {
  circuitOf,
  complaintOf,
  gearsOf,
  oilMap,
  planFor,
  setAs,
  shiftInTime,
  withPlanFaults,
  type HydraulicPlan,
  type PlanFault,
  type ShiftSchool,
} from '../../core/hydraulics';
import type { OilWorker } from './protocol';

const circuit = (plan: HydraulicPlan, faults: readonly PlanFault[] = []) => {
  const worn = withPlanFaults(plan, faults);
  return circuitOf(worn.plan, worn.condition);
};

const worker: OilWorker = {
  plan: ({ unit, wishes }) => planFor(unit, wishes),
  map: ({ plan, faults, setting, unit }) =>
    oilMap(
      circuit(plan, faults),
      setting,
      unit ? gearsOf(unit).forward.map((f) => f.range.id) : [],
    ),
  shift: ({ plan, faults, ...setup }) => shiftInTime({ ...setup, circuit: circuit(plan, faults) }),
  schools({ plan, wishes, ...setup }) {
    const { unit, from } = setup;
    const asked = { unit, gears: gearsOf(unit), gear: from.gear, wishes };
    const run = (school: ShiftSchool) =>
      shiftInTime({ ...setup, circuit: circuit(setAs(plan, school, asked)) });
    return { soft: run('soft'), firm: run('firm') };
  },
  complaint: ({ made, plan, faults, ...asked }) =>
    complaintOf(circuit(made), circuit(plan, faults), { ...asked, gears: gearsOf(asked.unit) }),
};
expose(worker);
