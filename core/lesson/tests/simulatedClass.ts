import { randomFromSeed, type Random } from '../../numerics';
import { keyFor } from '../assess';
import { FAMILIES, type AnyClaim, type AnyTypes } from '../families/families';
import type { Family } from '../family';
import { graderIn, type Assessment } from '../grading';
import type { Thought } from '../learners';
import type { Misconception } from '../misconceptions';
import { familyOf, type Answer, type QuestionKind } from '../question';
import { drawQuestion, type Drawn } from './drawnQuestions';

/**
 * A class of which it is known how each student thinks: random questions of every kind, answered as each way of thinking
 * answers them. What is then said of an answer is held against the thinking that gave it.
 */

/** How the grading of an answer is run, for one who times it. */
export type Around = <T>(work: () => T) => T;

export interface Answered extends Drawn {
  readonly answer: Answer;
  /** How the student thinks; `null` for one who guessed. */
  readonly slip: Misconception | null;
  readonly grade: Assessment;
}

const thoughtsOn = (
  { question, subject }: Drawn,
  key: unknown,
): readonly Thought<Answer, Misconception, AnyClaim>[] => {
  const { thoughts } = FAMILIES[familyOf(question)]
    .reasons as unknown as Family<AnyTypes>['reasons'];
  return thoughts[question.kind]({ question, subject, key } as never) as readonly Thought<
    Answer,
    Misconception,
    AnyClaim
  >[];
};

/**
 * Every way of thinking about a question, answered; nothing where the question can't be asked.
 * @param around the grading of each answer, for one who times it
 */
export function answeredByThought(
  { question, subject }: Drawn,
  around: Around = (work) => work(),
): Answered[] {
  const result = keyFor(question, subject);
  if (!result.ok) return [];
  const family = FAMILIES[familyOf(question)] as unknown as Family<AnyTypes>;
  const grader = graderIn(family, question, subject, result);
  if (!grader.ok) return [];
  return thoughtsOn({ question, subject }, result.key)
    .filter((t) => grader.fits(t.answer) && (t.gives?.(t.answer) ?? true))
    .map(({ answer, slip }) => ({
      question,
      subject,
      answer,
      slip,
      grade: around(() => grader.grade(answer)),
    }));
}

/** Numbers that nobody thinks of: what is said of them has to be so too. */
function guesses({ question, subject }: Drawn, random: Random): Answered[] {
  const result = keyFor(question, subject);
  if (!result.ok || (question.kind !== 'number' && question.kind !== 'read-match')) return [];
  const family = FAMILIES[familyOf(question)] as unknown as Family<AnyTypes>;
  const grader = graderIn(family, question, subject, result);
  if (!grader.ok || !('value' in grader.key)) return [];
  const value = grader.key.value * 10 ** (1.4 * random.next() - 0.7);
  const direction = question.kind === 'number' && question.direction ? { direction: 'same' } : {};
  const answer = { kind: question.kind, value, ...direction } as Answer;
  return [{ question, subject, answer, slip: null, grade: grader.grade(answer) }];
}

/** Kinds that run something through time, or weigh a whole case: so many draws of them will do. */
const DEAR: Readonly<Partial<Record<QuestionKind, number>>> = {
  'draw-start': 1,
  'launch-order': 2,
  'draw-crossing': 2,
  'draw-pressures': 2,
  'bolt-order': 2,
  'set-waiting': 3,
  diagnose: 1,
  'which-test': 2,
  'whole-job': 2,
};

export const isDear = (kind: QuestionKind): boolean => DEAR[kind] !== undefined;

/** Everyone who thinks in some way about questions of a kind, and some who guess. */
export function classOf(kind: QuestionKind, draws: number, around?: Around): Answered[] {
  const random = randomFromSeed(`class ${kind}`);
  return Array.from({ length: Math.min(draws, DEAR[kind] ?? draws) }).flatMap(() => {
    const drawn = drawQuestion(kind, random);
    return [...answeredByThought(drawn, around), ...guesses(drawn, random)];
  });
}

/** What ways of thinking bring forward about their own answers, and whether it is so: what is not is left unsaid. */
export function broughtForward({
  question,
  subject,
}: Drawn): { readonly slip: Misconception; readonly claim: AnyClaim; readonly so: boolean }[] {
  const result = keyFor(question, subject);
  if (!result.ok) return [];
  const { reasons } = FAMILIES[familyOf(question)] as unknown as Family<AnyTypes>;
  return thoughtsOn({ question, subject }, result.key)
    .filter((t) => t.gives?.(t.answer) ?? true)
    .flatMap(({ slip, answer, claims }) =>
      claims(answer).map((claim) => ({
        slip,
        claim,
        so: reasons.holds(claim as never, { question, subject }),
      })),
    );
}
