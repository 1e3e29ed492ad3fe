import {
  AS_BUILT,
  bearingRuns,
  gaugeReading,
  holdingTorque,
  judgePack,
  NOISE_TESTS,
  packTorque,
  readLinkage,
  selectiveChoices,
  upgraded,
  worn,
  type Adjustment,
  type BearingId,
  type Clutch,
  type ClutchPack,
  type ClutchState,
  type UpgradeLimit,
} from '../../../clutch';
import { engineModel } from '../../../converter';
import { demands, slipWear } from '../../../shift';
import { onceFor } from '../../../numerics';
import { sameNumber } from '../../../numerics';
import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import { afterSteps, fittedPack, handedOut, MAY_ROLL, runStart, SAME_PART } from './key';
import type { ClutchQuestion, ClutchRig } from './kinds';

/** What a reading comes to once these steps have been done in this order. */
interface OrderComes {
  steps: readonly Adjustment[];
  value: number;
  low: number;
  high: number;
  of: 'play' | 'centre';
}

/** Facts about a clutch or a pack: lengths in m, torques in N·m, heat in J. */
export type ClutchClaim =
  | NumberClaim
  /** Free play at the pedal, with the rod and turnbuckle so, against its window. */
  | {
      claim: 'play';
      forkRod: number;
      turnbuckle: number;
      value: number;
      low: number;
      high: number;
      way: Against;
    }
  | {
      claim: 'centre';
      forkRod: number;
      turnbuckle: number;
      value: number;
      low: number;
      high: number;
      way: Against;
    }
  | {
      claim: 'gap';
      forkRod: number;
      turnbuckle: number;
      value: number;
      least: number;
      way: 'clear' | 'drags';
    }
  /** The turnbuckle, or the rod, is where it stood when the clutch was handed out. */
  | { claim: 'untouched'; part: 'fork-rod' | 'turnbuckle'; forkRod: number; turnbuckle: number }
  | { claim: 'holds'; value: number; asked: number; asNew: number; way: 'more' | 'less' }
  | { claim: 'faces'; value: number; oneFace: number }
  | { claim: 'clean'; value: number; clean: number }
  /** Wear from which it slips in a gear; `null` when it holds to the end of its life. */
  | { claim: 'slips-from'; range: string; wear: number | null }
  /** What is out of its window, and what is within it. */
  | ({ claim: 'order-leaves' } & OrderComes)
  | ({ claim: 'order-brings' } & OrderComes)
  | { claim: 'check-follows'; steps: readonly string[]; last: string }
  | { claim: 'bearing'; test: string; bearing: BearingId; way: 'turns' | 'still' }
  | { claim: 'start'; pedal: readonly number[]; throttle: readonly number[]; way: 'stalled' }
  | {
      claim: 'start-heat';
      pedal: readonly number[];
      throttle: readonly number[];
      heat: number;
      limit: number;
    }
  | {
      claim: 'start-roll';
      pedal: readonly number[];
      throttle: readonly number[];
      rolled: number;
      limit: number;
    }
  | {
      claim: 'clearance';
      thickness: number;
      value: number;
      low: number;
      high: number;
      way: Against;
    }
  | { claim: 'gives-first'; limits: readonly UpgradeLimit[] }
  | { claim: 'does-not-give'; limit: UpgradeLimit }
  | { claim: 'could-hold'; before: number; after: number; load: number };

/** Where a reading lies against its window. */
export type Against = 'under' | 'inside' | 'over';

/** m of a window that is rounding. */
const HAIR = 1e-6;

const against = (value: number, low: number, high: number): Against =>
  value < low - HAIR ? 'under' : value > high + HAIR ? 'over' : 'inside';

/** A reading and the window that it is to lie in. */
export interface Windowed {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly way: Against;
}

const windowed = (value: number, [low, high]: readonly [number, number]): Windowed => ({
  value,
  low,
  high,
  way: against(value, low, high),
});

/** Free play at the pedal, or where the over-centre spring passes its centre; `null` without one. */
export function readInWindow(
  clutch: Clutch,
  state: ClutchState,
  of: 'play' | 'centre',
): Windowed | null {
  const now = readLinkage(clutch, state);
  const { pedalPlay, centre } = clutch.limits;
  if (of === 'play') return windowed(now.pedalPlay, pedalPlay);
  return centre && now.centre !== null ? windowed(now.centre, centre) : null;
}

/** The clearance that a selective part gives; `null` where it is none of the pack's. */
export function clearanceOf(
  question: Extract<ClutchQuestion, { kind: 'choose-selective' }>,
  pack: ClutchPack,
  thickness: number,
): (Windowed & { readonly thickness: number }) | null {
  const fitted = fittedPack(pack, question);
  const choice = selectiveChoices(fitted).find(
    (c) => Math.abs(c.thickness - thickness) < SAME_PART,
  );
  return choice
    ? { thickness: choice.thickness, ...windowed(choice.clearance, fitted.clearance) }
    : null;
}

const sameWindow = (a: Windowed, b: Omit<Windowed, 'way'> & { way?: Against }): boolean =>
  sameNumber(a.value, b.value) &&
  sameNumber(a.low, b.low) &&
  sameNumber(a.high, b.high) &&
  (b.way === undefined || a.way === b.way);

/** The linkage as a student has set it; the line has been bled. */
export const setTo = (
  clutch: Clutch,
  wear: number,
  { forkRod, turnbuckle }: { readonly forkRod: number; readonly turnbuckle: number },
): ClutchState => ({ ...handedOut(clutch, wear), air: 0, forkRod, turnbuckle });

/** What is asked of the clutch in a question's gear, and what it holds; `null` where that can't be said. */
export function holdingOf(
  question: Extract<ClutchQuestion, { kind: 'will-it-hold' }>,
  rig: ClutchRig,
) {
  const { clutch, engine, unit, vehicle } = rig;
  if (!clutch || !engine || !unit || !vehicle) return null;
  const { throttle, grade, oil, wear } = question;
  const gears = demands({ engine: engineModel(engine), unit, vehicle, throttle, grade });
  const state = { ...AS_BUILT, oil };
  return {
    gears,
    state,
    asked: gears.find((g) => g.range === question.range)?.torque ?? null,
    value: holdingTorque(clutch, worn(clutch, state, wear)),
    asNew: holdingTorque(clutch, state),
    clean: holdingTorque(clutch, worn(clutch, AS_BUILT, wear)),
  };
}

const starts = onceFor<ClutchRig, ReturnType<typeof runStart>>();

/** A start as it is drawn, run. */
export const startOf = (
  question: Extract<ClutchQuestion, { kind: 'draw-start' }>,
  rig: ClutchRig,
  { pedal, throttle }: { readonly pedal: readonly number[]; readonly throttle: readonly number[] },
) =>
  starts(rig, JSON.stringify([question, pedal, throttle]), () =>
    runStart(question, rig, { pedal, throttle }),
  );

/** Asks the clutch or the pack itself whether a claim is so. */
export function clutchClaimHolds(
  claim: ClutchClaim,
  question: ClutchQuestion,
  rig: ClutchRig,
): boolean {
  const { clutch, pack, engine } = rig;
  switch (claim.claim) {
    case 'play':
    case 'centre': {
      if (question.kind !== 'set-free-play' || !clutch) return false;
      const now = readInWindow(clutch, setTo(clutch, question.wear, claim), claim.claim);
      return now !== null && sameWindow(now, claim);
    }
    case 'gap': {
      if (question.kind !== 'set-free-play' || !clutch) return false;
      const { gap } = readLinkage(clutch, setTo(clutch, question.wear, claim));
      return (
        sameNumber(gap, claim.value) &&
        sameNumber(clutch.limits.releasedGap, claim.least) &&
        (claim.way === 'drags') === gap < 0
      );
    }
    case 'untouched': {
      if (question.kind !== 'set-free-play' || !clutch) return false;
      const start = handedOut(clutch, question.wear);
      return claim.part === 'fork-rod'
        ? sameNumber(start.forkRod, claim.forkRod)
        : sameNumber(start.turnbuckle, claim.turnbuckle);
    }
    case 'holds': {
      const now = question.kind === 'will-it-hold' ? holdingOf(question, rig) : null;
      return (
        now !== null &&
        now.asked !== null &&
        sameNumber(now.value, claim.value) &&
        sameNumber(now.asked, claim.asked) &&
        sameNumber(now.asNew, claim.asNew) &&
        (claim.way === 'more') === now.value >= now.asked
      );
    }
    case 'faces': {
      const now = question.kind === 'will-it-hold' ? holdingOf(question, rig) : null;
      return (
        now !== null &&
        sameNumber(now.value, claim.value) &&
        sameNumber(now.value / 2, claim.oneFace)
      );
    }
    case 'clean': {
      const now = question.kind === 'will-it-hold' ? holdingOf(question, rig) : null;
      return (
        now !== null && sameNumber(now.value, claim.value) && sameNumber(now.clean, claim.clean)
      );
    }
    case 'slips-from': {
      const now = question.kind === 'will-it-hold' ? holdingOf(question, rig) : null;
      const gear = now?.gears.find((g) => g.range === claim.range);
      if (!now || !gear || !clutch) return false;
      const wear = slipWear(clutch, gear.torque, now.state);
      return wear === null
        ? claim.wear === null
        : claim.wear !== null && sameNumber(wear, claim.wear);
    }
    case 'order-leaves':
    case 'order-brings': {
      const now =
        clutch &&
        readInWindow(
          clutch,
          afterSteps(
            clutch,
            claim.steps,
            question.kind === 'adjust-order' ? question.wear : undefined,
          ),
          claim.of,
        );
      const inside = claim.claim === 'order-brings';
      return now !== null && (now.way === 'inside') === inside && sameWindow(now, claim);
    }
    case 'check-follows':
      return claim.steps.at(-1) === claim.last && claim.last !== 'check-gap';
    case 'bearing': {
      const test = NOISE_TESTS.find((n) => n.id === claim.test);
      if (!test || !clutch || !engine) return false;
      const run = bearingRuns(clutch, AS_BUILT, test, engine.idleRpm).find(
        (r) => r.bearing === claim.bearing,
      );
      return run !== undefined && run.turns === (claim.way === 'turns');
    }
    case 'start':
    case 'start-heat':
    case 'start-roll': {
      const run = question.kind === 'draw-start' ? startOf(question, rig, claim) : null;
      if (!run || question.kind !== 'draw-start') return false;
      if (claim.claim === 'start') return run.stalled;
      if (claim.claim === 'start-heat')
        return sameNumber(run.heat, claim.heat) && sameNumber(question.heat, claim.limit);
      return sameNumber(run.rolledBack, claim.rolled) && claim.limit === MAY_ROLL;
    }
    case 'clearance': {
      if (!pack || question.kind !== 'choose-selective') return false;
      const now = clearanceOf(question, pack, claim.thickness);
      return now !== null && sameWindow(now, claim);
    }
    case 'gives-first':
    case 'does-not-give': {
      if (!pack || question.kind !== 'upgrade-limit') return false;
      const { limits } = judgePack(
        upgraded(pack, question.upgrade),
        question.duty,
        question.upgrade,
      );
      return claim.claim === 'gives-first'
        ? limits.length === claim.limits.length && limits.every((l) => claim.limits.includes(l))
        : !limits.includes(claim.limit);
    }
    case 'could-hold': {
      if (!pack || question.kind !== 'upgrade-limit') return false;
      const after = upgraded(pack, question.upgrade);
      return (
        sameNumber(packTorque(pack, pack.pressure), claim.before) &&
        sameNumber(packTorque(after, after.pressure), claim.after) &&
        sameNumber(question.load, claim.load) &&
        claim.load <= claim.before &&
        claim.load <= claim.after
      );
    }
    case 'off-by':
    case 'times-right': {
      if (question.kind === 'will-it-hold')
        return numberClaimHolds(claim, holdingOf(question, rig)?.value ?? null, question.tolerance);
      return (
        question.kind === 'upgrade-limit' &&
        question.ask === 'carried' &&
        numberClaimHolds(claim, question.load, question.tolerance)
      );
    }
  }
}

/** The clearance as the gauge reads it, as the question hands the pack out. */
export const gaugedNow = (
  question: Extract<ClutchQuestion, { kind: 'choose-selective' }>,
  rig: ClutchRig,
): number => gaugeReading(fittedPack(rig.pack!, question));
