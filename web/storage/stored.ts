import { stringify } from 'safe-stable-stringify';
import {
  openValue,
  type DocumentKind,
  type Documents,
  type Model,
  type ModelKind,
  type Problem,
} from '../../core/formats';
import type { Decision } from './keyValueStore';
import type { AttemptRecord, HistoryKind, LessonRecord, SaveOutcome } from './records';

/** How documents lie in the store: under which key, what is read of a value, and what a save comes to. */
export const LESSON = 'lesson:';
export const ATTEMPT = 'attempt:';
/** `unit:`, `converter:` and so on. */
export const prefixOf = (kind: ModelKind): string => `${kind.slice('fair-sprocket/'.length)}:`;
export const keyIn = (kind: HistoryKind): string =>
  kind === 'fair-sprocket/lesson' ? LESSON : prefixOf(kind);
export const keyOf = (model: Model): string => prefixOf(model.format) + model.id;

export const same = (a: unknown, b: unknown): boolean => stringify(a) === stringify(b);

/**
 * @param read what is stored, or `null` where it can't be read
 * @param allowed what stands there may be written over
 * @param document what of a record has to be opened again: nothing is written that could not be
 */
export function decided<T>(
  stored: unknown,
  read: (stored: unknown) => T | null,
  allowed: (now: T | null) => boolean,
  next: (now: T | null) => T,
  document: (record: T) => { readonly format: DocumentKind },
): Decision<SaveOutcome<T>> {
  const now = stored === null ? null : read(stored);
  if (stored !== null && now === null) return { do: 'nothing', result: { outcome: 'unreadable' } };
  if (now !== null && !allowed(now))
    return { do: 'nothing', result: { outcome: 'conflict', stored: now } };
  const record = next(now);
  const problems = problemsOf(document(record));
  if (problems) return { do: 'nothing', result: { outcome: 'refused', problems } };
  return { do: 'write', value: record, result: { outcome: 'saved', record } };
}

function problemsOf(document: { readonly format: DocumentKind }): readonly Problem[] | null {
  const opened = openValue(document, document.format);
  if (opened.ok) return null;
  return opened.failure.cause === 'invalid' ? opened.failure.problems : [];
}

export const unless = (changed: boolean): Decision<boolean> =>
  changed ? { do: 'nothing', result: false } : { do: 'remove', result: true };

export function modelOf<K extends ModelKind>(value: unknown, kind: K): Documents[K] | null {
  const opened = openValue(value, kind);
  return opened.ok ? opened.document : null;
}

export function picture(value: unknown): { bytes: Uint8Array; at: number } | null {
  if (value instanceof Uint8Array) return { bytes: value, at: 0 };
  if (typeof value !== 'object' || value === null) return null;
  const { bytes, at } = value as { bytes?: unknown; at?: unknown };
  return bytes instanceof Uint8Array ? { bytes, at: typeof at === 'number' ? at : 0 } : null;
}

export function lessonRecord(value: unknown): LessonRecord | null {
  if (typeof value !== 'object' || value === null) return null;
  const { lesson, origin, revision, changed } = value as Partial<LessonRecord>;
  const opened = openValue(lesson, 'fair-sprocket/lesson');
  if (!opened.ok || typeof revision !== 'number') return null;
  const known = origin === 'demo' || origin === 'imported' ? origin : 'own';
  return { lesson: opened.document, origin: known, revision, changed: changed === true };
}

export function attemptRecord(value: unknown): AttemptRecord | null {
  if (typeof value !== 'object' || value === null) return null;
  const { attempt, source } = value as Partial<AttemptRecord>;
  const opened = openValue(attempt, 'fair-sprocket/attempt');
  if (!opened.ok) return null;
  const known = source === 'demo' || source === 'imported' ? source : 'mine';
  return { attempt: opened.document, source: known };
}
