import { linkageVerdicts, orderWorks, type Adjustment, type Clutch } from '../../../clutch';
import { handedOut, runStart, SAME_PART, startJudged, type ClutchKey } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import type { Asked, Family, GradedPart, Judged as JudgedAs, Of } from '../../family';
import { within } from '../../questionParts';
import type { ClutchPart, ClutchTypes } from './types';

type Judged = JudgedAs<ClutchPart>;
type AskedAs<K> = Asked<ClutchTypes, K>;
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
  return { parts };
}

function held({ question, key, answer }: AskedAs<'will-it-hold'>): Judged {
  if (key.kind === 'slips-first')
    return { parts: [{ part: 'gear', right: answer.range === key.range }] };
  const { value, holds } = key;
  const near = answer.value !== undefined && within(question.tolerance, value, answer.value);
  return {
    parts: [
      { part: 'holds', right: answer.holds === holds },
      { part: 'value', right: near },
    ],
  };
}

function ordered(clutch: Clutch, wear: number | undefined, order: readonly string[]): Judged {
  const steps = order as readonly Adjustment[];
  const works = orderWorks(clutch, handedOut(clutch, wear), [
    ...steps.filter((s) => s !== 'check-gap'),
    'check-gap',
  ]);
  const last = order.at(-1) === 'check-gap';
  return {
    parts: [
      { part: 'order-works', right: works },
      { part: 'check-last', right: last },
    ],
  };
}

const listened = (key: Of<ClutchKey, 'noise-test'>, chosen: string): Judged => ({
  parts: [{ part: 'test', right: key.right.includes(chosen) }],
});

function started(
  question: Of<ClutchQuestion, 'draw-start'>,
  rig: ClutchRig,
  answer: Of<ClutchAnswer, 'draw-start'>,
): Judged {
  const summary = runStart(question, rig, answer)!;
  const { runs, started: off, stays, cool } = startJudged(summary, question.heat);
  return {
    parts: [
      { part: 'runs', right: runs },
      { part: 'started', right: off },
      { part: 'stays', right: stays },
      { part: 'cool', right: cool },
    ],
  };
}

const selected = (
  key: Of<ClutchKey, 'choose-selective'>,
  { thickness }: Of<ClutchAnswer, 'choose-selective'>,
): Judged => ({
  parts: [
    {
      part: 'thickness',
      right: key.right.some((c) => Math.abs(c.thickness - thickness) < SAME_PART),
    },
  ],
});

function upgradedTo({ question, key, answer }: AskedAs<'upgrade-limit'>): Judged {
  if (key.kind === 'upgrade-limit') {
    const right = answer.limit !== undefined && key.limits.includes(answer.limit);
    return { parts: [{ part: 'limit', right }] };
  }
  const right = answer.value !== undefined && within(question.tolerance, key.value, answer.value);
  return { parts: [{ part: 'value', right }] };
}

export const judge: Family<ClutchTypes>['judge'] = {
  'set-free-play': ({ question, subject, answer }) =>
    playSet(question, subject.rig.clutch!, answer),
  'will-it-hold': held,
  'adjust-order': ({ question, subject, answer }) =>
    ordered(subject.rig.clutch!, question.wear, answer.order),
  'noise-test': ({ key, answer }) => listened(key, answer.test),
  'draw-start': ({ question, subject, answer }) => started(question, subject.rig, answer),
  'choose-selective': ({ key, answer }) => selected(key, answer),
  'upgrade-limit': upgradedTo,
};
