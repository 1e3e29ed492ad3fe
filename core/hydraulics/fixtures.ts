import type { OilCondition } from './condition';
import { governorPressure, leakAt, throttlePressure, type OilRunning } from './laws';
import type { NetworkPart } from './network';
import { PAN, type HydraulicPart, type HydraulicPlan } from './plan';
import { PORT, type Placed } from './ports';

/** A part that stands as it is whatever the spools do, and how its numbers follow from what goes on. */
export interface Fixture extends Placed {
  readonly set: (running: OilRunning) => void;
}

/** A ball on its seat lets this share by (memory). */
const BALL_SEAT = 1e-4;
/** A clutch that is on lets this share of its gap by (memory). */
const LINING = 1e-3;
/** Pa that a valve which is stuck open would let through. */
const ALL_OPEN = 1e8;

/** Past a governor's rings, k (memory). */
const GOVERNOR_LEAK = 4e-9;

const nothing = () => undefined;

export function fixturesOf(
  plan: HydraulicPlan,
  condition: OilCondition,
  place: (line: string) => number,
): Fixture[] {
  const out: Fixture[] = [];
  const opening = (id: string, from: string, to: string, forth: number, back = forth) =>
    out.push({
      id,
      part: { kind: 'opening', from: place(from), to: place(to), forth, back },
      set: nothing,
    });
  /** An opening whose oil is thinner when warm. */
  const leak = (id: string, from: string, k: number) => {
    const part: NetworkPart = {
      kind: 'opening',
      from: place(from),
      to: place(PAN),
      forth: k,
      back: k,
    };
    out.push({
      id,
      part,
      set({ celsius }) {
        part.forth = k * leakAt(celsius);
        part.back = part.forth;
      },
    });
  };
  const spill = (
    id: string,
    line: string,
    orifice: number,
    rest: number,
    boosts: readonly { line: string; gain: number }[],
  ) =>
    out.push({
      id,
      part: {
        kind: 'spill',
        from: place(line),
        orifice,
        asked: { rest, by: boosts.map((b) => ({ node: place(b.line), gain: b.gain })) },
      },
      set: nothing,
    });
  /** A reducing valve; stuck, it stands open or shut. */
  const reducer = (id: string, from: string, to: string, asks: (running: OilRunning) => number) => {
    const asked = { rest: 0, by: [] };
    const stuck = condition.stuck.get(id);
    const orifice = PORT * (condition.screens.get(id) ?? 1);
    out.push({
      id,
      part: { kind: 'reducer', from: place(from), to: place(to), orifice, asked },
      set(running) {
        asked.rest = stuck === undefined ? asks(running) : stuck * ALL_OPEN;
      },
    });
  };
  const fix = (part: HydraulicPart): void => {
    switch (part.kind) {
      case 'pump': {
        const source: NetworkPart = { kind: 'source', to: place(part.to), flow: 0 };
        const { pumpDriven, air } = condition;
        out.push({
          id: part.id,
          part: source,
          set({ engineRpm }) {
            const moved = (part.volume * engineRpm * (1 - part.slip)) / 60;
            source.flow = pumpDriven ? Math.min(part.suction, moved) * (1 - air) : 0;
          },
        });
        leak('', part.to, part.leak);
        break;
      }
      case 'regulator':
        spill(
          part.id,
          part.line,
          part.orifice,
          part.spring / part.area,
          part.boosts.map((b) => ({ line: b.line, gain: b.area / part.area })),
        );
        break;
      case 'relief':
        spill(part.id, part.line, part.orifice, part.opensAt, []);
        break;
      case 'throttle-valve':
        reducer(part.id, part.from, part.to, ({ throttle }) => throttlePressure(part, throttle));
        break;
      case 'governor':
        reducer(part.id, part.from, part.to, ({ outputRpm }) => governorPressure(part, outputRpm));
        leak('', part.to, GOVERNOR_LEAK);
        break;
      case 'feed': {
        const out = condition.ballsOut.has(part.id);
        const free = Math.max(part.in, part.out);
        opening(part.id, part.from, part.to, out ? free : part.in, out ? free : part.out);
        break;
      }
      case 'shuttle': {
        const gone = condition.ballsOut.has(part.id) ? 1 : BALL_SEAT;
        for (const from of [part.first, part.second])
          opening(part.id, from, part.to, PORT, PORT * gone);
        break;
      }
      case 'piston':
        if (part.leak > 0) leak(part.id, part.line, part.leak);
        break;
      case 'lock-up-clutch':
        // Pressed on, its lining shuts the gap.
        opening(part.id, part.release, part.apply, part.gap, part.gap * LINING);
        break;
      case 'restriction':
        opening(part.id, part.from, part.to, part.orifice);
        break;
      // Spools that stand at their ends are ports; these take no oil, or only while it moves.
      case 'manual-valve':
      case 'shift-valve':
      case 'lock-up-valve':
      case 'kick-down-valve':
      case 'solenoid':
      case 'control':
      case 'accumulator':
      case 'pressure-switch':
        break;
    }
  };
  for (const part of plan.parts) fix(part);
  for (const { from, to, k } of condition.crossings) opening('', from, to, k);
  return out;
}
