import { binds, sleeveWith, solveUnit, type Unit } from '../../../geartrain';
import { sameNumber } from '../../../numerics';
import {
  complaintsOf,
  gearsInOrder,
  type GearChange,
  type GearComplaint,
  type Ramps,
  type WornPart,
} from '../../../shift';
import { complains, wornIn } from './key';
import type { GearboxQuestion, GearboxRig } from './kinds';
import { bestDrive, crossedWith, crossingRig, drivenWith, pairOf } from './runs';

type Told = Omit<GearComplaint, 'gear'>;

/** Facts about a gearbox, a drive or a crossing. */
export type GearboxClaim =
  /** What the driver tells of the gear at a side. */
  | ({ claim: 'gear-told' } & Told)
  /** What that gear would do if this were worn so much. */
  | ({ claim: 'gear-would'; part: WornPart; worn: string | null; value: number } & Told)
  | { claim: 'complaining'; count: number; all: number }
  | { claim: 'same-sleeve'; side: string; other: string; sleeve: string }
  /** Whether these, all in at once, hold a shaft still. */
  | { claim: 'in-at-once'; apply: readonly string[]; way: 'bind' | 'turn' }
  | { claim: 'gear-hangs-on'; side: string; clutch: string }
  /** A change that the speed of the drive asks for. */
  | { claim: 'speed-asks'; at: number; from: string; to: string }
  /** What it costs with gears set to wait: places among the unit's gears. */
  | {
      claim: 'change-cost';
      set: readonly number[];
      at: number;
      from: string;
      to: string;
      waiting: string | null;
      lost: number;
    }
  /** What comes of ramps. */
  | {
      claim: 'crossed';
      ramps: Ramps;
      dip: number;
      flare: number;
      least: number;
      way: 'drawn' | 'meets';
    }
  /** ms between the middles of both ramps. */
  | { claim: 'ramps-apart'; ramps: Ramps; ms: number; way: 'gap' | 'both' };

/** ms by which the new clutch's ramp lies behind the old one's, from middle to middle; negative: before it. */
export const behindMs = ({ off, on }: Ramps): number =>
  Math.round(1000 * (on.at + on.over / 2 - off.at - off.over / 2));

const sameTold = (a: Told, b: Told): boolean =>
  a.side === b.side && a.quick === b.quick && a.matched === b.matched && a.jumps === b.jumps;

const hangsOn = (unit: Unit, side: string, clutch: string): boolean =>
  solveUnit(unit, [clutch, side]).ratio !== null && solveUnit(unit, [side]).ratio === null;

/** The clutch that a side's gear drives through; `null` where none does. */
export const clutchOf = (unit: Unit, side: string): string | null =>
  unit.elements.find((e) => e.kind === 'clutch' && hangsOn(unit, side, e.id))?.id ?? null;

/** Asks the models whether a claim is so. */
export function gearboxClaimHolds(
  claim: GearboxClaim,
  question: GearboxQuestion,
  rig: GearboxRig,
): boolean {
  const { unit, vehicle } = rig;
  switch (claim.claim) {
    case 'gear-told':
      return (
        question.kind === 'which-side' &&
        complaintsOf(unit, wornIn(question)).some((g) => sameTold(g, claim))
      );
    case 'gear-would':
      return complaintsOf(unit, {
        part: claim.part,
        side: claim.worn,
        value: claim.value,
      }).some((g) => sameTold(g, claim));
    case 'complaining': {
      if (question.kind !== 'which-side') return false;
      const told = complaintsOf(unit, wornIn(question));
      return told.length === claim.all && told.filter(complains).length === claim.count;
    }
    case 'same-sleeve': {
      const sleeve = sleeveWith(unit, claim.side)?.sleeve;
      return (
        sleeve?.id === claim.sleeve &&
        claim.side !== claim.other &&
        sleeve.sides.includes(claim.other)
      );
    }
    case 'in-at-once':
      return binds(unit, claim.apply) === (claim.way === 'bind');
    case 'gear-hangs-on':
      return hangsOn(unit, claim.side, claim.clutch);
    case 'speed-asks':
      return (
        question.kind === 'set-waiting' &&
        vehicle !== null &&
        bestDrive(question, unit, vehicle).result.changes.some((c) => isChange(unit, c, claim))
      );
    case 'change-cost':
      return (
        question.kind === 'set-waiting' &&
        vehicle !== null &&
        drivenWith(question, unit, vehicle, claim.set).changes.some(
          (c) =>
            isChange(unit, c, claim) &&
            rangeName(unit, c.waiting) === claim.waiting &&
            sameNumber(c.lost, claim.lost),
        )
      );
    case 'crossed': {
      const whole = crossingRig(rig);
      const pair = question.kind === 'draw-crossing' && pairOf(question, unit);
      if (!whole || !pair) return false;
      const { dip, flareRpm, leastSum } = crossedWith(whole, pair, claim.ramps);
      return (
        sameNumber(dip, claim.dip) &&
        sameNumber(flareRpm, claim.flare) &&
        sameNumber(leastSum, claim.least)
      );
    }
    case 'ramps-apart': {
      const ms = behindMs(claim.ramps);
      return Math.abs(ms) === claim.ms && (ms > 0 ? 'gap' : 'both') === claim.way;
    }
  }
}

/** The range of a place among the gears. */
export const rangeName = (unit: Unit, place: number | null): string | null =>
  place === null ? null : (gearsInOrder(unit)[place]?.id ?? null);

const isChange = (
  unit: Unit,
  change: GearChange,
  claim: { readonly at: number; readonly from: string; readonly to: string },
): boolean =>
  sameNumber(change.time, claim.at) &&
  rangeName(unit, change.from) === claim.from &&
  rangeName(unit, change.to) === claim.to;
