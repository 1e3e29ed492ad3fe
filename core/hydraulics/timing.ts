import { circuitOf, type Circuit, type OilState } from './circuit';
import type { Demands } from './demands';
import { exchanged } from './exchange';
import { fill, FILL_STEP, type FilledElement } from './filling';
import type { Gears } from './gears';
import { WARM_C, type OilRunning } from './laws';
import { partsOf, withPart, type HydraulicPlan } from './plan';
import { TAKEN_OVER, TIMED_AT } from './wishes';

/**
 * Times a plan's upshifts: the going element has to let its torque go when the coming one has nearly taken it over. With valves, the
 * orifice through which it empties does that; with a control unit, what that has learned.
 */
export function timed(plan: HydraulicPlan, gears: Gears, demands: Demands): HydraulicPlan {
  let now = plan;
  for (let k = 1; k < gears.forward.length; k++) now = timedShift(now, gears, demands, k);
  return now;
}

/** An orifice that empties at once, and one that hardly does, over the one that fills. */
const [FASTEST, SLOWEST] = [8, 0.05];
const HALVINGS = 10;
const SECONDS = 1.2;
/** rev/min of the engine while a shift is timed. */
export const TIMED_RPM = 1900;

/** @param k the lower gear, 1 for the first */
export function timedShift(
  plan: HydraulicPlan,
  { forward, mainLever }: Gears,
  demands: Demands,
  k: number,
): HydraulicPlan {
  const [from, to] = [forward[k - 1]!.range, forward[k]!.range];
  const { coming, going } = exchanged(plan, from.apply, to.apply);
  if (coming.length === 0 || going.length === 0) return plan;
  const between = states(circuitOf(plan), mainLever!, k, from.id, to.id);
  const run = fill({ ...between, elements: coming, seconds: SECONDS });
  const over = (id: string, filled: FilledElement): number => {
    const asked = Math.max(demands.timed(to.id, id), demands.timed(from.id, id));
    const at = filled.holds.findIndex((h) => h >= TAKEN_OVER * asked);
    return (at < 0 ? filled.holds.length : at) * FILL_STEP;
  };
  const takenOver = Math.max(...coming.map((id) => over(id, run.elements.get(id)!)));
  return going.reduce(
    (next, id) => timedGoing(next, id, takenOver, demands.timed(from.id, id), coming, between),
    plan,
  );
}

type Between = { circuit: Circuit; running: OilRunning; before: OilState; after: OilState };

/** A circuit before and after a shift from gear k to the next, at the load that shifts are timed for. */
function states(
  circuit: Circuit,
  lever: string,
  k: number,
  fromRange: string,
  toRange: string,
): Between {
  const running = {
    lever,
    throttle: TIMED_AT,
    outputRpm: 0,
    engineRpm: TIMED_RPM,
    celsius: WARM_C,
  };
  const [before, after] = [fromRange, toRange].map((range, n) =>
    circuit.inGear(running, k + n, range),
  ) as [OilState, OilState];
  return { circuit, running, before, after };
}

function timedGoing(
  plan: HydraulicPlan,
  id: string,
  takenOver: number,
  need: number,
  coming: readonly string[],
  between: Between,
): HydraulicPlan {
  const piston = partsOf(plan, 'piston').find((p) => p.element === id)!;
  const feed = partsOf(plan, 'feed').find((f) => f.to === piston.line)!;
  const withOut = (out: number): HydraulicPlan => withPart(plan, { ...feed, out });
  const control = partsOf(plan, 'control')[0];
  const letsGo = (out: number, seconds: number): number => {
    const outs = new Map([[id, out]]);
    const run = fill({ ...between, elements: [id], outs, seconds });
    const at = run.elements.get(id)!.holds.findIndex((h) => h < need);
    return (at < 0 ? Infinity : at) * FILL_STEP;
  };
  if (control) {
    const out = FASTEST * feed.in;
    const seconds = Math.max(0, takenOver - letsGo(out, SECONDS));
    const learned = [
      ...control.learned.filter((l) => !coming.includes(l.element)),
      ...coming.map((element) => ({ element, seconds })),
    ];
    return withPart(withOut(out), { ...control, learned });
  }
  let [low, high] = [SLOWEST * feed.in, FASTEST * feed.in];
  for (let n = 0; n < HALVINGS; n++) {
    const middle = Math.sqrt(low * high);
    if (letsGo(middle, takenOver) > takenOver) low = middle;
    else high = middle;
  }
  return withOut(high);
}
