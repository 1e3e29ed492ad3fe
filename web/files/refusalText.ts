import type { TFunction } from 'i18next';
import { InWords } from '../shared/reasonOf';
import type { SaveOutcome } from '../storage/records';
import { problemsText } from './failureText';

type Kept<T> = Exclude<SaveOutcome<T>, { outcome: 'unreadable' | 'refused' }>;

/** @throws InWords saying why nothing was written */
export function writtenOrNot<T>(t: TFunction, result: SaveOutcome<T>): Kept<T> {
  if (result.outcome === 'unreadable') throw new InWords(t('storage.newerThere'));
  if (result.outcome === 'refused')
    throw new InWords(t('storage.refused', { problems: problemsText(t, result.problems) }));
  return result;
}
