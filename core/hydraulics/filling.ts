import { findRoot } from '../numerics';
import { leakAt, orificeFlow, type OilRunning } from './laws';
import { chamberOf, type Chamber } from './chamber';
import type { Circuit, OilState } from './circuit';
import { PAN, partsOf } from './plan';
import { PORT } from './ports';

/**
 * Elements' passages over time once valves have moved: oil flows in through the feeds and out of those that are open to the
 * pan, and the pump's flow sets the line's pressure while much is taken.
 *
 *   dV/dt = k_in·√(p_line − p(V)) − k_seal·√p(V)        or − k_out·√p(V)
 */
export interface Filling {
  readonly circuit: Circuit;
  readonly running: OilRunning;
  /** Before the valves moved, and after. */
  readonly before: OilState;
  readonly after: OilState;
  /** Elements to follow. */
  readonly elements: readonly string[];
  /** s from the command until an element's valve moves, where it waits. */
  readonly waits?: ReadonlyMap<string, number>;
  /** k through which an element empties, instead of its feed's. */
  readonly outs?: ReadonlyMap<string, number>;
  readonly seconds: number;
}

export interface FilledElement {
  /** Pa, at every `FILL_STEP`. */
  readonly pressures: Float64Array;
  /** N·m that it can hold at each. */
  readonly holds: Float64Array;
  /** s until its plates touch; `null` where they never do, or did before. */
  readonly touches: number | null;
}

export interface Filled {
  readonly line: Float64Array;
  readonly elements: ReadonlyMap<string, FilledElement>;
}

/** s. */
export const FILL_STEP = 1e-3;

/** Two openings in a row. */
const inARow = (a: number, b: number): number =>
  a <= 0 || b <= 0 ? 0 : 1 / Math.sqrt(1 / (a * a) + 1 / (b * b));

interface Room {
  readonly id: string;
  readonly chamber: Chamber;
  readonly kIn: number;
  readonly kOut: number;
  readonly leak: number;
  readonly moves: number;
  /** Of the static pressures, before and after, over the line's. */
  readonly fedBefore: number;
  readonly fedAfter: number;
  volume: number;
  touched: number | null;
  readonly pressures: Float64Array;
  readonly holds: Float64Array;
}

/** Share of its fill volume that a room takes in one step when it has come to rest. */
const AT_REST = 1e-6;

/** What is taken at one line pressure, m³/s. */
type Taken = (line: number) => number;

export function fill(setup: Filling): Filled {
  const { circuit, running, before, after, seconds } = setup;
  const { plan, condition } = circuit;
  const steps = Math.round(seconds / FILL_STEP) + 1;
  const pump = partsOf(plan, 'pump')[0];
  const throttleLine = partsOf(plan, 'throttle-valve')[0]?.to;
  const back = (throttleLine && after.pressures.get(throttleLine)) || 0;
  const lineOf = (state: OilState) => (pump && state.pressures.get(pump.to)) || 0;
  const steady = lineOf(after);
  const through = (ids: readonly string[]) =>
    after.passing.reduce((sum, p) => sum + (ids.includes(p.part) ? p.flow : 0), 0);
  const spilled = through(partsOf(plan, 'regulator').map((r) => r.id));
  const given = pump ? through([pump.id]) : 0;
  const kLeaks = steady > 0 ? Math.max(0, given - spilled) / Math.sqrt(steady) : 0;
  const thin = leakAt(running.celsius);
  const rooms = setup.elements.flatMap((id): Room[] => {
    const chamber = chamberOf(plan, id, condition, back);
    if (!chamber) return [];
    const solenoid = partsOf(plan, 'solenoid').find((s) => s.to === chamber.feed.from);
    const fed = (state: OilState) => {
      const line = lineOf(state);
      return line > 0 ? (state.pressures.get(chamber.feed.from) ?? 0) / line : 0;
    };
    const at = before.pressures.get(chamber.piston.line) ?? 0;
    const volume = chamber.volumeAt(at);
    return [
      {
        id,
        chamber,
        kIn: inARow(chamber.feed.in, solenoid ? solenoid.orifice : PORT),
        kOut: inARow(setup.outs?.get(id) ?? chamber.feed.out, PORT),
        leak:
          chamber.piston.leak * thin +
          condition.crossings.reduce(
            (sum, c) => sum + (c.from === chamber.piston.line && c.to === PAN ? c.k : 0),
            0,
          ),
        moves: setup.waits?.get(id) ?? 0,
        fedBefore: fed(before),
        fedAfter: fed(after),
        volume,
        touched: chamber.holds(at) > 0 ? Number.NaN : null,
        pressures: new Float64Array(steps),
        holds: new Float64Array(steps),
      },
    ];
  });
  const line = new Float64Array(steps);
  for (let k = 0; k < steps; k++) {
    const time = k * FILL_STEP;
    const pressures = rooms.map((r) => r.chamber.pressureOf(r.volume));
    const fedNow = (r: Room) => (time < r.moves ? r.fedBefore : r.fedAfter);
    const taken: Taken = (p) =>
      rooms.reduce((sum, r, i) => {
        const fed = fedNow(r) * p;
        return fed > pressures[i]! ? sum + r.kIn * Math.sqrt(fed - pressures[i]!) : sum;
      }, 0);
    const p = lineNow(steady, given, kLeaks, taken);
    line[k] = p;
    let rests = rooms.every((r) => time >= r.moves);
    rooms.forEach((r, i) => {
      const now = pressures[i]!;
      r.pressures[k] = now;
      r.holds[k] = r.chamber.holds(now);
      if (r.touched === null && r.holds[k]! > 0) r.touched = time;
      const had = r.volume;
      advance(r, now, fedNow(r) * p);
      rests &&= Math.abs(r.volume - had) <= AT_REST * r.chamber.fillVolume;
    });
    if (rests) {
      // Nothing moves any more: the rest is as it is now.
      line.fill(p, k);
      for (const r of rooms) {
        r.pressures.fill(r.pressures[k]!, k);
        r.holds.fill(r.holds[k]!, k);
      }
      break;
    }
  }
  return {
    line,
    elements: new Map(
      rooms.map((r) => [
        r.id,
        {
          pressures: r.pressures,
          holds: r.holds,
          touches: Number.isNaN(r.touched ?? 0) ? null : r.touched,
        },
      ]),
    ),
  };
}

/** One step of one room: never past where it comes to rest. */
function advance(r: Room, now: number, fed: number): void {
  const drains = fed < now;
  const k = drains ? r.kOut : r.kIn;
  const rest = restPressure(fed, k, r.leak);
  const end = r.chamber.volumeAt(rest);
  const flow = orificeFlow(k, fed - now) - orificeFlow(r.leak, now);
  const next = r.volume + flow * FILL_STEP;
  r.volume =
    flow >= 0 ? Math.max(r.volume, Math.min(next, end)) : Math.min(r.volume, Math.max(next, end));
}

/** Pa at which as much leaks out as flows in. */
const restPressure = (fed: number, k: number, leak: number): number =>
  k <= 0 ? 0 : (fed * k * k) / (k * k + leak * leak);

/** The line's pressure while so much is taken: the regulator's, or what the pump's flow still makes. */
function lineNow(steady: number, given: number, kLeaks: number, taken: Taken): number {
  const asks = (p: number) => kLeaks * Math.sqrt(p) + taken(p);
  if (asks(steady) <= given || steady <= 0) return steady;
  return findRoot((p) => asks(p) - given, 0, steady, NEAR_PA).x;
}
const NEAR_PA = 0.05;
