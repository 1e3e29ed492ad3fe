import type { Model, ModelKind, Problem } from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';

/** What is kept of a document beside itself, and what comes of a save. */
export type Origin = 'demo' | 'own' | 'imported';

export interface LessonRecord {
  lesson: Lesson;
  origin: Origin;
  revision: number;
  /** A demo lesson that the user has changed. */
  changed: boolean;
}

/** mine: made in this browser · imported: from a file · demo: the made-up class. */
export type AttemptSource = 'mine' | 'imported' | 'demo';

export interface AttemptRecord {
  attempt: Attempt;
  source: AttemptSource;
}

/**
 * unreadable: something stands there that this program can't read, such as a newer version's. refused: what was to be saved
 * could not be opened again. Of both nothing is written.
 */
export type SaveOutcome<T> =
  | { readonly outcome: 'saved'; readonly record: T }
  | { readonly outcome: 'conflict'; readonly stored: T }
  | { readonly outcome: 'unreadable' }
  | { readonly outcome: 'refused'; readonly problems: readonly Problem[] };

/** What stands there after a save, as far as it can be read. */
export const standing = <T>(result: SaveOutcome<T>): T | null =>
  result.outcome === 'saved' ? result.record : result.outcome === 'conflict' ? result.stored : null;

export type SaveResult = SaveOutcome<LessonRecord>;

export interface Loaded {
  readonly lessons: LessonRecord[];
  readonly attempts: AttemptRecord[];
  readonly models: Model[];
  /** Keys whose content this program can't read; they are left alone. */
  readonly unreadable: string[];
}

/** Kinds whose earlier versions are kept. */
export type HistoryKind = 'fair-sprocket/lesson' | ModelKind;
export interface Past<T> {
  readonly at: number;
  readonly document: T;
}
