import type { TFunction } from 'i18next';
import type {
  AnswerOf,
  AnyFault,
  ClaimOf,
  FamilyName,
  GradedPart,
  KeyOf,
  KeyResult,
  PartOf,
  QuestionOf,
  SubjectOf,
} from '../../../core/lesson';
import type { Numbers } from '../../shared/numbers';
import type { Worded } from '../worded';

/** What one family's questions, answers, keys and reasons are called. */
export interface FamilyWords<F extends FamilyName> {
  /** Whose word the right answer is; the model's where left out. */
  readonly keyOf?: 'instructor';
  /** What was drawn and the prompt does not name, as a sentence. */
  readonly drawn?: (t: TFunction, subject: SubjectOf<F>) => string;
  /** What is asked: the instructor's words, or the program's. */
  prompt(t: TFunction, numbers: Numbers, question: QuestionOf<F>, subject: SubjectOf<F>): string;
  answer(
    t: TFunction,
    numbers: Numbers,
    question: QuestionOf<F>,
    subject: SubjectOf<F>,
    answer: AnswerOf<F>,
  ): Worded;
  /** @param known the key where it is known already; @returns `null` where the question can't be asked as it stands */
  key(
    t: TFunction,
    numbers: Numbers,
    question: QuestionOf<F>,
    subject: SubjectOf<F>,
    known?: KeyResult<KeyOf<F>, AnyFault>,
  ): Worded | null;
  /** An answer in as few words as a ledger's cell has room for. */
  short(
    t: TFunction,
    numbers: Numbers,
    question: QuestionOf<F>,
    subject: SubjectOf<F>,
    answer: AnswerOf<F>,
    score: number,
  ): string;
  /** A part of an answer that is right or wrong by itself. */
  part(t: TFunction, graded: GradedPart<PartOf<F>>, subject: SubjectOf<F>): string;
  /** A fact that a reason is made of, as a sentence. */
  claim(
    t: TFunction,
    numbers: Numbers,
    claim: ClaimOf<F>,
    question: QuestionOf<F>,
    subject: SubjectOf<F>,
  ): string;
}
