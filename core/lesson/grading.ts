import type { AnyClaim, AnyFault, AnyKey, AnyPart, AnyTypes, Subject } from './families/families';
import { scored, type Asked, type Family, type GradedPart, type KeyResult } from './family';
import { onlyTrue, recognise, type Thought, type Why } from './learners';
import type { Misconception } from './misconceptions';
import type { Answer, Question } from './question';

export interface Assessment {
  /** 0 to 1; parts count alike, but where a family weighs them. */
  readonly score: number;
  readonly parts: readonly GradedPart<AnyPart>[];
  readonly why: Why<Misconception, AnyClaim>;
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
 * Grades answers to one question of a family that is at hand: a screen that asks of one family loads no other.
 * @param result the question's key, computed once, however many answers there are
 */
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
