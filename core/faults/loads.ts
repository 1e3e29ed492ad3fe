import { releaseCurve, torqueAt, type Clutch } from '../clutch';
import {
  characteristicOf,
  engineModel,
  matchEngine,
  stallRpm,
  weakened,
  type Engine,
} from '../converter';
import {
  linePressure,
  oilModelOf,
  pistonShare,
  untimedPlan,
  type OilModel,
  type PlanWishes,
} from '../hydraulics';
import { torqueAsked, mostTorque } from '../shift';
import type { Machine } from './machine';
import { oilElements, type Rig } from './rig';

/**
 * What is asked of every element over the load, and what it can hold there (derived here). An element is built for the
 * most that any range asks of it at full pressure, with a margin:
 *
 *   asked = |λ|·x·T_full        holds = C·(lining)·(p(x)·piston − p_0)/(p_full − p_0)        slips where asked > holds
 *
 * with the load x from 0 to 1 of full torque, and T_full multiplied by the converter where a vehicle starts.
 */
const MARGIN = 1.4;
/** Engine speeds of a rig without an engine, rev/min. */
const IDLE_RPM = 700;
const STALL_RPM = 2000;
/** Full torque of an engine where the rig has none, N·m. */
const ASSUMED_NM = 200;
const LOAD_STEPS = 20;
const COLD_C = 20;
/** What slips at this load or below never takes hold. */
export const AT_ONCE = 0.15;

export interface Loads {
  /** Engine speed at this load with the vehicle held, rev/min. */
  readonly rpmAt: (load: number) => number;
  /** Of the plan that the rig's unit is fed by; `null` without a unit. */
  readonly oil: OilModel | null;
  /** What that plan is made for. */
  readonly wishes: PlanWishes;
  readonly pressure: (
    machine: Machine,
    apply: readonly string[],
    reverse: boolean,
    load: number,
  ) => number;
  /** Times the engine's full torque at the unit's input, at most. */
  readonly multiplied: (starts: boolean) => number;
  /** N·m of the engine at full throttle; 1 for a rig without one. */
  readonly fullNm: number;
  /** The same in N·m whatever the rig: of a usual engine where it has none. */
  readonly engineNm: number;
  /** N·m that an oil element was made to hold at full pressure. @param worst largest |λ| × multiplication */
  readonly madeFor: (worst: number) => number;
  /** Share of what it was made for that an element holds now. */
  readonly holdsShare: (machine: Machine, element: string, pressure: number) => number;
  /** Least load from which an element slips, 0 to 1; `null` when it holds. */
  readonly slipsFrom: (
    machine: Machine,
    range: RangeLoad,
    element: string,
    factor: number,
    worst: number,
  ) => number | null;
  /** N that press a dry clutch with the pedal up, a bearing that rides on it taken off. */
  readonly clampNow: (clutch: Clutch, machine: Machine) => number;
  /** The same for a dry clutch with so many engine turns for one of the wheels. */
  readonly drySlipsFrom: (clutch: Clutch, machine: Machine, turns: number) => number | null;
}

export interface RangeLoad {
  readonly apply: readonly string[];
  readonly reverse: boolean;
  /** A vehicle starts in it: the converter multiplies. */
  readonly starts: boolean;
}

export function loadsOf(rig: Rig): Loads {
  const engine = rig.engine ? engineModel(rig.engine) : null;
  const characteristic = rig.converter ? characteristicOf(rig.converter) : null;
  const stall = engine && characteristic ? stallRpm(engine, characteristic) : STALL_RPM;
  const idle = engine?.idleRpm ?? IDLE_RPM;
  const fullNm = engine ? mostTorque(engine, 1) : 1;
  const atStall = engine && characteristic ? matchEngine(engine, characteristic, 1, 0) : null;
  const stallTimes = atStall ? Math.max(1, atStall.turbineNm / fullNm) : 1;
  const oiled = new Set(oilElements(rig));
  // By the share of its torque that the engine still gives: inertia, and the most at each load.
  const engines = new Map<number, { inertia: number; mostNm: number[] }>();
  const engineAt = (engine: Engine, share: number) => {
    let known = engines.get(share);
    if (!known) {
      const model = engineModel(weakened(engine, share));
      const mostNm = Array.from({ length: LOAD_STEPS + 1 }, (_v, k) =>
        mostTorque(model, k / LOAD_STEPS),
      );
      known = { inertia: model.inertia, mostNm };
      engines.set(share, known);
    }
    return known;
  };
  const rpmAt = (load: number) => idle + (stall - idle) * load;
  const wishes: PlanWishes = {
    inputNm: engine ? fullNm : ASSUMED_NM,
    startTimes: stallTimes,
    idleRpm: idle,
    ...(engine ? { governedRpm: engine.governedRpm } : {}),
  };
  // Made when something first asks for a pressure: a table of outcomes asks for none.
  let made: OilModel | null | undefined;
  const oilNow = (): OilModel | null =>
    (made ??= rig.unit ? oilModelOf(untimedPlan(rig.unit, wishes)) : null);
  const pressure: Loads['pressure'] = (machine, apply, reverse, load) => {
    const oil = oilNow();
    if (oil === null) return 0;
    const leaking = apply.filter((id) => oiled.has(id));
    return linePressure(
      oil,
      machine.oil,
      { load, pumpRpm: rpmAt(load), reverse },
      leaking.map((id) => [id, machine.leaks.get(id) ?? 0]),
    );
  };
  const holdsShare: Loads['holdsShare'] = (machine, element, line) => {
    const oil = oilNow();
    const seen = line * pistonShare(machine.leaks.get(element) ?? 0);
    const none = oil?.elements.get(element)?.touch ?? 0;
    const pressed = Math.max(0, (seen - none) / ((oil?.fullPressure ?? 1) - none));
    return (machine.lining.get(element) ?? 1) * pressed;
  };
  const multiplied = (starts: boolean) => (starts ? stallTimes : 1);
  const clampNow: Loads['clampNow'] = (clutch, { clutch: state }) =>
    releaseCurve(clutch, state).clamp;
  return {
    clampNow,
    rpmAt,
    get oil() {
      return oilNow();
    },
    wishes,
    pressure,
    multiplied,
    fullNm,
    engineNm: engine ? fullNm : ASSUMED_NM,
    madeFor: (worst) => MARGIN * worst * fullNm,
    holdsShare,
    slipsFrom(machine, range, element, factor, worst) {
      for (let k = 1; k <= LOAD_STEPS; k++) {
        const load = k / LOAD_STEPS;
        const line = pressure(machine, range.apply, range.reverse, load);
        const asked = factor * load * multiplied(range.starts);
        if (asked > MARGIN * worst * holdsShare(machine, element, line)) return load;
      }
      return null;
    },
    drySlipsFrom(clutch, machine, turns) {
      if (!rig.engine || !rig.vehicle) return null;
      const holds = torqueAt(clutch, machine.clutch, clampNow(clutch, machine), 0, COLD_C);
      const { inertia, mostNm } = engineAt(rig.engine, machine.engineShare);
      for (let k = 1; k <= LOAD_STEPS; k++) {
        const asked = torqueAsked(mostNm[k]!, inertia, rig.vehicle, turns, 0);
        if (asked > holds) return k / LOAD_STEPS;
      }
      return null;
    },
  };
}
