import type { TFunction } from 'i18next';
import { ownKey, type OwnAnswer, type OwnQuestion } from '../../../../core/lesson';
import { formatReading } from '../../../shared/numbers';
import { plain, type Worded } from '../../worded';
import { claimText, formatPercent } from '../claimText';
import type { FamilyWords } from '../familyWords';

const withUnit = (question: OwnQuestion, value: number): string =>
  question.kind === 'own-number' ? `${formatReading(value)} ${question.unit}`.trim() : '';

function ownAnswerText(question: OwnQuestion, answer: OwnAnswer): Worded {
  switch (answer.kind) {
    case 'own-choice':
      return plain(question.kind === 'own-choice' ? (question.options[answer.choice] ?? '?') : '?');
    case 'own-number':
      return plain(withUnit(question, answer.value));
    case 'own-order':
      return plain(orderText(question, answer.order));
  }
}

const orderText = (question: OwnQuestion, order: readonly number[]): string =>
  question.kind === 'own-order' ? order.map((k) => question.steps[k] ?? '?').join(' → ') : '?';

function ownKeyText(t: TFunction, question: OwnQuestion): Worded | null {
  const result = ownKey(question);
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'own-choice':
      return plain(
        key.right
          .map((k) => (question.kind === 'own-choice' ? question.options[k] : ''))
          .join(t('question.or')),
      );
    case 'own-number':
      return plain(withUnit(question, key.value));
    case 'own-order':
      return plain(orderText(question, key.order));
  }
}

export const OWN_WORDS: FamilyWords<'own'> = {
  keyOf: 'instructor',
  prompt: (t, _numbers, question) => question.prompt || t(`questionKinds.${question.kind}`),
  answer: (_t, _numbers, question, _subject, answer) => ownAnswerText(question, answer),
  key: (t, _numbers, question) => ownKeyText(t, question),
  short: (t, _numbers, question, _subject, answer, score) =>
    answer.kind === 'own-order'
      ? t('short.order', { percent: Math.round(100 * score) })
      : ownAnswerText(question, answer).main,
  part(t, { part, of }) {
    const [first = '', second = ''] = Array.isArray(of) ? (of as string[]) : [];
    return part === 'step' ? t('gradedParts.order', { first, second }) : t(`gradedParts.${part}`);
  },
  claim: (t, _numbers, claim, question) =>
    claimText(t, claim, {
      reason: (text: string) => text,
      given: (value: number) => withUnit(question, value),
      share: formatPercent,
      times: String,
    }),
};
