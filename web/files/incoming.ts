import { stringify } from 'safe-stable-stringify';
import type { TFunction } from 'i18next';
import { acceptPicture, lessonHash, type LessonPack, type Model } from '../../core/formats';
import { continuationOf, withMediaAt, type Attempt, type Lesson } from '../../core/lesson';
import { saveAttempt } from '../state/attemptsSlice';
import { saveLesson } from '../state/librarySlice';
import { saveModel } from '../state/modelsSlice';
import type { AppDispatch } from '../state/rootState';
import type { Services } from '../state/services';
import type { AttemptRecord, LessonRecord } from '../storage/records';
import type { Chosen } from './everything';
import type { Incoming } from './takeIn';

/** What documents of files are taken in with. */
export interface Taking {
  readonly services: Services;
  readonly dispatch: AppDispatch;
  readonly t: TFunction;
}

/** A lesson with its pictures under the names that they have here. */
export async function withPictures(
  { documents }: Services,
  { lesson, media }: LessonPack,
): Promise<Lesson> {
  // Pictures go by their content: a name says nothing, and another lesson may have the same one.
  const paths = new Map<string, string>();
  for (const [path, bytes] of Object.entries(media)) {
    const accepted = acceptPicture(bytes);
    if (!accepted.ok) continue;
    paths.set(path, accepted.path);
    await documents.saveMedia(accepted.path, bytes);
  }
  return withMediaAt(lesson, paths);
}

export function incomingLesson(lesson: Lesson, taking: Taking): Incoming<LessonRecord> {
  const { services, dispatch, t } = taking;
  const record: LessonRecord = { lesson, origin: 'imported', revision: 0, changed: false };
  const { title } = lesson;
  return {
    title,
    document: record,
    copy: () => ({ ...record, lesson: { ...lesson, id: services.newId() } }),
    save: ({ lesson: taken, origin, changed }, base) =>
      dispatch(
        saveLesson({ lesson: taken, origin, changed, baseRevision: base?.revision ?? 0 }),
      ).unwrap(),
    against: (stored) => (lessonHash(stored.lesson) === lessonHash(lesson) ? 'same' : 'other'),
    words: {
      taken: t('import.lessonIn', { title }),
      same: t('import.sameLesson', { title }),
      earlier: '',
    },
    both: () => null,
  };
}

const CONTINUES = { same: 'same', newer: 'later', older: 'earlier', other: 'other' } as const;

export function incomingAttempt(
  attempt: Attempt,
  source: Chosen['source'],
  { services, dispatch, t }: Taking,
): Incoming<AttemptRecord> {
  const values = { student: attempt.student, title: attempt.lesson.title };
  const record: AttemptRecord = { attempt, source };
  const aside = attempt.setAside?.length ?? 0;
  const told = aside > 0 ? ` ${t('import.setAside', { count: aside })}` : '';
  return {
    title: t('import.recordTitle'),
    document: record,
    copy: () => ({ ...record, attempt: { ...attempt, id: services.newId() } }),
    save: (taken, base) =>
      dispatch(saveAttempt({ record: taken, base: base?.attempt ?? null })).unwrap(),
    against: (stored) => CONTINUES[continuationOf(attempt, stored.attempt)],
    words: {
      taken: t('import.attemptIn', values) + told,
      same: t('import.sameAttempt', values),
      earlier: t('import.olderAttempt', values),
    },
    both: (stored) => ({ here: stored.attempt, inFile: attempt }),
  };
}

export function incomingModel(model: Model, { services, dispatch, t }: Taking): Incoming<Model> {
  const title = model.name;
  return {
    title,
    document: model,
    copy: () => ({ ...model, id: services.newId() }),
    save: (taken, base) => dispatch(saveModel({ model: taken, base })).unwrap(),
    against: (stored) => (stringify(stored) === stringify(model) ? 'same' : 'other'),
    words: {
      taken: t('import.modelIn', { title }),
      same: t('import.sameModel', { title }),
      earlier: '',
    },
    both: () => null,
  };
}
