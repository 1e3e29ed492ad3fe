import { BIND_REASONS } from './families/gearbox/kinds';
import { SHIFT_MOMENTS } from '../hydraulics';
import { keyFor, posedFor } from './assess';
import { graderIn } from './grading';
import {
  familyNamed,
  type AnyClaim,
  type AnyKey,
  type AnyTypes,
  type Subject,
} from './families/families';
import { subjectFor } from './families/subjects';
import type { Family } from './family';
import type { Thought } from './learners';
import type { Lesson } from './lesson';
import { WORTH_TOLERANCE } from './families/strip-down/tolerances';
import type { Misconception } from './misconceptions';
import { triedOut } from './posed';
import type { Tolerance } from './questionParts';
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

/** An answer that somebody gives who thinks so, and is wrong by it. */
export interface WrongAnswer {
  readonly slip: Misconception;
  readonly answer: Answer;
}

/** What usual ways of thinking answer here: one answer each, and none that counts. Empty where it can't be asked as it stands. */
export function wrongAnswers(question: Question, subject: Subject): WrongAnswer[] {
  const family = familyNamed(familyOf(question));
  const result = keyFor(question, subject);
  const grader = graderIn(family, question, subject, result);
  if (!result.ok || !grader.ok) return [];
  const seen = new Set<Misconception>();
  return thoughtsOf(family, question, subject, result.key).flatMap(({ slip, answer }) => {
    if (seen.has(slip) || !grader.fits(answer) || grader.grade(answer).score === 1) return [];
    seen.add(slip);
    return [{ slip, answer }];
  });
}

/** How the right answer comes about, in facts that hold here; empty where nobody ever answers otherwise. */
export function wayTo(question: Question, subject: Subject): readonly AnyClaim[] {
  const [other] = wrongAnswers(question, subject);
  const grader =
    other &&
    graderIn(familyNamed(familyOf(question)), question, subject, keyFor(question, subject));
  return grader?.ok ? grader.grade(other!.answer).why.facts : [];
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
    case 'spool-places':
      return question.kind === 'spool-places' ? 2 ** -Math.max(1, key.up.length) : null;
    case 'shift-speed':
      return question.kind === 'shift-speed'
        ? numberGuess(key.up, question.tolerance) * numberGuess(key.down, question.tolerance)
        : null;
    case 'oil-fault-row':
      return SHIFT_MOMENTS.length ** -key.row.length;
    case 'which-ball':
      return null;
    case 'kick-down':
      return question.kind === 'kick-down' ? numberGuess(key.engineRpm, question.tolerance) : null;
    case 'set-shift':
    case 'draw-pressures':
    case 'bolt-order':
    case 'trace-oil':
      return null;
    case 'two-gears':
      return 1 / (2 * BIND_REASONS.length);
    case 'which-test':
      return question.kind === 'which-test' ? 1 / question.offered.length : null;
    case 'launch-order':
      return 1 / factorial(key.events.length);
    case 'own-choice':
      return question.kind === 'own-choice' ? key.right.length / question.options.length : null;
    case 'own-number':
      return question.kind === 'own-number' ? numberGuess(key.value, question.tolerance) : null;
    case 'own-order':
    case 'lay-out':
      return 1 / factorial(key.order.length);
    case 'free-now':
      return question.kind === 'free-now' ? 2 ** -question.offered.length : null;
    case 'worth-it':
      return numberGuess(key.value, WORTH_TOLERANCE);
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
    case 'which-side':
    case 'set-waiting':
    case 'draw-crossing':
    case 'strip-order':
    case 'why-first':
    case 'way-round':
    case 'verdict':
    case 'read-gauge':
    case 'choose-size':
    case 'whole-job':
      return null;
  }
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

export interface Separating {
  readonly question: Question;
  readonly subject: Subject;
  /** How many times the one number is the other; `null` where the answer is none. */
  readonly apart: number | null;
}

/** Draws that are tried. */
const TRIED = 24;

/**
 * Of many draws of a question, the one on which a way of thinking and the right one differ most, and nothing else gives its
 * answer.
 * @param slip `null`: the one that tells most ways of thinking, if it tells more than the question as it stands
 * @returns `null` where none is found, and of a question of which nothing is tried out (`triedOut`)
 */
export function separating(
  lesson: Lesson,
  question: Question,
  slip: Misconception | null,
): Separating | null {
  if (!triedOut(familyNamed(familyOf(question)), question)) return null;
  const subject = subjectFor(lesson, question);
  const stands = subject && slip === null ? judged(question, subject, slip) : null;
  let best: (Separating & { worth: number }) | null = null;
  for (let round = 1; round <= TRIED; round++) {
    const seed = { student: '', lessonId: 'separating', questionId: '', round };
    const posed = posedFor(lesson, question, seed);
    const found = posed.subject && judged(posed.question, posed.subject, slip);
    if (found && found.worth > (best ?? stands ?? NOTHING).worth)
      best = { question: posed.question, subject: posed.subject, ...found };
  }
  return best && { question: best.question, subject: best.subject, apart: best.apart };
}

const NOTHING = { worth: 0 };

/** What a drawn question is worth. */
function judged(question: Question, subject: Subject, slip: Misconception | null) {
  const tells = tellsOf(question, subject);
  const result = keyFor(question, subject);
  if (!tells || !result.ok) return null;
  if (slip !== null && (!tells.told.includes(slip) || tells.together.flat().includes(slip)))
    return null;
  const family = familyNamed(familyOf(question));
  const grader = graderIn(family, question, subject, result);
  const answers = thoughtsOf(family, question, subject, result.key)
    .filter((t) => (slip === null || t.slip === slip) && grader.ok && grader.fits(t.answer))
    .map((t) => t.answer);
  const aparts = answers.flatMap((a) => timesApart(result.key, a));
  const apart = aparts.length > 0 ? Math.min(...aparts) : null;
  const alone = tells.told.length - tells.together.length;
  if (slip === null) return { apart, worth: alone + Math.min(1, (apart ?? 1) - 1) };
  const lost = answers.map((a) => (grader.ok ? 1 - grader.grade(a).score : 0));
  return { apart, worth: apart ?? Math.min(...lost) };
}

/** How many times a wrong number is the right one, or the right one it; nothing where either is no number. */
function timesApart(key: AnyKey, answer: Answer): number[] {
  if (!('value' in key) || !('value' in answer) || !answer.value) return [];
  const times = Math.abs(answer.value / key.value);
  return [Math.max(times, 1 / times)];
}
