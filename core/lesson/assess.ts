import { scored, type Asked, type Family, type GradedPart, type KeyResult } from './family';
import { onlyTrue, recognise, type Thought, type Why } from './learners';
import {
  familyNamed,
  type AnyClaim,
  type AnyFault,
  type AnyKey,
  type AnyPart,
  type AnyTypes,
  type Subject,
} from './families/families';
import { missingFault } from './families/subjects';
import type { Misconception } from './misconceptions';
import { familyOf, type Answer, type Question } from './question';

/** The one door to what a question is about, to its key and to its grading, whatever its family. */

export interface Assessment {
  /** 0 to 1; parts count alike, but where a family weighs them. */
  readonly score: number;
  readonly parts: readonly GradedPart<AnyPart>[];
  readonly why: Why<Misconception, AnyClaim>;
}

export type AssessResult =
  | { readonly ok: true; readonly grade: Assessment }
  | { readonly ok: false; readonly fault: AnyFault };

/** @throws Error when the subject does not fit the question */
export function keyFor(question: Question, subject: Subject): KeyResult<AnyKey, AnyFault> {
  const name = familyOf(question);
  if (subject.kind !== name)
    throw new Error(`keyFor: a question of kind "${question.kind}" is not about a ${subject.kind}`);
  return familyNamed(name).key(question, subject);
}

export interface Grader {
  readonly ok: true;
  readonly key: AnyKey;
  /** The question can have been answered so: the right kind, and nothing named that it does not offer. */
  readonly fits: (answer: Answer) => boolean;
  /** @throws Error when the answer is of another kind than the question */
  readonly grade: (answer: Answer) => Assessment;
}

export type GraderResult = Grader | { readonly ok: false; readonly fault: AnyFault };

/**
 * Grades answers to one question; its key is computed once, however many answers there are.
 * @param known the question's key where it is known already: that of a run or of a case takes long
 * @throws Error when the subject does not fit the question
 */
export function graderOf(
  question: Question,
  subject: Subject | null,
  known?: KeyResult<AnyKey, AnyFault>,
): GraderResult {
  if (!subject) return { ok: false, fault: missingFault(question) };
  const result = known ?? keyFor(question, subject);
  return graderIn(familyNamed(familyOf(question)), question, subject, result);
}

/** The same where the family is at hand: a screen that asks of one family loads no other. */
export function graderIn(
  family: Pick<Family<AnyTypes>, 'judge' | 'fits' | 'reasons'>,
  question: Question,
  subject: Subject,
  result: KeyResult<AnyKey, AnyFault>,
): GraderResult {
  if (!result.ok) return result;
  const { key } = result;
  const asked = (answer: Answer) => ({ question, subject, key, answer }) as never;
  return {
    ok: true,
    key,
    fits: (answer) => answer.kind === question.kind && family.fits[question.kind](asked(answer)),
    grade: (answer) => {
      if (answer.kind !== question.kind)
        throw new Error(`graderIn: expected "${question.kind}", got "${answer.kind}"`);
      const { parts, score } = scored(family.judge[question.kind](asked(answer)));
      return { parts, score, why: whyOf(family, asked(answer), score === 1) };
    },
  };
}

/** How a right answer comes about; of a wrong one also the ways of thinking that give it. */
function whyOf(
  { reasons }: Pick<Family<AnyTypes>, 'reasons'>,
  asked: Asked<AnyTypes, Question['kind']>,
  right: boolean,
): Assessment['why'] {
  const { kind } = asked.question;
  const holds = (claim: AnyClaim) => reasons.holds(claim, asked);
  const facts = onlyTrue(reasons.facts[kind](asked as never), holds);
  if (right) return { named: [], fitting: 0, facts };
  const thoughts = reasons.thoughts[kind](asked as never) as readonly Thought<
    Answer,
    Misconception,
    AnyClaim
  >[];
  const found = recognise(thoughts, asked.answer, holds);
  return { ...found, facts };
}

/** @throws Error when the answer or the subject does not fit the question */
export function assess(question: Question, subject: Subject | null, answer: Answer): AssessResult {
  const grader = graderOf(question, subject);
  return grader.ok ? { ok: true, grade: grader.grade(answer) } : grader;
}
