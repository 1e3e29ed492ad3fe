import type { TFunction } from 'i18next';
import type { Problem } from '../../core/formats';

const SHOWN_PROBLEMS = 6;

/** What keeps a document from being opened: where, and what is wrong there. */
export const problemsText = (t: TFunction, problems: readonly Problem[]): string =>
  problems
    .slice(0, SHOWN_PROBLEMS)
    .map((p) => problemText(t, p))
    .join('; ');

function problemText(t: TFunction, problem: Problem): string {
  const { expected } = problem.values;
  const values = {
    ...problem.values,
    ...(expected === undefined
      ? {}
      : { expected: t(`expected.${expected}`, { defaultValue: String(expected) }) }),
  };
  const words = t(`problems.${problem.code}`, { ...values, defaultValue: problem.code });
  return `${problem.path || t('problems.top')}: ${words}`;
}
