import { engineModel } from '../converter';
import { solveUnit, type Range, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import {
  fillTime,
  handOver,
  shiftQuality,
  USUAL_OIL,
  type HandOver,
  type HandOverResult,
  type Trace,
} from '../shift';
import type { Answer } from './answer';
import type { UnitBench } from './bench';
import { SOUND_MACHINE, type Machine } from './machine';
import { oilElements } from './rig';

/**
 * How a shift of the machine goes, stepped through time. An accumulator and its orifice are made for the shift: pressure
 * rises from first touch to a little over what the shift needs, then to the full line. The valve lets the going element
 * go by its own time. A fault changes pressures, fills and rises, and with them the shift.
 */
const LOAD = 0.45;
const INPUT_RPM = 1900;
const SECONDS = 1.6;
/** s; with a quarter of it every verdict is the same. */
const STEP = 2e-3;
/** Torque at first touch, and at the end of the accumulator's travel, over what the shift asks. */
const FIRST_TOUCH = 0.3;
const ACCUMULATED = 1.5;
/** s in which pressure comes up on touching, and to the full line at the end. */
const TOUCHING = 0.02;
const TO_FULL = 0.15;
/** The going element is let go when a sound on-coming one has this share of what is asked, s in which it empties. */
const LETS_GO_AT = 0.8;
const EMPTIES_IN = 0.08;
/** Two clutches filled beforehand hand torque across in about 30 ms (common practice, no source). */
const DUAL_HAND_OVER = 0.03;
const DUAL_AT = 0.1;

interface OneElement {
  /** N·m that the shift asks of it, and what it can hold now, and when sound. */
  readonly asked: number;
  readonly nm: number;
  readonly soundNm: number;
  readonly fill: number;
  readonly soundFill: number;
}

/** What `handOver` is given for this machine; `null` where the first range does not drive, or the next one binds. */
function shiftSetup(bench: UnitBench, machine: Machine, pair: string): HandOver | null {
  const { rig, driving } = bench;
  const [from, to] = pair.split('>').map((id) => driving.unit.ranges.find((r) => r.id === id)!);
  if (!from || !to || !rig.vehicle) return null;
  if (driving.cell(machine, from.id).drive !== 'right') return null;
  if (driving.cell(machine, to.id).drive === 'binds') return null;
  const never = [...machine.never, ...bare(machine)];
  const dogs = new Set(driving.unit.elements.filter((e) => e.kind === 'dog').map((e) => e.id));
  const dual = to.apply.some((id) => dogs.has(id));
  const inputNm = LOAD * driving.loads.engineNm;
  const of = (id: string): OneElement => {
    const line = (m: Machine) => driving.loads.pressure(m, to.apply, false, LOAD);
    const made = driving.loads.madeFor(driving.sound.worstOf(id));
    const holds = (m: Machine) => made * driving.loads.holdsShare(m, id, line(m));
    const factor = Math.max(driving.sound.factorOf(to.id, id), driving.sound.factorOf(from.id, id));
    return {
      asked: Math.min(factor * inputNm, holds(SOUND_MACHINE)),
      nm: holds(machine),
      soundNm: holds(SOUND_MACHINE),
      fill: fillTime(USUAL_OIL, line(machine), machine.leaks.get(id) ?? 0),
      soundFill: fillTime(USUAL_OIL, line(SOUND_MACHINE), 0),
    };
  };
  const holds = new Map<string, Trace>();
  for (const id of oilElements(rig)) {
    const [was, will] = [from.apply.includes(id), to.apply.includes(id)];
    if (!was && !will) continue;
    if (will && !was && never.includes(id)) continue;
    const e = of(id);
    if (was && (will || machine.always.includes(id))) holds.set(id, [{ time: 0, value: e.nm }]);
    else if (was) holds.set(id, letsGo(e, dual));
    else holds.set(id, takesHold(e, machine.stuckAccumulators.includes(id), dual));
  }
  const on = (apply: readonly string[]) => apply.filter((id) => !never.includes(id));
  return {
    unit: driving.unit,
    from: on(from.apply),
    to: on(dual ? crossed(driving.unit, from, to, dogs) : to.apply),
    inputNm,
    inputInertia: rig.engine ? engineModel(rig.engine).inertia : ASSUMED_INERTIA,
    vehicle: rig.vehicle,
    inputRpm: INPUT_RPM,
    holds,
    seconds: SECONDS,
    step: STEP,
  };
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

/** The valve lets go by its own time, whatever the on-coming element does. */
function letsGo({ nm, soundFill }: OneElement, dual: boolean): Trace {
  const share = (LETS_GO_AT - FIRST_TOUCH) / (ACCUMULATED - FIRST_TOUCH);
  const at = dual ? DUAL_AT : soundFill + TOUCHING + share * USUAL_OIL.rampSeconds;
  return [
    { time: at, value: nm },
    { time: at + (dual ? DUAL_HAND_OVER : EMPTIES_IN), value: 0 },
  ];
}

function takesHold(
  { asked, nm, soundNm, fill, soundFill }: OneElement,
  stuck: boolean,
  dual: boolean,
): Trace {
  if (!Number.isFinite(fill)) return [{ time: 0, value: 0 }];
  const now = soundNm > 0 ? nm / soundNm : 0;
  const accumulated = ACCUMULATED * asked * now;
  if (dual) {
    // Filled before the command; a slow fill comes late all the same.
    const at = DUAL_AT + Math.max(0, fill - soundFill);
    return [
      { time: at, value: 0 },
      { time: at + DUAL_HAND_OVER, value: asked * now },
      { time: at + DUAL_HAND_OVER + USUAL_OIL.rampSeconds, value: accumulated },
      { time: at + DUAL_HAND_OVER + USUAL_OIL.rampSeconds + TO_FULL, value: nm },
    ];
  }
  const touched = fill + TOUCHING;
  if (stuck)
    return [
      { time: fill, value: 0 },
      { time: touched, value: nm },
    ];
  return [
    { time: fill, value: 0 },
    { time: touched, value: FIRST_TOUCH * asked * now },
    { time: touched + USUAL_OIL.rampSeconds, value: accumulated },
    { time: touched + USUAL_OIL.rampSeconds + TO_FULL, value: nm },
  ];
}

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
