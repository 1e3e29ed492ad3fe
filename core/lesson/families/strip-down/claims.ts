import {
  breakEven,
  causesOf,
  changeCost,
  comeBackCost,
  comesBack,
  conditionIn,
  FACINGS,
  freeParts,
  gapWith,
  MEASURES,
  ONE_USE_KINDS,
  priceOf,
  reportOn,
  standingOf,
  windowAsMeasured,
  windowOf,
  type Damage,
  type ErrorKind,
  type FacingRule,
  type Instrument,
  type JobWork,
  type MeasureId,
  type OrderRule,
  type Standing,
  limitsOf,
  pricesOf,
} from '../../../assembly';
import { sameNumber } from '../../../numerics';
import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import { becomesOf, laidJob, measuredGap, onlyThese, shownOn } from './bench';
import { gaugeTolerance, WORTH_TOLERANCE } from './tolerances';
import { placeOf, rulesBetween } from './key';
import type { Becomes, StripQuestion, StripSubject } from './kinds';

/** Facts about a job that reasons are made of, each with its names and numbers. */
export type StripClaim =
  | NumberClaim
  /** `first` must leave before `part` does, by this rule. */
  | { claim: 'comes-first'; part: string; first: string; rule: OrderRule }
  | { claim: 'stuck-now'; part: string }
  | { claim: 'free-now'; part: string }
  | { claim: 'lies-before'; part: string; other: string }
  | { claim: 'way-in'; part: string; rule: FacingRule }
  | { claim: 'wrong-way-is'; part: string; becomes: Becomes }
  | { claim: 'one-use'; part: string }
  | { claim: 'has'; part: string; damage: Damage }
  | { claim: 'nothing-wrong'; part: string }
  | { claim: 'stands'; part: string; measure: MeasureId; value: number; way: Standing }
  | { claim: 'gap-with'; part: string; size: number; gap: number }
  | { claim: 'gap-wanted'; part: string; least: number; most: number }
  | { claim: 'coming-back'; cost: number }
  | { claim: 'changing'; part: string; cost: number }
  | { claim: 'only-the-part'; part: string; cost: number }
  | { claim: 'mistake'; part: string; way: ErrorKind; work: JobWork }
  | { claim: 'overlooked'; part: string; damage: Damage; work: JobWork }
  | { claim: 'fails-again'; part: string; cause: string; work: JobWork };

/** Asks the job, not the key, whether a claim is so. */
export function stripClaimHolds(
  claim: StripClaim,
  question: StripQuestion,
  { job: stored }: StripSubject,
): boolean {
  const laid = laidJob(stored, question);
  if (!laid) return false;
  const { job, plan, parts } = laid;
  const part = 'part' in claim ? parts.get(claim.part) : undefined;
  if ('part' in claim && !part) return false;
  switch (claim.claim) {
    case 'off-by':
    case 'times-right':
      return numberClaimHolds(claim, ...rightNumber(question, stored));
    case 'comes-first':
      return rulesBetween(laid, claim.first, claim.part).includes(claim.rule);
    case 'stuck-now':
    case 'free-now': {
      const off = new Set(question.kind === 'free-now' ? question.off : []);
      const here = question.kind === 'strip-order' ? onlyThese(plan, question.parts) : plan;
      return freeParts(here, off).includes(claim.part) === (claim.claim === 'free-now');
    }
    case 'lies-before': {
      const [a, b] = [placeOf(laid, claim.part), placeOf(laid, claim.other)];
      return a !== null && b !== null && a < b;
    }
    case 'way-in':
      return FACINGS[part!.kind]?.rule === claim.rule;
    case 'wrong-way-is':
      return becomesOf(laid, claim.part) === claim.becomes;
    case 'one-use':
      return ONE_USE_KINDS.includes(part!.kind);
    case 'has':
      return conditionIn(job, part!).damage === claim.damage;
    case 'nothing-wrong':
      return conditionIn(job, part!).damage === null;
    case 'stands': {
      const asked = question.kind === 'read-gauge';
      const window = asked
        ? windowAsMeasured(claim.measure, part!, job)
        : windowOf(claim.measure, part!, limitsOf(job));
      const shown = asked
        ? shownOn(laid, claim.part, claim.measure)
        : conditionIn(job, part!).values[claim.measure];
      return (
        shown !== undefined &&
        sameNumber(shown, claim.value) &&
        standingOf(claim.value, claim.measure, window) === claim.way
      );
    }
    case 'gap-with': {
      const measured = measuredGap(laid, claim.part);
      return (
        measured !== null &&
        sameNumber(gapWith(measured.gap, measured.selective, claim.size), claim.gap)
      );
    }
    case 'gap-wanted': {
      const measured = measuredGap(laid, claim.part);
      if (!measured) return false;
      const window = windowOf(measured.selective.measure, measured.on, limitsOf(job));
      return window.least === claim.least && window.most === claim.most;
    }
    case 'coming-back':
      return sameNumber(comeBackCost(plan, pricesOf(job)), claim.cost);
    case 'changing':
      return sameNumber(changeCost(part!, pricesOf(job)), claim.cost);
    case 'only-the-part':
      return priceOf(part!, pricesOf(job)) === claim.cost;
    case 'mistake':
      return reportOn(job, plan, claim.work).errors.some(
        (e) => e.part === claim.part && e.kind === claim.way,
      );
    case 'overlooked':
      return (
        conditionIn(job, part!).damage === claim.damage &&
        reportOn(job, plan, claim.work).missed.includes(claim.part)
      );
    case 'fails-again':
      return (
        comesBack(job, claim.work, claim.part) && causesOf(job, claim.part).includes(claim.cause)
      );
  }
}

function rightNumber(question: StripQuestion, stored: StripSubject['job']) {
  const laid = laidJob(stored, question)!;
  if (question.kind === 'read-gauge')
    return [
      shownOn(laid, question.part, question.measure),
      gaugeTolerance(question.measure),
    ] as const;
  const part = question.kind === 'worth-it' ? laid.parts.get(question.part) : undefined;
  const right = part ? 100 * breakEven(part, laid.plan, pricesOf(laid.job)) : null;
  return [right, WORTH_TOLERANCE] as const;
}

/** Once round of an instrument's hand or drum, mm; `null` where nothing goes round. */
const ONCE_ROUND: Readonly<Record<Instrument, number | null>> = {
  'dial-gauge': 1,
  'bore-gauge': 1,
  micrometer: 0.5,
  caliper: null,
  feeler: null,
  straightedge: null,
  ohmmeter: null,
};
export const onceRound = (measure: MeasureId): number | null =>
  ONCE_ROUND[MEASURES[measure].instrument];
