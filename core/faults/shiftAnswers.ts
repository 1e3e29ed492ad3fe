import { engineModel } from '../converter';
import { solveUnit, type Range, type Unit } from '../geartrain';
import {
  circuitOf,
  fill,
  fillTime,
  gearsOf,
  holdsTrace,
  planFor,
  TIMED_AT,
  TIMED_RPM,
  WARM_C,
  wornPlan,
  type OilState,
} from '../hydraulics';
import { toNumber } from '../numerics';
import { handOver, shiftQuality, type HandOver, type HandOverResult, type Trace } from '../shift';
import type { Answer } from './answer';
import type { UnitBench } from './bench';
import { SOUND_MACHINE, type Machine } from './machine';
import { oilElements } from './rig';

/**
 * How a shift of the machine goes, stepped through time. The plan of its oil fills and empties every element as its feeds,
 * accumulators and pressures let it; a fault changes those, and with them the shift. Two clutches of a dual-clutch gearbox are
 * filled beforehand and cross by themselves.
 */
const SECONDS = 1.6;
/** s; with a quarter of it every verdict is the same. */
const STEP = 2e-3;
/** Two clutches filled beforehand hand torque across in about 30 ms (common practice, no source). */
const DUAL_HAND_OVER = 0.03;
const DUAL_AT = 0.1;
/** s over which they go on to what the shift needs, and to full pressure; over what it asks. */
const DUAL_RISES = 0.4;
const DUAL_TO_FULL = 0.15;
const DUAL_ACCUMULATED = 1.5;

/** What `handOver` is given for this machine; `null` where the first range does not drive, or the next one binds. */
function shiftSetup(bench: UnitBench, machine: Machine, pair: string): HandOver | null {
  const { rig, driving } = bench;
  const [from, to] = pair.split('>').map((id) => driving.unit.ranges.find((r) => r.id === id)!);
  if (!from || !to || !rig.vehicle) return null;
  // Neutral does as it should, and yet nothing can be shifted out of it over time.
  if (!solveUnit(driving.unit, from.apply).ratio) return null;
  if (driving.cell(machine, from.id).drive !== 'right') return null;
  if (driving.cell(machine, to.id).drive === 'binds') return null;
  const never = [...machine.never, ...bare(machine)];
  const dogs = new Set(driving.unit.elements.filter((e) => e.kind === 'dog').map((e) => e.id));
  const dual = to.apply.some((id) => dogs.has(id));
  const filled = dual ? null : filledBy(bench, machine, from, to);
  const holds = new Map<string, Trace>();
  for (const id of oilElements(rig)) {
    const [was, will] = [from.apply.includes(id), to.apply.includes(id)];
    if (!was && !will) continue;
    if (will && !was && never.includes(id)) continue;
    if (was && !will && machine.always.includes(id)) holds.set(id, [{ time: 0, value: Infinity }]);
    else if (filled) holds.set(id, fromOil(filled, machine, id));
    else holds.set(id, crossing(bench, machine, id, from, to));
  }
  const on = (apply: readonly string[]) => apply.filter((id) => !never.includes(id));
  return {
    unit: driving.unit,
    from: on(from.apply),
    to: on(dual ? crossed(driving.unit, from, to, dogs) : to.apply),
    inputNm: TIMED_AT * driving.loads.engineNm,
    inputInertia: rig.engine ? engineModel(rig.engine).inertia : ASSUMED_INERTIA,
    vehicle: rig.vehicle,
    inputRpm: TIMED_RPM,
    holds,
    seconds: SECONDS,
    step: STEP,
  };
}

/** Pressures and what they hold while the valves move, on the plan that the rig's unit is fed by. */
function filledBy(
  bench: UnitBench,
  machine: Machine,
  from: Range,
  to: Range,
): ReadonlyMap<string, Trace> {
  const { rig, driving } = bench;
  const plan = bench.keep('oil plan', () => planFor(driving.unit, driving.loads.wishes));
  const gears = bench.keep('oil gears', () => gearsOf(driving.unit));
  const stuck = machine.stuckAccumulators;
  const key = JSON.stringify([from.id, to.id, machine.oil, [...machine.leaks], stuck]);
  return bench.keep(`filled ${key}`, () => {
    const worn = wornPlan(plan, machine.oil, machine.leaks, stuck);
    const circuit = circuitOf(worn.plan, worn.condition);
    const running = {
      lever: from.lever,
      throttle: TIMED_AT,
      outputRpm: 0,
      engineRpm: TIMED_RPM,
      celsius: WARM_C,
    };
    const [before, after] = [from, to].map((range) =>
      circuit.inGear({ ...running, lever: range.lever }, gears.gearOf(range), range.id),
    ) as [OilState, OilState];
    const filled = fill({
      circuit,
      running,
      before,
      after,
      elements: oilElements(rig).filter((id) => from.apply.includes(id) || to.apply.includes(id)),
      seconds: SECONDS,
    });
    return new Map([...filled.elements].map(([id, e]) => [id, holdsTrace(e)]));
  });
}

/** What an element holds, with what is left of its lining. */
function fromOil(filled: ReadonlyMap<string, Trace>, machine: Machine, id: string): Trace {
  const left = machine.lining.get(id) ?? 1;
  const held = filled.get(id) ?? [{ time: 0, value: Infinity }];
  return left === 1 ? held : held.map((p) => ({ ...p, value: p.value * left }));
}

/** One of two clutches of a dual-clutch gearbox, by the pressure it has and by how late it is filled. */
function crossing(
  { driving }: UnitBench,
  machine: Machine,
  id: string,
  from: Range,
  to: Range,
): Trace {
  const { loads, sound } = driving;
  const line = (m: Machine) => loads.pressure(m, to.apply, false, TIMED_AT);
  const made = loads.madeFor(sound.worstOf(id));
  const holds = (m: Machine) => made * loads.holdsShare(m, id, line(m));
  const [nm, soundNm] = [holds(machine), holds(SOUND_MACHINE)];
  if (from.apply.includes(id) && to.apply.includes(id)) return [{ time: 0, value: nm }];
  if (from.apply.includes(id))
    return [
      { time: DUAL_AT, value: nm },
      { time: DUAL_AT + DUAL_HAND_OVER, value: 0 },
    ];
  const fills = (m: Machine) =>
    loads.oil ? fillTime(loads.oil, [id, m.leaks.get(id) ?? 0], line(m)) : 0;
  const late = fills(machine) - fills(SOUND_MACHINE);
  if (!Number.isFinite(late)) return [{ time: 0, value: 0 }];
  const factor = Math.max(sound.factorOf(to.id, id), sound.factorOf(from.id, id));
  const asked = Math.min(factor * TIMED_AT * loads.engineNm, soundNm);
  const now = soundNm > 0 ? nm / soundNm : 0;
  const at = DUAL_AT + Math.max(0, late);
  return [
    { time: at, value: 0 },
    { time: at + DUAL_HAND_OVER, value: asked * now },
    { time: at + DUAL_HAND_OVER + DUAL_RISES, value: DUAL_ACCUMULATED * asked * now },
    { time: at + DUAL_HAND_OVER + DUAL_RISES + DUAL_TO_FULL, value: nm },
  ];
}

/** While the torque crosses, the sleeves stay as they are: the next one but one is moved when it is over. */
function crossed(unit: Unit, from: Range, to: Range, dogs: ReadonlySet<string>): readonly string[] {
  const clutches = to.apply.filter((id) => !dogs.has(id));
  const stays = [...clutches, ...from.apply.filter((id) => dogs.has(id))];
  const ratio = solveUnit(unit, stays).ratio;
  const wanted = solveUnit(unit, to.apply).ratio;
  return ratio && wanted && toNumber(ratio) === toNumber(wanted) ? stays : to.apply;
}
const ASSUMED_INERTIA = 0.2;

const bare = ({ lining }: Machine): string[] =>
  [...lining].filter(([, left]) => left <= 0).map(([id]) => id);

/** A shift of the machine as it is, over time; `null` where it can't be driven. */
export function shiftRun(bench: UnitBench, machine: Machine, pair: string): HandOverResult | null {
  const setup = shiftSetup(bench, machine, pair);
  if (!setup) return null;
  const { from, to, holds } = setup;
  return bench.keep(`shift ${pair} ${JSON.stringify([from, to, [...holds]])}`, () =>
    handOver(setup),
  );
}

/** Against a sound shift: so much more jerk, deeper a dip or sooner a start is felt as harsh, so much later as late. */
const HARSHER = 1.2;
const DEEPER = 0.25;
const SOONER_S = 0.12;
const LATER_S = 0.2;

export function shiftReading(bench: UnitBench, machine: Machine, pair: string): Answer {
  const run = shiftRun(bench, machine, pair);
  if (!run) return { word: 'can-not-be-driven' };
  const quality = shiftQuality(run.summary);
  const sound = shiftRun(bench, SOUND_MACHINE, pair);
  if (!sound || sound === run) return { word: sound ? 'smooth' : quality };
  if (quality !== 'smooth' && quality !== shiftQuality(sound.summary)) return { word: quality };
  const [now, was] = [run.summary, sound.summary];
  const late = (now.begins ?? 0) - (was.begins ?? 0);
  if (now.jerk > HARSHER * was.jerk || now.dip < was.dip - DEEPER || late < -SOONER_S)
    return { word: 'harsh' };
  return { word: late > LATER_S ? 'late' : 'smooth' };
}
