import { binds, isDualClutch, isSleeveSide, unitFindings, type Unit } from '../../../geartrain';
import {
  complaintsOf,
  couldBeWorn,
  forwardSides,
  gearsInOrder,
  type DriveResult,
  type GearComplaint,
  type Ramps,
  type Worn,
} from '../../../shift';
import { found, refused, type KeyResult } from '../../family';
import type {
  BindReason,
  DrawCrossingQuestion,
  GearboxQuestion,
  GearboxRig,
  SetWaitingQuestion,
  TwoGearsQuestion,
  WhichSideQuestion,
} from './kinds';
import { bestDrive, crossedWith, crossingRig, pairOf, rampsThatMeet, type Crossed } from './runs';

/** Answers to questions about gearboxes, computed from the models. */
export type GearboxKey =
  | {
      readonly kind: 'which-side';
      readonly told: readonly GearComplaint[];
      /** Everything that could be worn for the same complaints. */
      readonly right: readonly Pick<Worn, 'part' | 'side'>[];
    }
  | { readonly kind: 'two-gears'; readonly binds: boolean; readonly why: BindReason }
  | {
      readonly kind: 'set-waiting';
      /** Places among the unit's gears, one for each mark, and the drive with them. */
      readonly best: readonly number[];
      readonly drive: DriveResult;
    }
  | { readonly kind: 'draw-crossing'; readonly ramps: Ramps; readonly crossed: Crossed };

export type GearboxKeyFault =
  | 'unit-missing'
  | 'unit-broken'
  | 'vehicle-missing'
  | 'engine-missing'
  | 'no-sleeves'
  | 'side-missing'
  | 'no-complaint'
  | 'no-two-sides'
  | 'nothing-holds-them'
  | 'no-dual-clutch'
  | 'no-change'
  | 'no-crossing'
  | 'not-reachable';

type Result = KeyResult<GearboxKey, GearboxKeyFault>;

export function gearboxKey(question: GearboxQuestion, rig: GearboxRig): Result {
  if (unitFindings(rig.unit).some((f) => f.weight === 'wrong')) return refused('unit-broken');
  switch (question.kind) {
    case 'which-side':
      return sideKey(question, rig.unit);
    case 'two-gears':
      return twoKey(question, rig.unit);
    case 'set-waiting':
      return waitingKey(question, rig);
    case 'draw-crossing':
      return crossingKey(question, rig);
  }
}

/** What is worn in a question. */
export const wornIn = ({ part, side, value }: WhichSideQuestion): Worn => ({
  part,
  side: part === 'clutch' ? null : side,
  value,
});

export const complains = ({ quick, matched, jumps }: GearComplaint): boolean =>
  jumps || quick !== 'clean' || matched !== 'clean';

function sideKey(question: WhichSideQuestion, unit: Unit): Result {
  const sides = forwardSides(unit);
  // Of one gear nothing could tell the box from the clutch.
  if (sides.length < 2) return refused('no-sleeves');
  const worn = wornIn(question);
  if (worn.side !== null && !sides.some((s) => s.side === worn.side))
    return refused('side-missing');
  const told = complaintsOf(unit, worn);
  if (!told.some(complains)) return refused('no-complaint');
  const { part, side } = worn;
  const could = couldBeWorn(unit, told);
  const own = could.some((c) => c.part === part && c.side === side);
  return found({ kind: 'which-side', told, right: own ? could : [...could, { part, side }] });
}

/** Clutches of a unit: what is open now could be closed. */
export const clutchesOf = (unit: Unit): string[] =>
  unit.elements.filter((e) => e.kind === 'clutch').map((e) => e.id);

function twoKey({ sides, clutches }: TwoGearsQuestion, unit: Unit): Result {
  const isSide = (id: string) => unit.elements.some((e) => e.id === id && isSleeveSide(e));
  if (sides[0] === sides[1] || !sides.every(isSide)) return refused('no-two-sides');
  if (!clutches.every((c) => clutchesOf(unit).includes(c))) return refused('no-two-sides');
  const bind = binds(unit, [...sides, ...clutches]);
  if (bind && binds(unit, sides))
    return found({ kind: 'two-gears', binds: true, why: 'one-shaft' });
  if (bind && clutches.length > 1)
    return found({ kind: 'two-gears', binds: true, why: 'both-clutches' });
  // Only a clutch that is open can be why nothing binds.
  return !bind && binds(unit, [...sides, ...clutchesOf(unit)])
    ? found({ kind: 'two-gears', binds: false, why: 'open-clutch' })
    : refused('nothing-holds-them');
}

function waitingKey(question: SetWaitingQuestion, { unit, vehicle }: GearboxRig): Result {
  if (!vehicle) return refused('vehicle-missing');
  if (!isDualClutch(unit) || gearsInOrder(unit).length < 2) return refused('no-dual-clutch');
  const { set, result } = bestDrive(question, unit, vehicle);
  if (result.changes.length === 0) return refused('no-change');
  return found({ kind: 'set-waiting', best: set, drive: result });
}

function crossingKey(question: DrawCrossingQuestion, rig: GearboxRig): Result {
  if (!rig.vehicle) return refused('vehicle-missing');
  const whole = crossingRig(rig);
  if (!whole) return refused('engine-missing');
  if (!isDualClutch(rig.unit)) return refused('no-dual-clutch');
  const pair = pairOf(question, rig.unit);
  if (!pair) return refused('no-crossing');
  const ramps = rampsThatMeet(question, whole, pair);
  if (!ramps) return refused('not-reachable');
  return found({ kind: 'draw-crossing', ramps, crossed: crossedWith(whole, pair, ramps) });
}
