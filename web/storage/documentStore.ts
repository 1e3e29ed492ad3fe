import {
  MODEL_KINDS,
  openValue,
  type Documents,
  type Model,
  type ModelKind,
} from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';
import { putAside, versionsOf } from './history';
import type { KeyValueStore } from './keyValueStore';
import type {
  LessonRecord,
  AttemptRecord,
  SaveOutcome,
  SaveResult,
  Loaded,
  HistoryKind,
  Past,
} from './records';
import { settingsIn, type SettingsStore } from './settingsIn';
import {
  ATTEMPT,
  attemptRecord,
  decided,
  keyIn,
  keyOf,
  LESSON,
  lessonRecord,
  modelOf,
  picture,
  prefixOf,
  same,
  unless,
} from './stored';
import { idleKeys, MEDIA, VERSION } from './tidy';

/**
 * Lessons, attempts, models and pictures over a key–value store. One rule for every kind: a save names what it was made
 * on, and where something else stands by now nothing is written and the caller is told. So two tabs never overwrite each
 * other in silence, and what this program can't read is left alone.
 */
export interface DocumentStore extends SettingsStore {
  load(): Promise<Loaded>;
  /** Writes each where nothing stands yet. @returns whether nothing stood anywhere */
  putFirst(documents: Omit<Loaded, 'unreadable'>): Promise<boolean>;
  /** @param baseRevision the revision the change was made on; 0 for a new lesson */
  saveLesson(record: Omit<LessonRecord, 'revision'>, baseRevision: number): Promise<SaveResult>;
  readLesson(id: string): Promise<LessonRecord | null>;
  /** @returns false when it was saved by another tab since */
  removeLesson(record: LessonRecord): Promise<boolean>;
  /** @param base what the change was made on; `null` for a new record */
  saveAttempt(record: AttemptRecord, base: Attempt | null): Promise<SaveOutcome<AttemptRecord>>;
  readAttempt(id: string): Promise<AttemptRecord | null>;
  removeAttempt(attempt: Attempt): Promise<boolean>;
  /** @param base what the change was made on; `null` for a new model */
  saveModel(model: Model, base: Model | null): Promise<SaveOutcome<Model>>;
  readModel<K extends ModelKind>(kind: K, id: string): Promise<Documents[K] | null>;
  removeModel(model: Model): Promise<boolean>;
  readMedia(path: string): Promise<Uint8Array | null>;
  saveMedia(path: string, bytes: Uint8Array): Promise<void>;
  /** Lets go of pictures that no lesson shows, and of versions that nobody began. @returns how many */
  tidy(): Promise<number>;
  /** A lesson as it was when somebody began it. */
  keepVersion(hash: string, lesson: Lesson): Promise<void>;
  readVersion(hash: string): Promise<Lesson | null>;
  /** Puts a document aside as it is now, however lately one was. */
  setAside(document: Documents[HistoryKind]): Promise<void>;
  /** What a document was before it was changed, the newest first; what can't be read any more is left out. */
  history<K extends HistoryKind>(kind: K, id: string): Promise<Past<Documents[K]>[]>;
}

/** The save stands, whether or not there is room for what was before. */
const asideIn =
  (store: KeyValueStore, now: () => number) =>
  async (key: string, before: unknown, after: unknown): Promise<void> => {
    if (before && !same(before, after))
      await putAside(store, key, before, now()).catch(() => undefined);
  };

type Lessons = Pick<DocumentStore, 'readLesson' | 'saveLesson' | 'removeLesson'>;
type Attempts = Pick<DocumentStore, 'readAttempt' | 'saveAttempt' | 'removeAttempt'>;
type Models = Pick<DocumentStore, 'readModel' | 'saveModel' | 'removeModel'>;
type Rest = Omit<
  DocumentStore,
  'load' | keyof SettingsStore | keyof Lessons | keyof Attempts | keyof Models
>;

function lessonsIn(store: KeyValueStore, now: () => number): Lessons {
  const aside = asideIn(store, now);
  return {
    readLesson: async (id) => lessonRecord(await store.get(LESSON + id)),
    async saveLesson(record, baseRevision) {
      const key = LESSON + record.lesson.id;
      let before: Lesson | undefined;
      const result = await store.change(key, (stored) =>
        decided(
          stored,
          lessonRecord,
          (there) => there?.revision === baseRevision,
          (there) => {
            before = there?.lesson;
            return {
              ...record,
              revision: Math.max(now(), (there?.revision ?? 0) + 1, baseRevision + 1),
            };
          },
          (kept) => kept.lesson,
        ),
      );
      if (result.outcome === 'saved') await aside(key, before, record.lesson);
      return result;
    },
    removeLesson: ({ lesson, revision }) =>
      store.change(LESSON + lesson.id, (stored) => {
        const there = lessonRecord(stored);
        return unless(there !== null && there.revision !== revision);
      }),
  };
}

const attemptsIn = (store: KeyValueStore): Attempts => ({
  saveAttempt: (record, base) =>
    store.change(ATTEMPT + record.attempt.id, (stored) =>
      decided(
        stored,
        attemptRecord,
        (there) => same(there?.attempt, base),
        () => record,
        (kept) => kept.attempt,
      ),
    ),
  readAttempt: async (id) => attemptRecord(await store.get(ATTEMPT + id)),
  removeAttempt: (attempt) =>
    store.change(ATTEMPT + attempt.id, (stored) => {
      const there = attemptRecord(stored);
      return unless(there !== null && !same(there.attempt, attempt));
    }),
});

function modelsIn(store: KeyValueStore, now: () => number): Models {
  const aside = asideIn(store, now);
  return {
    readModel: async (kind, id) => modelOf(await store.get(prefixOf(kind) + id), kind),
    async saveModel(model, base) {
      const key = keyOf(model);
      let before: Model | null = null;
      const result = await store.change(key, (stored) =>
        decided<Model>(
          stored,
          (value) => modelOf(value, model.format),
          (there) => same(there, base),
          (there) => {
            before = there;
            return model;
          },
          (kept) => kept,
        ),
      );
      if (result.outcome === 'saved') await aside(key, before, model);
      return result;
    },
    removeModel: (model) =>
      store.change(keyOf(model), (stored) => {
        const there = modelOf(stored, model.format);
        return unless(there !== null && !same(there, model));
      }),
  };
}

/** Pictures, versions that somebody began, and what documents were before. */
const restIn = (store: KeyValueStore, now: () => number): Rest => ({
  async putFirst({ lessons, attempts, models }) {
    const put = (key: string, value: LessonRecord | AttemptRecord | Model) =>
      store.change<boolean>(key, (stored) =>
        stored === null ? { do: 'write', value, result: true } : { do: 'nothing', result: false },
      );
    const were = await Promise.all([
      ...lessons.map((record) => put(LESSON + record.lesson.id, record)),
      ...attempts.map((record) => put(ATTEMPT + record.attempt.id, record)),
      ...models.map((model) => put(keyOf(model), model)),
    ]);
    return were.every(Boolean);
  },
  readMedia: async (path) => picture(await store.get(MEDIA + path))?.bytes ?? null,
  saveMedia: (path, bytes) => store.set(MEDIA + path, { bytes, at: now() }),
  async tidy() {
    const idle = await idleKeys(store, now());
    for (const key of idle) await store.remove(key);
    return idle.length;
  },
  keepVersion: (hash, lesson) => store.set(VERSION + hash, lesson),
  async readVersion(hash) {
    const opened = openValue(await store.get(VERSION + hash), 'fair-sprocket/lesson');
    return opened.ok ? opened.document : null;
  },
  setAside: (document) => putAside(store, keyIn(document.format) + document.id, document, now(), 0),
  async history(kind, id) {
    const kept = await versionsOf(store, keyIn(kind) + id);
    return kept.flatMap(({ at, document }) => {
      const opened = openValue(document, kind);
      return opened.ok ? [{ at, document: opened.document }] : [];
    });
  },
});

async function loadAll(store: KeyValueStore): Promise<Loaded> {
  const lessons: LessonRecord[] = [];
  const attempts: AttemptRecord[] = [];
  const models: Model[] = [];
  const unreadable: string[] = [];
  const put = <T>(list: T[], key: string, record: T | null) =>
    void (record === null ? unreadable.push(key) : list.push(record));
  const kindOf = (key: string) => MODEL_KINDS.find((k) => key.startsWith(prefixOf(k)));
  const isDocument = (key: string) =>
    kindOf(key) !== undefined || key.startsWith(LESSON) || key.startsWith(ATTEMPT);
  const keys = (await store.keys()).filter(isDocument);
  const values = await Promise.all(keys.map((key) => store.get(key)));
  keys.forEach((key, k) => {
    const kind = kindOf(key);
    if (kind) put(models, key, modelOf(values[k], kind));
    else if (key.startsWith(LESSON)) put(lessons, key, lessonRecord(values[k]));
    else put(attempts, key, attemptRecord(values[k]));
  });
  return { lessons, attempts, models, unreadable };
}

/** @param now milliseconds; the revision of a lesson is when it was saved, so that no two are alike */
export const documentStore = (store: KeyValueStore, now: () => number): DocumentStore => ({
  load: () => loadAll(store),
  ...lessonsIn(store, now),
  ...attemptsIn(store),
  ...modelsIn(store, now),
  ...restIn(store, now),
  ...settingsIn(store),
});
