import { stringify } from 'safe-stable-stringify';
import {
  MODEL_KINDS,
  openValue,
  type Documents,
  type Model,
  type ModelKind,
} from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';
import type { KeyValueStore } from './keyValueStore';

/**
 * Lessons, attempts and pictures over a key–value store. A lesson has a revision: a save that was based
 * on an older one is refused, so that two tabs never overwrite each other in silence.
 */
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

export type SaveResult =
  | { readonly outcome: 'saved'; readonly record: LessonRecord }
  | { readonly outcome: 'conflict'; readonly stored: LessonRecord };

export type ModelSaveResult =
  { readonly outcome: 'saved' } | { readonly outcome: 'conflict'; readonly stored: Model };

export interface Loaded {
  readonly lessons: LessonRecord[];
  readonly attempts: AttemptRecord[];
  readonly models: Model[];
  /** Keys whose content this program can't read; they are left alone. */
  readonly unreadable: string[];
}

/** Runs one task at a time for a name, across tabs where the browser can. */
export type Exclusive = <T>(name: string, task: () => Promise<T>) => Promise<T>;

export interface DocumentStore {
  load(): Promise<Loaded>;
  /** @param baseRevision the revision the change was made on; 0 for a new lesson */
  saveLesson(record: Omit<LessonRecord, 'revision'>, baseRevision: number): Promise<SaveResult>;
  readLesson(id: string): Promise<LessonRecord | null>;
  removeLesson(id: string): Promise<void>;
  saveAttempt(record: AttemptRecord): Promise<void>;
  removeAttempt(id: string): Promise<void>;
  /** @param base what the change was made on; `null` writes over whatever is there */
  saveModel(model: Model, base: Model | null): Promise<ModelSaveResult>;
  readModel<K extends ModelKind>(kind: K, id: string): Promise<Documents[K] | null>;
  removeModel(kind: ModelKind, id: string): Promise<void>;
  readMedia(path: string): Promise<Uint8Array | null>;
  saveMedia(path: string, bytes: Uint8Array): Promise<void>;
  readSetting(name: string): Promise<unknown>;
  saveSetting(name: string, value: unknown): Promise<void>;
}

const LESSON = 'lesson:';
const ATTEMPT = 'attempt:';
const MEDIA = 'media:';
const SETTING = 'setting:';

/** `unit:`, `converter:` and so on. */
const prefixOf = (kind: ModelKind): string => `${kind.slice('fair-sprocket/'.length)}:`;

export function documentStore(store: KeyValueStore, exclusive: Exclusive): DocumentStore {
  async function readLesson(id: string): Promise<LessonRecord | null> {
    return lessonRecord(await store.get(LESSON + id));
  }
  async function readModel<K extends ModelKind>(kind: K, id: string): Promise<Documents[K] | null> {
    const opened = openValue(await store.get(prefixOf(kind) + id), kind);
    return opened.ok ? opened.document : null;
  }
  return {
    readLesson,
    async load() {
      const lessons: LessonRecord[] = [];
      const attempts: AttemptRecord[] = [];
      const models: Model[] = [];
      const unreadable: string[] = [];
      for (const key of await store.keys()) {
        if (key.startsWith(LESSON)) {
          const record = lessonRecord(await store.get(key));
          if (record) lessons.push(record);
          else unreadable.push(key);
        } else if (key.startsWith(ATTEMPT)) {
          const record = attemptRecord(await store.get(key));
          if (record) attempts.push(record);
          else unreadable.push(key);
        } else {
          const kind = MODEL_KINDS.find((k) => key.startsWith(prefixOf(k)));
          if (!kind) continue;
          const opened = openValue(await store.get(key), kind);
          if (opened.ok) models.push(opened.document);
          else unreadable.push(key);
        }
      }
      return { lessons, attempts, models, unreadable };
    },
    saveLesson: (record, baseRevision) =>
      exclusive(LESSON + record.lesson.id, async () => {
        const stored = await readLesson(record.lesson.id);
        if (stored && stored.revision !== baseRevision) return { outcome: 'conflict', stored };
        const saved = { ...record, revision: baseRevision + 1 };
        await store.set(LESSON + record.lesson.id, saved);
        return { outcome: 'saved', record: saved };
      }),
    removeLesson: (id) => store.remove(LESSON + id),
    saveAttempt: (record) => store.set(ATTEMPT + record.attempt.id, record),
    removeAttempt: (id) => store.remove(ATTEMPT + id),
    saveModel: (model, base) => {
      const key = prefixOf(model.format) + model.id;
      return exclusive(key, async () => {
        const stored = base && (await readModel(model.format, model.id));
        if (stored && stringify(stored) !== stringify(base)) return { outcome: 'conflict', stored };
        await store.set(key, model);
        return { outcome: 'saved' };
      });
    },
    readModel,
    removeModel: (kind, id) => store.remove(prefixOf(kind) + id),
    async readMedia(path) {
      const bytes = await store.get(MEDIA + path);
      return bytes instanceof Uint8Array ? bytes : null;
    },
    saveMedia: (path, bytes) => store.set(MEDIA + path, bytes),
    readSetting: (name) => store.get(SETTING + name),
    saveSetting: (name, value) => store.set(SETTING + name, value),
  };
}

function lessonRecord(value: unknown): LessonRecord | null {
  if (typeof value !== 'object' || value === null) return null;
  const { lesson, origin, revision, changed } = value as Partial<LessonRecord>;
  const opened = openValue(lesson, 'fair-sprocket/lesson');
  if (!opened.ok || typeof revision !== 'number') return null;
  const known = origin === 'demo' || origin === 'imported' ? origin : 'own';
  return { lesson: opened.document, origin: known, revision, changed: changed === true };
}

function attemptRecord(value: unknown): AttemptRecord | null {
  if (typeof value !== 'object' || value === null) return null;
  const { attempt, source } = value as Partial<AttemptRecord>;
  const opened = openValue(attempt, 'fair-sprocket/attempt');
  if (!opened.ok) return null;
  const known = source === 'demo' || source === 'imported' ? source : 'mine';
  return { attempt: opened.document, source: known };
}
