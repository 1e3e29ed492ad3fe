import type { ClutchSlip } from './slips';
import {
  AS_BUILT,
  bearingRuns,
  linkageVerdicts,
  NOISE_TESTS,
  orderWorks,
  packTorque,
  selectiveNow,
  gaugeReading,
  upgraded,
  type Adjustment,
  type Clutch,
} from '../../../clutch';
import { fittedPack, handedOut, runStart, startJudged, type ClutchKey } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import {
  keyAs,
  type Family,
  type GradedPart,
  type Judged as JudgedAs,
  type Of,
} from '../../family';
import { within } from '../../questionParts';
import type { ClutchPart, ClutchTypes } from './types';
import { misadjusted } from './setup';

type Judged = JudgedAs<ClutchPart, ClutchSlip>;
type ClutchGradedPart = GradedPart<ClutchPart>;

function playSet(
  { wear }: Of<ClutchQuestion, 'set-free-play'>,
  clutch: Clutch,
  { forkRod, turnbuckle }: Of<ClutchAnswer, 'set-free-play'>,
): Judged {
  // Air is not the question here: the line has been bled.
  const state = { ...handedOut(clutch, wear), air: 0, forkRod, turnbuckle };
  const out = linkageVerdicts(clutch, state);
  const play = !out.includes('play-short') && !out.includes('play-long');
  const centre = !out.includes('centre-early') && !out.includes('centre-late');
  const parts: ClutchGradedPart[] = [
    { part: 'play', right: play },
    ...(clutch.linkage.overCentre ? [{ part: 'centre' as const, right: centre }] : []),
    { part: 'gap', right: !out.includes('drags') && !out.includes('gap-small') },
  ];
  const code: ClutchSlip | null =
    play && !centre
      ? 'play-at-the-turnbuckle'
      : out.includes('play-short')
        ? 'play-is-slack'
        : out.includes('play-long')
          ? 'more-play-is-safer'
          : null;
  return { parts, misconception: code };
}

function held(
  question: Of<ClutchQuestion, 'will-it-hold'>,
  { unit }: ClutchRig,
  key: ClutchKey,
  answer: Of<ClutchAnswer, 'will-it-hold'>,
): Judged {
  if (key.kind === 'slips-first') {
    const right = answer.range === key.range;
    const lowest = unit?.ranges.find((r) => r.id === answer.range)?.gear === '1';
    return {
      parts: [{ part: 'gear', right }],
      misconception: !right && lowest ? 'slips-low-first' : null,
    };
  }
  const { value, asNew, holds } = keyAs(key, 'will-it-hold');
  const near = (wanted: number) =>
    answer.value !== undefined && within(question.tolerance, wanted, answer.value);
  const code: ClutchSlip | null = near(value / 2)
    ? 'counts-one-face'
    : near(asNew) && !near(value)
      ? 'wear-changes-nothing'
      : answer.holds === false && holds && value > asNew
        ? 'wear-only-weakens'
        : null;
  return {
    parts: [
      { part: 'holds', right: answer.holds === holds },
      { part: 'value', right: near(value) },
    ],
    misconception: code,
  };
}

function ordered(clutch: Clutch, order: readonly string[]): Judged {
  const steps = order as readonly Adjustment[];
  const works = orderWorks(clutch, misadjusted(clutch, AS_BUILT), [
    ...steps.filter((s) => s !== 'check-gap'),
    'check-gap',
  ]);
  const last = order.at(-1) === 'check-gap';
  return {
    parts: [
      { part: 'order-works', right: works },
      { part: 'check-last', right: last },
    ],
    misconception: works ? (last ? null : 'checks-too-early') : 'fork-rod-first',
  };
}

function listened(
  { first, second }: Of<ClutchQuestion, 'noise-test'>,
  { clutch, engine }: ClutchRig,
  key: ClutchKey,
  chosen: string,
): Judged {
  const right = key.kind === 'noise-test' && key.right.includes(chosen);
  const test = NOISE_TESTS.find((n) => n.id === chosen);
  const runs = test ? bearingRuns(clutch!, AS_BUILT, test, engine!.idleRpm) : [];
  const turning = runs.filter((r) => r.turns && [first, second].includes(r.bearing)).length;
  const code: ClutchSlip | null =
    turning === 2 ? 'both-turn' : turning === 0 ? 'neither-turns' : null;
  return { parts: [{ part: 'test', right }], misconception: code };
}

function started(
  question: Of<ClutchQuestion, 'draw-start'>,
  rig: ClutchRig,
  answer: Of<ClutchAnswer, 'draw-start'>,
): Judged {
  const summary = runStart(question, rig, answer)!;
  const { runs, started: off, stays, cool } = startJudged(summary, question.heat);
  const code: ClutchSlip | null = !runs
    ? 'dumps-the-clutch'
    : !cool
      ? 'slips-to-be-gentle'
      : !stays
        ? 'rolls-before-it-bites'
        : null;
  return {
    parts: [
      { part: 'runs', right: runs },
      { part: 'started', right: off },
      { part: 'stays', right: stays },
      { part: 'cool', right: cool },
    ],
    misconception: code,
  };
}

function selected(
  question: Of<ClutchQuestion, 'choose-selective'>,
  { pack }: ClutchRig,
  key: ClutchKey,
  { thickness }: Of<ClutchAnswer, 'choose-selective'>,
): Judged {
  const right =
    key.kind === 'choose-selective' &&
    key.right.some((c) => Math.abs(c.thickness - thickness) < SAME_PART);
  const now = fittedPack(pack!, question);
  const clearance = gaugeReading(now);
  const wider = thickness > selectiveNow(now);
  const wrongWay =
    (clearance < now.clearance[0] && wider) || (clearance > now.clearance[1] && !wider);
  return {
    parts: [{ part: 'thickness', right }],
    misconception: wrongWay ? 'thicker-gives-more-clearance' : null,
  };
}

/** m within which two thicknesses are the same part. */
export const SAME_PART = 1e-6;

function upgradedTo(
  { upgrade, load, tolerance }: Of<ClutchQuestion, 'upgrade-limit'>,
  { pack }: ClutchRig,
  key: ClutchKey,
  answer: Of<ClutchAnswer, 'upgrade-limit'>,
): Judged {
  if (key.kind === 'upgrade-limit') {
    const right = answer.limit !== undefined && key.limits.includes(answer.limit);
    const free = !right && answer.limit === 'none';
    return { parts: [{ part: 'limit', right }], misconception: free ? 'upgrades-are-free' : null };
  }
  const { value } = keyAs(key, 'carried');
  const near = (wanted: number) =>
    answer.value !== undefined && within(tolerance, wanted, answer.value);
  const before = packTorque(pack!, pack!.pressure);
  const after = upgraded(pack!, upgrade);
  const now = packTorque(after, after.pressure);
  const more = near(now) || near((load * now) / before);
  return {
    parts: [{ part: 'value', right: near(value) }],
    misconception: more && !near(value) ? 'more-plates-carry-more' : null,
  };
}

export const judge: Family<ClutchTypes>['judge'] = {
  'set-free-play': ({ question, subject, answer }) =>
    playSet(question, subject.rig.clutch!, answer),
  'will-it-hold': ({ question, subject, key, answer }) => held(question, subject.rig, key, answer),
  'adjust-order': ({ subject, answer }) => ordered(subject.rig.clutch!, answer.order),
  'noise-test': ({ question, subject, key, answer }) =>
    listened(question, subject.rig, key, answer.test),
  'draw-start': ({ question, subject, answer }) => started(question, subject.rig, answer),
  'choose-selective': ({ question, subject, key, answer }) =>
    selected(question, subject.rig, key, answer),
  'upgrade-limit': ({ question, subject, key, answer }) =>
    upgradedTo(question, subject.rig, key, answer),
};
