import { useMemo, useState } from 'react';
import type { Range, Unit } from '../../core/geartrain';
import {
  circuitOf,
  commandedRange,
  gearByMap,
  gearsOf,
  gearStood,
  partsOf,
  shiftMap,
  withPlanFaults,
  type Gears,
  type HydraulicPlan,
  type OilRunning,
  type OilState,
  type PlanFault,
  type Spools,
} from '../../core/hydraulics';

export interface Oil {
  readonly gears: Gears;
  readonly running: OilRunning;
  readonly state: OilState;
  /** The gear in which the valves stand, or that the control unit commands; 1 for the first. */
  readonly gear: number;
  /** What is on according to the chart in that place and gear. */
  readonly range: Range | null;
}

interface Setting {
  readonly lever: string;
  readonly throttle: number;
  readonly outputRpm: number;
  readonly celsius: number;
  readonly idleRpm: number;
}

const NONE: Spools = new Map();
const WARM = { celsius: 80 };

/** Pressures and spools of a plan as it is run now; spools and gear remember where they stood. */
export function useOil(
  unit: Unit,
  plan: HydraulicPlan,
  fault: PlanFault | null,
  { lever, throttle, outputRpm, celsius, idleRpm }: Setting,
): Oil {
  const gears = useMemo(() => gearsOf(unit), [unit]);
  const circuit = useMemo(() => {
    const worn = withPlanFaults(plan, fault ? [fault] : []);
    return circuitOf(worn.plan, worn.condition);
  }, [plan, fault]);
  const [stood, setStood] = useState<{ spools: Spools; gear: number }>({ spools: NONE, gear: 1 });
  const control = partsOf(plan, 'control').length > 0;
  const lines = useMemo(
    () => (control ? shiftMap(circuit, { lever, ...WARM, idleRpm }) : []),
    [control, circuit, lever, idleRpm],
  );
  const now = useMemo(() => {
    const forward = gears.forward.length;
    let { gear } = stood;
    // A control unit changes one gear after the other until its map is content.
    for (let k = 0; control && k < forward; k++)
      gear = Math.max(1, Math.min(forward, gearByMap(lines, gear, throttle, outputRpm)));
    if (!control) gear = gearStood(plan, stood.spools);
    const range = gears.rangeAt(lever, gear);
    const commanded = commandedRange(gears, lever, gear, circuit.condition);
    const ratio = gears.forward[gear - 1]?.ratio ?? 1;
    const running = {
      lever,
      throttle,
      outputRpm,
      engineRpm: Math.max(idleRpm, outputRpm * ratio),
      celsius,
    };
    return { gear, range, running, state: circuit.at(running, stood.spools, commanded?.id) };
  }, [gears, circuit, control, lines, plan, stood, lever, throttle, outputRpm, celsius, idleRpm]);
  const moved = [...now.state.spools].some(([id, at]) => stood.spools.get(id) !== at);
  // Where they stand now is what the next change starts from.
  if (moved || (control && now.gear !== stood.gear))
    setStood({ spools: now.state.spools, gear: now.gear });
  return { gears, ...now };
}
