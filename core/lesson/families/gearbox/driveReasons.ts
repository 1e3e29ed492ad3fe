import type { GearChange, Ramps } from '../../../shift';
import type { Unit } from '../../../geartrain';
import { gearsInOrder, SAME_LOSS, WAITING_MARKS } from '../../../shift';
import type { Asked, Keyed, ThoughtOf } from '../../family';
import { behindMs, rangeName, type GearboxClaim } from './claims';
import type { GearboxAnswer } from './kinds';
import {
  crossedWith,
  crossingRig,
  drivenWith,
  drivingAt,
  meets,
  pairOf,
  placesOf,
  rangesAt,
  type Crossed,
} from './runs';
import type { GearboxTypes } from './types';

const asks = (unit: Unit, { time, from, to }: GearChange): GearboxClaim => ({
  claim: 'speed-asks',
  at: time,
  from: rangeName(unit, from)!,
  to: rangeName(unit, to)!,
});

type Waiting = Extract<GearboxAnswer, { kind: 'set-waiting' }>;
type Asking = Keyed<GearboxTypes, 'set-waiting'>;

/** Changes that cost more than they need to, with these gears waiting. */
function costly({ question, subject: { rig }, key }: Asking, set: readonly number[]): GearChange[] {
  if (!rig.vehicle) return [];
  const own = drivenWith(question, rig.unit, rig.vehicle, set);
  // As good in all, though another change pays for it.
  if (own.lost <= key.drive.lost + SAME_LOSS) return [];
  return own.changes.filter((c, k) => c.lost > key.drive.changes[k]!.lost + SAME_LOSS);
}

const costOf = (unit: Unit, set: readonly number[], c: GearChange): GearboxClaim => ({
  claim: 'change-cost',
  set,
  at: c.time,
  from: rangeName(unit, c.from)!,
  to: rangeName(unit, c.to)!,
  waiting: rangeName(unit, c.waiting),
  lost: c.lost,
});

/** At so many of the eight marks it is no accident. */
const MOST_MARKS = 6;

/** What was set to wait as a change came. */
const setAt = (set: readonly number[], { time }: GearChange): number =>
  set[WAITING_MARKS.findLastIndex((mark) => mark <= time)] ?? 0;

/** What leads to the wrong gear waiting. */
export function waitingThoughts(asked: Asking): ThoughtOf<GearboxTypes, 'set-waiting'>[] {
  const { unit, vehicle } = asked.subject.rig;
  const { key } = asked;
  if (!vehicle) return [];
  const driving = drivingAt(key.drive);
  const top = gearsInOrder(unit).length - 1;
  const ways = [
    {
      slip: 'always-the-next-up' as const,
      set: driving.map((g) => Math.min(top, g + 1)),
      is: (set: readonly number[], c: GearChange) => c.to < c.from && setAt(set, c) > c.from,
    },
    {
      slip: 'one-gear-waits-for-all' as const,
      set: driving.map(() => 1),
      is: (set: readonly number[]) => set.every((g) => g === set[0]),
    },
    {
      slip: 'drives-and-waits' as const,
      set: driving,
      is: (set: readonly number[]) => set.filter((g, k) => g === driving[k]).length >= MOST_MARKS,
    },
  ];
  return ways.flatMap(({ slip, set, is }): ThoughtOf<GearboxTypes, 'set-waiting'>[] => {
    const gives = (a: Waiting): boolean => {
      const own = placesOf(unit, a.gears);
      const bad = costly(asked, own);
      return bad.length > 0 && bad.every((c) => is(own, c));
    };
    const answer = { kind: 'set-waiting' as const, gears: rangesAt(unit, set) };
    return gives(answer)
      ? [{ slip, answer, gives, claims: (a) => costs(asked, placesOf(unit, a.gears)) }]
      : [];
  });
}

function costs(asked: Asking, set: readonly number[]): GearboxClaim[] {
  const { unit } = asked.subject.rig;
  return costly(asked, set)
    .slice(0, 2)
    .flatMap((c) => [asks(unit, c), costOf(unit, set, c)]);
}

/** What this answer cost; of one that cost nothing, what the speed asked for. */
export function waitingFacts(asked: Asked<GearboxTypes, 'set-waiting'>): GearboxClaim[] {
  const { unit } = asked.subject.rig;
  const own = costs(asked, placesOf(unit, asked.answer.gears));
  return own.length > 0 ? own : asked.key.drive.changes.slice(0, 3).map((c) => asks(unit, c));
}

const crossedAs = (
  way: 'drawn' | 'meets',
  ramps: Ramps,
  { dip, flareRpm, leastSum }: Crossed,
): GearboxClaim => ({ claim: 'crossed', ramps, dip, flare: flareRpm, least: leastSum, way });

/** From here on a ramp is a slow one, s. */
const SLOW = 0.15;

/** What leads to ramps that dip or flare. */
export function crossingThoughts({
  question,
  subject: { rig },
}: Keyed<GearboxTypes, 'draw-crossing'>): ThoughtOf<GearboxTypes, 'draw-crossing'>[] {
  const whole = crossingRig(rig);
  const pair = pairOf(question, rig.unit);
  if (!whole || !pair) return [];
  const run = (ramps: Ramps) => crossedWith(whole, pair, ramps);
  const isSlow = ({ off, on }: Ramps) => off.over >= SLOW && on.over >= SLOW;
  const apart = (ramps: Ramps): GearboxClaim => {
    const ms = behindMs(ramps);
    return { claim: 'ramps-apart', ramps, ms: Math.abs(ms), way: ms > 0 ? 'gap' : 'both' };
  };
  const shapes = [
    {
      slip: 'lets-go-too-early' as const,
      ramps: { off: { at: 0.05, over: 0.03 }, on: { at: 0.2, over: 0.03 } },
      is: (r: Ramps) => !isSlow(r) && behindMs(r) > 0,
      more: (r: Ramps) => [apart(r)],
    },
    {
      slip: 'both-hold-too-long' as const,
      ramps: { off: { at: 0.25, over: 0.05 }, on: { at: 0.05, over: 0.03 } },
      is: (r: Ramps) => !isSlow(r) && behindMs(r) < 0,
      more: (r: Ramps) => [apart(r)],
    },
    {
      slip: 'longer-is-softer' as const,
      ramps: { off: { at: 0.1, over: 0.2 }, on: { at: 0.1, over: 0.2 } },
      is: isSlow,
      more: () => [],
    },
  ];
  return shapes
    .filter(({ ramps }) => !meets(question, run(ramps)))
    .map(({ slip, ramps, is, more }) => ({
      slip,
      answer: { kind: 'draw-crossing' as const, ramps },
      gives: (a) => is(a.ramps) && !meets(question, run(a.ramps)),
      claims: (a) => [...more(a.ramps), crossedAs('drawn', a.ramps, run(a.ramps))],
    }));
}

export function crossingFacts({ key }: Asked<GearboxTypes, 'draw-crossing'>): GearboxClaim[] {
  return [crossedAs('meets', key.ramps, key.crossed)];
}
