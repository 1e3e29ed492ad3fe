import type { TFunction } from 'i18next';
import { problemsText } from '../shared/problemsText';
import { InWords } from '../shared/reasonOf';
import type { SaveOutcome } from '../storage/records';

type Kept<T> = Exclude<SaveOutcome<T>, { outcome: 'unreadable' | 'refused' }>;

/** @throws InWords saying why nothing was written */
export function writtenOrNot<T>(t: TFunction, result: SaveOutcome<T>): Kept<T> {
  if (result.outcome === 'unreadable') throw new InWords(t('storage.newerThere'));
  if (result.outcome === 'refused')
    throw new InWords(t('storage.notWritten', { problems: problemsText(t, result.problems) }));
  return result;
}
