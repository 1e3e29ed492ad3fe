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
} from '../clutch';
import { misadjusted } from './clutchSetup';
import {
  clutchKey,
  fittedPack,
  handedOut,
  runStart,
  startJudged,
  type ClutchKey,
  type ClutchKeyResult,
  type ClutchQuestionFault,
} from './clutchKey';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './clutchQuestion';
import type { Misconception } from './misconceptions';
import { within } from './questionParts';

/** Parts of an answer about a clutch. */
export type ClutchPart =
  | 'play'
  | 'centre'
  | 'gap'
  | 'holds'
  | 'value'
  | 'gear'
  | 'order-works'
  | 'check-last'
  | 'test'
  | 'runs'
  | 'started'
  | 'stays'
  | 'cool'
  | 'thickness'
  | 'limit';

export interface ClutchGradedPart {
  readonly part: ClutchPart;
  readonly right: boolean;
}

export interface ClutchGrade {
  readonly score: number;
  readonly parts: readonly ClutchGradedPart[];
  readonly misconception: Misconception | null;
}

export type ClutchGradeResult =
  | { readonly ok: true; readonly grade: ClutchGrade }
  | { readonly ok: false; readonly fault: ClutchQuestionFault };

interface Judged {
  readonly parts: readonly ClutchGradedPart[];
  readonly misconception: Misconception | null;
}

type Of<T extends { kind: string }, K extends T['kind']> = Extract<T, { kind: K }>;

/**
 * Grades answers to one question; its key is computed once, however many answers there are.
 * @param result the question's key, where it is known already: that of a start takes a search
 * @returns a grader, or why the question can't be asked
 */
export function clutchGrader(
  question: ClutchQuestion,
  rig: ClutchRig,
  result: ClutchKeyResult = clutchKey(question, rig),
):
  | { readonly ok: true; readonly grade: (answer: ClutchAnswer) => ClutchGrade }
  | { readonly ok: false; readonly fault: ClutchQuestionFault } {
  if (!result.ok) return result;
  return {
    ok: true,
    grade: (answer) => {
      if (answer.kind !== question.kind)
        throw new Error(`clutchGrader: expected "${question.kind}", got "${answer.kind}"`);
      const { parts, misconception } = judge(question, rig, result.key, answer);
      const score = parts.filter((p) => p.right).length / parts.length;
      return { score, parts, misconception: score === 1 ? null : misconception };
    },
  };
}

/** @throws Error when the answer is of another kind than the question */
export function gradeClutch(
  question: ClutchQuestion,
  rig: ClutchRig,
  answer: ClutchAnswer,
  known?: ClutchKeyResult,
): ClutchGradeResult {
  const grader = clutchGrader(question, rig, known);
  return grader.ok ? { ok: true, grade: grader.grade(answer) } : grader;
}

function judge(
  question: ClutchQuestion,
  rig: ClutchRig,
  key: ClutchKey,
  answer: ClutchAnswer,
): Judged {
  switch (answer.kind) {
    case 'set-free-play':
      return playSet(question as Of<ClutchQuestion, 'set-free-play'>, rig.clutch!, answer);
    case 'will-it-hold':
      return held(question as Of<ClutchQuestion, 'will-it-hold'>, rig, key, answer);
    case 'adjust-order':
      return ordered(rig.clutch!, answer.order);
    case 'noise-test':
      return listened(question as Of<ClutchQuestion, 'noise-test'>, rig, key, answer.test);
    case 'draw-start':
      return started(question as Of<ClutchQuestion, 'draw-start'>, rig, answer);
    case 'choose-selective':
      return selected(question as Of<ClutchQuestion, 'choose-selective'>, rig, key, answer);
    case 'upgrade-limit':
      return upgradedTo(question as Of<ClutchQuestion, 'upgrade-limit'>, rig, key, answer);
  }
}

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
  const code: Misconception | null =
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
  if (key.kind !== 'will-it-hold') throw new Error(`clutchGrader: key "${key.kind}" does not fit`);
  const near = (wanted: number) =>
    answer.value !== undefined && within(question.tolerance, wanted, answer.value);
  const code: Misconception | null = near(key.value / 2)
    ? 'counts-one-face'
    : near(key.asNew) && !near(key.value)
      ? 'wear-changes-nothing'
      : answer.holds === false && key.holds && key.value > key.asNew
        ? 'wear-only-weakens'
        : null;
  return {
    parts: [
      { part: 'holds', right: answer.holds === key.holds },
      { part: 'value', right: near(key.value) },
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
  const code: Misconception | null =
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
  const code: Misconception | null = !runs
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
  if (key.kind !== 'carried') throw new Error(`clutchGrader: key "${key.kind}" does not fit`);
  const near = (wanted: number) =>
    answer.value !== undefined && within(tolerance, wanted, answer.value);
  const before = packTorque(pack!, pack!.pressure);
  const after = upgraded(pack!, upgrade);
  const now = packTorque(after, after.pressure);
  const more = near(now) || near((load * now) / before);
  return {
    parts: [{ part: 'value', right: near(key.value) }],
    misconception: more && !near(key.value) ? 'more-plates-carry-more' : null,
  };
}
