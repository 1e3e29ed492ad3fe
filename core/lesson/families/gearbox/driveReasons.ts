import type { GearChange } from '../../../shift';
import type { Unit } from '../../../geartrain';
import { gearsInOrder, SAME_LOSS } from '../../../shift';
import type { Asked, Keyed, ThoughtOf } from '../../family';
import { behindMs, rangeName, type GearboxClaim } from './claims';
import type { GearboxAnswer, Ramps } from './kinds';
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

/** What leads to the wrong gear waiting. */
export function waitingThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<GearboxTypes, 'set-waiting'>): ThoughtOf<GearboxTypes, 'set-waiting'>[] {
  const { unit, vehicle } = rig;
  if (key.kind !== 'set-waiting' || !vehicle) return [];
  const driving = drivingAt(key.drive);
  const top = gearsInOrder(unit).length - 1;
  const lostWith = (set: readonly number[]) => drivenWith(question, unit, vehicle, set);
  const costs = (a: Extract<GearboxAnswer, { kind: 'set-waiting' }>): GearboxClaim[] => {
    const set = placesOf(unit, a.gears);
    return lostWith(set)
      .changes.filter((c, k) => c.lost > key.drive.changes[k]!.lost + SAME_LOSS)
      .slice(0, 2)
      .map((c) => ({
        claim: 'change-cost',
        set,
        at: c.time,
        from: rangeName(unit, c.from)!,
        to: rangeName(unit, c.to)!,
        waiting: rangeName(unit, c.waiting),
        lost: c.lost,
      }));
  };
  const ways = [
    {
      slip: 'always-the-next-up' as const,
      set: driving.map((g) => Math.min(top, g + 1)),
    },
    { slip: 'one-gear-waits-for-all' as const, set: driving.map(() => 1) },
    { slip: 'drives-and-waits' as const, set: driving },
  ];
  return ways
    .filter(({ set }) => lostWith(set).lost > key.drive.lost + SAME_LOSS)
    .map(({ slip, set }) => {
      const gears = rangesAt(unit, set);
      return {
        slip,
        answer: { kind: 'set-waiting' as const, gears },
        gives: (a: Extract<GearboxAnswer, { kind: 'set-waiting' }>) =>
          slip === 'one-gear-waits-for-all'
            ? a.gears.every((g) => g === a.gears[0]) && costs(a).length > 0
            : a.gears.every((g, k) => g === gears[k]),
        claims: (a: Extract<GearboxAnswer, { kind: 'set-waiting' }>) => [
          ...(slip === 'drives-and-waits'
            ? driving.slice(1, 2).map((g): GearboxClaim => ({
                claim: 'drives-from',
                mark: 1,
                range: rangeName(unit, g)!,
              }))
            : []),
          ...costs(a),
        ],
      };
    });
}

export function waitingFacts({
  subject: {
    rig: { unit },
  },
  key,
}: Asked<GearboxTypes, 'set-waiting'>): GearboxClaim[] {
  if (key.kind !== 'set-waiting') return [];
  const { changes } = key.drive;
  const down = changes.find((c) => c.to < c.from);
  return [...changes.slice(0, 2), ...(down ? [down] : [])].map((c) => asks(unit, c));
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
  key,
}: Keyed<GearboxTypes, 'draw-crossing'>): ThoughtOf<GearboxTypes, 'draw-crossing'>[] {
  const whole = crossingRig(rig);
  const pair = pairOf(question, rig.unit);
  if (key.kind !== 'draw-crossing' || !whole || !pair) return [];
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
  return key.kind === 'draw-crossing' ? [crossedAs('meets', key.ramps, key.crossed)] : [];
}
