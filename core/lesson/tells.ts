import type { GearSetSetup } from '../geartrain';
import { randomFromSeed } from '../numerics';
import { keyFor } from './assess';
import { graderIn } from './grading';
import {
  FAMILIES,
  familyNamed,
  type AnyClaim,
  type AnyKey,
  type AnyTypes,
  type Subject,
} from './families/families';
import type { NumberQuestion } from './families/gear-set/kinds';
import { otherTeeth } from './families/gear-set/vary';
import type { Family } from './family';
import type { Thought } from './learners';
import type { Misconception } from './misconceptions';
import { within, type Tolerance } from './questionParts';
import { familyOf, type Answer, type Question } from './question';

/** What a question is worth: which ways of thinking it tells, and how likely a guess is right. */
export interface Tells {
  /** Ways of thinking whose answer is theirs alone. */
  readonly told: readonly Misconception[];
  /** Two that give one answer. */
  readonly together: readonly (readonly [Misconception, Misconception])[];
  /** Chance that a guess is right, 0 to 1; `null` where guessing has no odds. */
  readonly guess: number | null;
}

/** @returns `null` where the question can't be asked as it stands */
export function tellsOf(question: Question, subject: Subject): Tells | null {
  const result = keyFor(question, subject);
  if (!result.ok) return null;
  const family = familyNamed(familyOf(question));
  const grader = graderIn(family, question, subject, result);
  if (!grader.ok) return null;
  const told = new Set<Misconception>();
  const together = new Map<string, readonly [Misconception, Misconception]>();
  for (const thought of thoughtsOf(family, question, subject, result.key)) {
    if (!grader.fits(thought.answer)) continue;
    const [one, other] = grader.grade(thought.answer).why.named.map((n) => n.slip);
    if (one && other) together.set([one, other].sort().join(), [one, other]);
    else if (one) told.add(one);
  }
  return {
    told: [...told],
    together: [...together.values()].filter((pair) => !pair.every((s) => told.has(s))),
    guess: guessOf(question, result.key),
  };
}

const thoughtsOf = (
  { reasons }: Pick<Family<AnyTypes>, 'reasons'>,
  question: Question,
  subject: Subject,
  key: AnyKey,
) =>
  reasons.thoughts[question.kind]({ question, subject, key } as never) as readonly Thought<
    Answer,
    Misconception,
    AnyClaim
  >[];

/** Somebody who guesses a number takes one from a tenth of it to ten times it, each decade alike. */
const GUESSED_DECADES = 2;

function numberGuess(right: number, { kind, value }: Tolerance): number {
  const share = kind === 'percent' ? value / 100 : value / Math.abs(right);
  return share >= 1 ? 1 : Math.min(1, Math.log10((1 + share) / (1 - share)) / GUESSED_DECADES);
}

function guessOf(question: Question, key: AnyKey): number | null {
  switch (key.kind) {
    case 'number':
      return question.kind === 'number'
        ? numberGuess(key.value, question.tolerance) / (question.direction ? 2 : 1)
        : null;
    case 'choice':
      return key.right.length / key.options.length;
    case 'roles':
      return key.right.length / 6;
    case 'drive-or-coast':
      return 1 / 2;
    case 'read-match':
      return question.kind === 'read-match' ? numberGuess(key.value, question.tolerance) : null;
    case 'predict-change':
      return question.kind === 'predict-change'
        ? numberGuess(key.after, question.tolerance) / 3
        : null;
    case 'will-it-hold':
      return question.kind === 'will-it-hold' ? numberGuess(key.value, question.tolerance) : null;
    case 'carried':
      return question.kind === 'upgrade-limit' ? numberGuess(key.value, question.tolerance) : null;
    case 'upgrade-limit':
      return key.limits.length / 6;
    case 'which-test':
      return question.kind === 'which-test' ? 1 / question.offered.length : null;
    case 'launch-order':
      return 1 / factorial(key.events.length);
    case 'own-choice':
      return question.kind === 'own-choice' ? key.right.length / question.options.length : null;
    case 'own-number':
      return question.kind === 'own-number' ? numberGuess(key.value, question.tolerance) : null;
    case 'own-order':
      return 1 / factorial(key.order.length);
    case 'fill-chart':
    case 'trace-path':
    case 'row-outcome':
    case 'reaction':
    case 'operate':
    case 'sketch-curve':
    case 'set-free-play':
    case 'slips-first':
    case 'adjust-order':
    case 'noise-test':
    case 'draw-start':
    case 'choose-selective':
    case 'symptom-row':
    case 'which-element':
    case 'diagnose':
      return null;
  }
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

export interface Separating {
  readonly setup: GearSetSetup;
  /** How many times the one answer is the other. */
  readonly apart: number;
}

/** Sets that are tried. */
const TRIED = 40;

/**
 * Of many sets that can be built, the one on which a way of thinking and the right one differ most, so that nothing else
 * gives its answer.
 * @param slip `null`: the set that tells most ways of thinking apart
 */
export function separatingSetup(
  question: NumberQuestion,
  slip: Misconception | null,
): Separating | null {
  let best: { setup: GearSetSetup; apart: number; worth: number } | null = null;
  for (let k = 0; k < TRIED; k++) {
    const random = randomFromSeed(`separating ${k}`);
    const { setup } = otherTeeth(question, { kind: 'gear-set', setup: question.setup }, random);
    const judged = judgeSetup({ ...question, setup }, slip);
    if (judged && (!best || judged.worth > best.worth)) best = { setup, ...judged };
  }
  return best && { setup: best.setup, apart: best.apart };
}

function judgeSetup(question: NumberQuestion, slip: Misconception | null) {
  const subject = { kind: 'gear-set', setup: question.setup } as const;
  const result = FAMILIES['gear-set'].key(question, subject);
  if (!result.ok || result.key.kind !== 'number') return null;
  const right = result.key.value;
  const about = { question, subject, key: result.key };
  const answers = FAMILIES['gear-set'].reasons.thoughts
    .number(about)
    .map((t) => ({ slip: t.slip, value: t.answer.value }))
    .filter((a) => a.value > 0);
  const times = (a: number, b: number) => Math.max(a / b, b / a);
  if (slip === null) {
    const all = [right, ...answers.map((a) => a.value)];
    const alone = answers.filter(
      (a) => all.filter((v) => within(question.tolerance, v, a.value)).length === 1,
    );
    const apart = Math.min(...answers.map((a) => times(a.value, right)));
    return { apart, worth: alone.length + Math.min(1, apart - 1) };
  }
  const own = answers.filter((a) => a.slip === slip).map((a) => times(a.value, right));
  const others = answers.filter((a) => a.slip !== slip);
  const mixed = answers
    .filter((a) => a.slip === slip)
    .some((a) => others.some((o) => within(question.tolerance, o.value, a.value)));
  if (own.length === 0 || mixed) return null;
  const apart = Math.min(...own);
  return { apart, worth: apart };
}
