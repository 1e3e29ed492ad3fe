import type { TFunction } from 'i18next';
import type { ClassBook } from '../../core/lesson';

/** A question's short name: its step, and what is asked where a step asks more than once. */
export function questionName(t: TFunction, book: ClassBook, index: number): string {
  const asked = book.questions[index];
  if (!asked) return '';
  const alone = book.questions.filter((q) => q.stepId === asked.stepId).length === 1;
  const { question } = asked;
  const what =
    question.kind === 'number'
      ? t(`asks.${question.ask}`)
      : question.kind === 'choice'
        ? t(`choiceAsks.${question.ask}`)
        : t(`questionKinds.${question.kind}`);
  return alone ? asked.stepTitle : `${asked.stepTitle}: ${what}`;
}
