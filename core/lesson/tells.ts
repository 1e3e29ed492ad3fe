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
import type { Misconception } from './misconceptions';
import { triedOut } from './posed';
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
    guess: guessOf(family, question, subject, result.key),
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

const guessOf = (
  { guess }: Pick<Family<AnyTypes>, 'guess'>,
  question: Question,
  subject: Subject,
  key: AnyKey,
): number | null => guess[question.kind]?.({ question, subject, key } as never) ?? null;

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
