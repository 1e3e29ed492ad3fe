import { found, refused, type KeyResult } from '../../family';
import {
  adjusted,
  adjustmentsOf,
  AS_BUILT,
  bestSelective,
  clutchWorks,
  holdingTorque,
  judgePack,
  orderWorks,
  packTorque,
  selectiveChoices,
  separatingTests,
  upgraded,
  withSelective,
  worn,
  type Adjustment,
  type Clutch,
  type ClutchPack,
  type ClutchState,
  type SelectiveChoice,
  type UpgradeLimit,
} from '../../../clutch';
import { engineModel } from '../../../converter';
import {
  brakeTrace,
  demands,
  engage,
  FEET_AT,
  feetTrace,
  slipWear,
  START_SECONDS,
  type EngagementSummary,
} from '../../../shift';
import { misadjusted } from './setup';
import type {
  ChooseSelectiveQuestion,
  ClutchQuestion,
  ClutchRig,
  DrawStartQuestion,
  UpgradeLimitQuestion,
  WillItHoldQuestion,
} from './kinds';

/** The right answers to questions about clutches and packs, computed from the models when they are asked for. */
export type ClutchKey =
  | { readonly kind: 'set-free-play'; readonly forkRod: number; readonly turnbuckle: number }
  | {
      readonly kind: 'will-it-hold';
      readonly holds: boolean;
      /** N·m that it holds, that are asked, and that it held when new. */
      readonly value: number;
      readonly asked: number;
      readonly asNew: number;
    }
  | {
      readonly kind: 'slips-first';
      readonly range: string;
      readonly gear: string;
      readonly wear: number;
    }
  | { readonly kind: 'adjust-order'; readonly example: readonly Adjustment[] }
  | { readonly kind: 'noise-test'; readonly right: readonly string[] }
  | {
      readonly kind: 'draw-start';
      readonly pedal: readonly number[];
      readonly throttle: readonly number[];
      readonly summary: EngagementSummary;
    }
  | {
      readonly kind: 'choose-selective';
      readonly best: SelectiveChoice;
      readonly right: readonly SelectiveChoice[];
    }
  | { readonly kind: 'upgrade-limit'; readonly limits: readonly UpgradeLimit[] }
  | { readonly kind: 'carried'; readonly value: number };

/** Why a question can't be asked as it stands. */
export type ClutchKeyFault =
  | 'clutch-missing'
  | 'clutch-broken'
  | 'pack-missing'
  | 'drive-missing'
  | 'range-missing'
  | 'linkage-can-not-be-set'
  | 'no-test-separates'
  | 'no-start-found'
  | 'never-slips'
  | 'no-part-fits'
  | 'pack-would-slip';

export type ClutchKeyResult = KeyResult<ClutchKey, ClutchKeyFault>;

export function clutchKey(question: ClutchQuestion, rig: ClutchRig): ClutchKeyResult {
  if (question.kind === 'choose-selective' || question.kind === 'upgrade-limit') {
    if (!rig.pack) return refused('pack-missing');
    return question.kind === 'upgrade-limit'
      ? upgradeKey(question, rig.pack)
      : selectiveKey(fittedPack(rig.pack, question));
  }
  const { clutch } = rig;
  if (!clutch) return refused('clutch-missing');
  if (!clutchWorks(clutch)) return refused('clutch-broken');
  switch (question.kind) {
    case 'set-free-play':
      return playKey(clutch, question.wear);
    case 'adjust-order': {
      const example = adjustmentsOf(clutch);
      return orderWorks(clutch, handedOut(clutch, question.wear), example)
        ? found({ kind: 'adjust-order', example })
        : refused('linkage-can-not-be-set');
    }
    case 'noise-test': {
      const idle = rig.engine?.idleRpm;
      if (idle === undefined) return refused('drive-missing');
      const right = separatingTests(clutch, AS_BUILT, question.first, question.second, idle);
      return right.length > 0 ? found({ kind: 'noise-test', right }) : refused('no-test-separates');
    }
    case 'will-it-hold':
      return holdKey(question, clutch, rig);
    case 'draw-start':
      return startKey(question, rig);
  }
}

/** How a linkage that is out in every way stands after these adjustments, in their order. */
export const afterSteps = (
  clutch: Clutch,
  steps: readonly Adjustment[],
  wear?: number,
): ClutchState =>
  steps.reduce<ClutchState>(
    (state, step) => adjusted(clutch, state, step),
    handedOut(clutch, wear),
  );

/** m within which two thicknesses are the same part. */
export const SAME_PART = 1e-6;

/** A linkage that is out in every way, as a question hands it out. @param wear m that the disc has lost */
export const handedOut = (clutch: Clutch, wear = 0): ClutchState =>
  misadjusted(clutch, worn(clutch, AS_BUILT, wear));

function playKey(clutch: Clutch, wear: number): ClutchKeyResult {
  const start = handedOut(clutch, wear);
  const steps = adjustmentsOf(clutch);
  if (!orderWorks(clutch, start, steps)) return refused('linkage-can-not-be-set');
  const { forkRod, turnbuckle } = steps.reduce<ClutchState>(
    (s, step) => adjusted(clutch, s, step),
    start,
  );
  return found({ kind: 'set-free-play', forkRod, turnbuckle });
}

function holdKey(question: WillItHoldQuestion, clutch: Clutch, rig: ClutchRig): ClutchKeyResult {
  const { engine, unit, vehicle } = rig;
  if (!engine || !unit || !vehicle) return refused('drive-missing');
  const { throttle, grade, oil, wear } = question;
  const gears = demands({ engine: engineModel(engine), unit, vehicle, throttle, grade });
  const state = { ...AS_BUILT, oil };
  if (question.ask === 'slips-first') {
    const from = gears.flatMap((g) => {
      const at = slipWear(clutch, g.torque, state);
      return at === null ? [] : [{ ...g, at }];
    });
    const first = from.sort((a, b) => a.at - b.at || a.ratio - b.ratio)[0];
    if (!first) return refused('never-slips');
    return found({ kind: 'slips-first', range: first.range, gear: first.gear, wear: first.at });
  }
  const gear = gears.find((g) => g.range === question.range);
  if (!gear) return refused('range-missing');
  const value = holdingTorque(clutch, worn(clutch, state, wear));
  return found({
    kind: 'will-it-hold',
    holds: value >= gear.torque,
    value,
    asked: gear.torque,
    asNew: holdingTorque(clutch, state),
  });
}

/** The step of a run that is graded, and of the runs that look for an example, s. */
const GRADE_STEP = 0.002;
const SEARCH_STEP = 0.004;

/** A drawn start, run; `null` when engine, unit, vehicle or range is missing. */
export function runStart(
  question: DrawStartQuestion,
  rig: ClutchRig,
  feet: { readonly pedal: readonly number[]; readonly throttle: readonly number[] },
  step = GRADE_STEP,
): EngagementSummary | null {
  const setup = startSetup(question, rig, feet);
  return setup && engage({ ...setup, step }).summary;
}

/** Everything that a start is run from, but its step. */
export function startSetup(
  { range, grade, brakeUntil }: DrawStartQuestion,
  { clutch, engine, unit, vehicle }: ClutchRig,
  feet: { readonly pedal: readonly number[]; readonly throttle: readonly number[] },
) {
  const apply = unit?.ranges.find((r) => r.id === range)?.apply;
  if (!clutch || !engine || !unit || !vehicle || !apply) return null;
  return {
    engine: engineModel(engine),
    clutch,
    state: AS_BUILT,
    unit,
    apply,
    vehicle,
    grade,
    pedal: feetTrace(feet.pedal),
    throttle: feetTrace(feet.throttle),
    brake: brakeTrace(brakeUntil),
    seconds: START_SECONDS,
  };
}

/** m/s at the end from which a start has started, and m that it may roll back. */
const STARTED = 0.8;
export const MAY_ROLL = 0.3;

/** What has to be true of a start. */
export const startJudged = (summary: EngagementSummary, heat: number) => ({
  runs: !summary.stalled,
  started: summary.speed >= STARTED && !summary.slipping,
  stays: summary.rolledBack <= MAY_ROLL,
  cool: summary.heat <= heat,
});

/** Ways to start that a good foot would try, until one does. */
function startKey(question: DrawStartQuestion, rig: ClutchRig): ClutchKeyResult {
  if (!rig.engine || !rig.unit || !rig.vehicle) return refused('drive-missing');
  if (!rig.unit.ranges.some((r) => r.id === question.range)) return refused('range-missing');
  for (const throttle of [0.6, 0.8, 0.45, 1, 0.3])
    for (const letUp of [2.2, 1.6, 2.8, 1.2]) {
      const feet = {
        pedal: letUpTrace(letUp),
        throttle: FEET_AT.map((t) => (t < 0.3 ? 0.2 : throttle)),
      };
      const coarse = runStart(question, rig, feet, SEARCH_STEP);
      if (!coarse || !allRight(startJudged(coarse, question.heat))) continue;
      const summary = runStart(question, rig, feet)!;
      if (allRight(startJudged(summary, question.heat)))
        return found({ kind: 'draw-start', ...feet, summary });
    }
  return refused('no-start-found');
}

const allRight = (judged: Readonly<Record<string, boolean>>): boolean =>
  Object.values(judged).every(Boolean);

/** To the bite at once, then let up evenly within so many seconds. */
const letUpTrace = (seconds: number): number[] =>
  FEET_AT.map((time) => {
    if (time === 0) return 1;
    return Number(Math.max(0, 0.5 * (1 - (time - 0.4) / seconds)).toFixed(3));
  });

/** The pack with the part in it that the question opens with, and its way of measuring. */
export function fittedPack(
  pack: ClutchPack,
  { fitted, measured }: Pick<ChooseSelectiveQuestion, 'fitted' | 'measured'>,
): ClutchPack {
  const asked = measured ? { ...pack, measured } : pack;
  return fitted > 0 ? withSelective(asked, fitted) : asked;
}

function selectiveKey(pack: ClutchPack): ClutchKeyResult {
  const right = selectiveChoices(pack).filter((c) => c.inside);
  const best = bestSelective(pack);
  return best?.inside ? found({ kind: 'choose-selective', best, right }) : refused('no-part-fits');
}

function upgradeKey(
  { ask, upgrade, duty, load }: UpgradeLimitQuestion,
  pack: ClutchPack,
): ClutchKeyResult {
  if (ask === 'limit')
    return found({
      kind: 'upgrade-limit',
      limits: judgePack(upgraded(pack, upgrade), duty, upgrade).limits,
    });
  // A pack that holds carries what is sent through it, whatever it could hold.
  return packTorque(pack, pack.pressure) >= load
    ? found({ kind: 'carried', value: load })
    : refused('pack-would-slip');
}
