import type { Unit } from '../geartrain';
import {
  handOver,
  shiftQuality,
  type HandOverResult,
  type ShiftQuality,
  type Trace,
} from '../shift';
import type { Vehicle } from '../vehicle';
import type { Circuit } from './circuit';
import { chamberOf } from './chamber';
import { exchanged } from './exchange';
import { commandedRange, gearsOf } from './gears';
import { fill, FILL_STEP, type Filled, type FilledElement } from './filling';
import type { OilRunning } from './laws';
import { partsOf, withPart, type HydraulicPlan } from './plan';
import { wornAway } from './wear';
import { TAKEN_OVER } from './wishes';

/** A shift over time, from the moment the valves move: oil, torque, speeds. */
export interface OilShift {
  readonly circuit: Circuit;
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  /** Ranges by their ids, and the gears in which the shift valves stand for them. */
  readonly from: { readonly range: string; readonly gear: number };
  readonly to: { readonly range: string; readonly gear: number };
  readonly running: OilRunning;
  /** N·m at the unit's input all the while, kg·m² of what turns with it, and its rev/min at the start. */
  readonly inputNm: number;
  readonly inputInertia: number;
  readonly inputRpm: number;
  readonly seconds: number;
}

export interface OilShiftResult {
  readonly filled: Filled;
  readonly run: HandOverResult;
  readonly quality: ShiftQuality;
  readonly coming: readonly string[];
  readonly going: readonly string[];
  /** What each element's plates took, J, how much hotter their steel is for it, K, and what it wore off each face, m. */
  readonly heats: readonly {
    readonly element: string;
    readonly joules: number;
    readonly kelvin: number;
    readonly wear: number;
  }[];
  /** s by which the coming element has taken over later (+) or sooner (−) than the going one has let go. */
  readonly lateBy: number | null;
}

/** J/(kg·K) of steel (published: any handbook of materials, about 480 to 500). */
const STEEL_HEAT = 490;
/** s between points of a trace. */
const TRACE_EVERY = 0.004;
/** s. */
const STEP = 2e-3;

const rangesOf = ({ unit, from, to }: OilShift) => {
  const applyOf = (id: string) => unit.ranges.find((r) => r.id === id)?.apply ?? [];
  return { was: applyOf(from.range), will: applyOf(to.range) };
};
/** The oil in a gear; a control unit that reads another lever place commands what belongs to that. */
const stateIn = (
  { circuit, running, unit }: OilShift,
  { gear, range }: { readonly gear: number; readonly range: string },
) => {
  const { condition } = circuit;
  const commanded =
    condition.leverRead === 0
      ? range
      : commandedRange(gearsOf(unit), running.lever, gear, condition)?.id;
  return circuit.inGear(running, gear, commanded);
};
const stateBefore = (setup: OilShift) => stateIn(setup, setup.from);
const stateAfter = (setup: OilShift) => stateIn(setup, setup.to);

/** As the plan's valves, orifices and accumulators make it. */
export function shiftInTime(setup: OilShift): OilShiftResult {
  const { circuit, running, seconds } = setup;
  const { was, will } = rangesOf(setup);
  const { coming, going, either } = exchanged(circuit.plan, was, will);
  const filled = fill({
    circuit,
    running,
    before: stateBefore(setup),
    after: stateAfter(setup),
    elements: either,
    waits: waitsOf(circuit.plan, coming, going),
    seconds,
  });
  return shiftAs(setup, filled);
}

/** Pa of what comes and of what goes at every so many s; after the last they stay. */
export interface PressureDrawing {
  readonly every: number;
  readonly coming: readonly number[];
  readonly going: readonly number[];
}

/** The same shift with its pistons pressed as somebody drew it, whatever the plan would do. */
export function shiftDrawn(setup: OilShift, drawing: PressureDrawing): OilShiftResult {
  const { plan, condition } = setup.circuit;
  const { was, will } = rangesOf(setup);
  const { coming, going, either } = exchanged(plan, was, will);
  const [then, now] = [stateBefore(setup), stateAfter(setup)];
  const steps = Math.round(setup.seconds / FILL_STEP) + 1;
  const rows = (of: (k: number) => number) =>
    Float64Array.from({ length: steps }, (_v, k) => of(k));
  const elements = either.flatMap((id): [string, FilledElement][] => {
    const chamber = chamberOf(plan, id, condition, 0);
    if (!chamber) return [];
    const drawn = coming.includes(id) ? drawing.coming : going.includes(id) ? drawing.going : null;
    const stays = then.pressures.get(chamber.piston.line) ?? 0;
    const pressures = rows((k) =>
      drawn ? drawnAt(drawn, (k * FILL_STEP) / drawing.every) : stays,
    );
    const holds = pressures.map(chamber.holds);
    const touches = holds[0]! > 0 ? -1 : holds.findIndex((h) => h > 0);
    return [[id, { pressures, holds, touches: touches < 0 ? null : touches * FILL_STEP }]];
  });
  const pump = partsOf(plan, 'pump')[0];
  const line = (pump && now.pressures.get(pump.to)) ?? 0;
  return shiftAs(setup, { line: rows(() => line), elements: new Map(elements) });
}

/** On the straight line between two values of a row; the last where it ends. @param place in values from the first */
export function drawnAt(row: readonly number[], place: number): number {
  const k = Math.min(Math.floor(place), row.length - 1);
  const [low, high] = [row[k] ?? 0, row[k + 1] ?? row[k] ?? 0];
  return low + (high - low) * (place - k);
}

/** The hand-over on the unit, with what its elements can hold. */
function shiftAs(setup: OilShift, filled: Filled): OilShiftResult {
  const { circuit, unit, seconds } = setup;
  const { was, will } = rangesOf(setup);
  const { coming, going } = exchanged(circuit.plan, was, will);
  const holds = new Map(
    [...filled.elements].map(([id, e]): [string, Trace] => [id, holdsTrace(e)]),
  );
  const run = handOver({
    unit,
    from: was,
    to: will,
    inputNm: setup.inputNm,
    inputInertia: setup.inputInertia,
    vehicle: setup.vehicle,
    inputRpm: setup.inputRpm,
    holds,
    seconds,
    step: STEP,
  });
  return {
    filled,
    run,
    quality: shiftQuality(run.summary),
    coming,
    going,
    heats: partsOf(circuit.plan, 'piston').flatMap(({ element, steel }) => {
      const joules = run.energy.heats[element] ?? 0;
      if (joules <= 0) return [];
      const kelvin = joules / (steel * STEEL_HEAT);
      const wear = wornAway(joules, steel, setup.running.celsius + kelvin);
      return [{ element, joules, kelvin, wear }];
    }),
    lateBy: lateness(filled, run, coming, going),
  };
}

/** A control unit lets the going element go once the coming one should have filled: by what it has learned. */
function waitsOf(plan: HydraulicPlan, coming: readonly string[], going: readonly string[]) {
  const learned = partsOf(plan, 'control')[0]?.learned ?? [];
  const seconds = Math.max(
    0,
    ...coming.map((id) => learned.find((l) => l.element === id)?.seconds ?? 0),
  );
  return new Map(going.map((id) => [id, seconds]));
}

/** Share of the most that an element holds by which a straight piece of its trace may be off. */
const STRAIGHT = 2e-3;

/** What an element can hold over time, as few points as tell it. */
export function holdsTrace({ holds }: FilledElement): Trace {
  const every = Math.max(1, Math.round(TRACE_EVERY / FILL_STEP));
  const close = STRAIGHT * holds.reduce((most, h) => Math.max(most, h), 1);
  const at = (k: number) => ({ time: k * FILL_STEP, value: holds[k]! });
  const points = [at(0)];
  // A piece goes on as long as all of it lies between the steepest and the flattest line that is still close.
  let [from, last, least, most] = [0, 0, -Infinity, Infinity];
  for (let k = every; k < holds.length; k += every) {
    const slope = (holds[k]! - holds[from]!) / (k - from);
    if (slope < least || slope > most) {
      points.push(at(last));
      [from, least, most] = [last, -Infinity, Infinity];
    }
    least = Math.max(least, (holds[k]! - close - holds[from]!) / (k - from));
    most = Math.min(most, (holds[k]! + close - holds[from]!) / (k - from));
    last = k;
  }
  return last > 0 ? [...points, at(last)] : points;
}

/** When a row first does this, s. */
const firstTime = (values: Float64Array, is: (value: number) => boolean): number | null => {
  const k = values.findIndex(is);
  return k < 0 ? null : k * FILL_STEP;
};

function lateness(
  filled: Filled,
  run: HandOverResult,
  coming: readonly string[],
  going: readonly string[],
): number | null {
  const [on, off] = [coming[0], going[0]];
  if (on === undefined || off === undefined) return null;
  // What the going element held before, and what the coming one holds once it is over.
  const carried = run.samples.find((s) => s.time > 0)?.torques[off] ?? 0;
  const carries = run.samples.at(-1)?.torques[on] ?? 0;
  const taken = firstTime(filled.elements.get(on)!.holds, (h) => h >= TAKEN_OVER * carries);
  const left = firstTime(filled.elements.get(off)!.holds, (h) => h < carried);
  return taken === null || left === null ? null : taken - left;
}

/** How much of the difference a control unit takes over from one shift to the next (memory). */
const LEARNS = 0.5;

/** The plan with what its control unit has learned of this shift; the same where it has none. */
export function learnedFrom(
  plan: HydraulicPlan,
  { coming, lateBy }: OilShiftResult,
): HydraulicPlan {
  const control = partsOf(plan, 'control')[0];
  if (!control || lateBy === null) return plan;
  const learned = control.learned.map((l) =>
    coming.includes(l.element) ? { ...l, seconds: Math.max(0, l.seconds + LEARNS * lateBy) } : l,
  );
  return withPart(plan, { ...control, learned });
}

/** The plan of a control unit that knows nothing of its unit yet. */
export const withNothingLearned = (plan: HydraulicPlan): HydraulicPlan =>
  partsOf(plan, 'control').reduce(
    (next, c) => withPart(next, { ...c, learned: c.learned.map((l) => ({ ...l, seconds: 0 })) }),
    plan,
  );
