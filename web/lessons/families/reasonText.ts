import type { TFunction } from 'i18next';
import type {
  ClaimOf,
  FamilyName,
  Misconception,
  QuestionOf,
  SubjectOf,
  Why,
} from '../../../core/lesson';
import type { Numbers } from '../../shared/numbers';
import type { Reason } from '../worded';
import type { FamilyWords } from './familyWords';

/**
 * What is said of an answer: of one that explains itself by one way of thinking, that; of one that two give, both; of
 * any other, and of a right one, how the model's answer comes about.
 * @param right the answer was right
 */
export function reasonText<F extends FamilyName>(
  words: Pick<FamilyWords<F>, 'claim' | 'keyOf'>,
  t: TFunction,
  numbers: Numbers,
  { named, fitting, facts }: Why<Misconception, ClaimOf<F>>,
  question: QuestionOf<F>,
  subject: SubjectOf<F>,
  right = false,
): Reason {
  const said = (claims: readonly ClaimOf<F>[]) => [
    ...new Set(claims.map((c) => words.claim(t, numbers, c, question, subject))),
  ];
  const [one, other] = named;
  if (!one)
    return {
      title: t(openTitle(words.keyOf, right, fitting)),
      facts: said(facts).slice(0, right ? 2 : undefined),
    };
  const slip = (n: typeof one) => t(`misconceptions.${n.slip}`);
  const title = other
    ? t('reasons.either', { one: slip(one), other: slip(other) })
    : `${slip(one)}.`;
  return { title, facts: said([...one.claims, ...(other?.claims ?? [])]) };
}

/** An instructor's own key has no slips that are known: only what they say of it. */
const openTitle = (keyOf: 'instructor' | undefined, right: boolean, fitting: number) => {
  if (keyOf === 'instructor') return 'reasons.own';
  if (right) return 'reasons.right';
  if (fitting > 2) return 'reasons.several';
  return fitting === 0 ? 'reasons.open' : 'reasons.way';
};

/** What the right answer is headed by. */
export const keyLabel = ({ keyOf }: Pick<FamilyWords<FamilyName>, 'keyOf'>) =>
  keyOf === 'instructor' ? 'reveal.ownKey' : 'reveal.model';
