import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { stringify } from 'safe-stable-stringify';
import {
  acceptPicture,
  isModel,
  lessonHash,
  type LessonPack,
  type Model,
} from '../../core/formats';
import { continuationOf, withMediaAt, type Attempt } from '../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { reasonOf } from '../shared/reasonOf';
import { saveAttempt } from '../state/attemptsSlice';
import { saveLesson } from '../state/librarySlice';
import { saveModel } from '../state/modelsSlice';
import type { AttemptRecord, LessonRecord } from '../storage/records';
import { readSettings, settingsChanged } from '../state/settingsSlice';
import { unfolded, type Chosen } from './everything';
import { failureText } from './failureText';
import { openChosenFile } from './openFiles';
import { takeIn, type Incoming, type Line } from './takeIn';
import { useAskWhichStays } from './useAskWhichStays';

export interface ImportLine extends Line {
  readonly file: string;
}

export interface Importer {
  readonly busy: boolean;
  /** The file that is being read. */
  readonly reading: string;
  readonly report: readonly ImportLine[];
  readonly open: (files: File[]) => Promise<void>;
  readonly cancel: () => void;
  readonly undo: (line: ImportLine) => void;
  readonly dismiss: () => void;
}

/** Opens documents from files. Nothing that differs is replaced without being asked, and a replacement can be undone. */
export function useImporter(): Importer {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const ask = useAskWhichStays();
  const settings = useAppSelector((state) => state.settings);
  const [busy, setBusy] = useState(false);
  const [reading, setReading] = useState('');
  const [report, setReport] = useState<ImportLine[]>([]);
  const cancelling = useRef(new AbortController());
  // The worker ends with the screen.
  useEffect(() => () => cancelling.current.abort(), []);

  const inOf = <T,>(incoming: Incoming<T>): Promise<Line> => takeIn(incoming, { ask, word: t });

  async function takeLesson({ lesson, media }: LessonPack): Promise<Line> {
    // Pictures go by their content: a name says nothing, and another lesson may have the same one.
    const paths = new Map<string, string>();
    for (const [path, bytes] of Object.entries(media)) {
      const accepted = acceptPicture(bytes);
      if (!accepted.ok) continue;
      paths.set(path, accepted.path);
      await services.documents.saveMedia(accepted.path, bytes);
    }
    const own = withMediaAt(lesson, paths);
    const record: LessonRecord = { lesson: own, origin: 'imported', revision: 0, changed: false };
    const { title } = lesson;
    return inOf<LessonRecord>({
      title,
      document: record,
      copy: () => ({ ...record, lesson: { ...own, id: services.newId() } }),
      save: ({ lesson: taken, origin, changed }, base) =>
        dispatch(
          saveLesson({ lesson: taken, origin, changed, baseRevision: base?.revision ?? 0 }),
        ).unwrap(),
      against: (stored) => (lessonHash(stored.lesson) === lessonHash(own) ? 'same' : 'other'),
      words: {
        taken: t('import.lessonIn', { title }),
        same: t('import.sameLesson', { title }),
        earlier: '',
      },
      both: () => null,
    });
  }

  async function takeAttempt(attempt: Attempt, source: Chosen['source']): Promise<Line> {
    const values = { student: attempt.student, title: attempt.lesson.title };
    const record: AttemptRecord = { attempt, source };
    const aside = attempt.setAside?.length ?? 0;
    const told = aside > 0 ? ` ${t('import.setAside', { count: aside })}` : '';
    return inOf<AttemptRecord>({
      title: t('import.recordTitle'),
      document: record,
      copy: () => ({ ...record, attempt: { ...attempt, id: services.newId() } }),
      save: (taken, base) =>
        dispatch(saveAttempt({ record: taken, base: base?.attempt ?? null })).unwrap(),
      against: (stored) =>
        ({ same: 'same', newer: 'later', older: 'earlier', other: 'other' } as const)[
          continuationOf(attempt, stored.attempt)
        ],
      words: {
        taken: t('import.attemptIn', values) + told,
        same: t('import.sameAttempt', values),
        earlier: t('import.olderAttempt', values),
      },
      both: (stored) => ({ here: stored.attempt, inFile: attempt }),
    });
  }

  async function takeModel(model: Model): Promise<Line> {
    const title = model.name;
    return inOf<Model>({
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
    });
  }

  async function take({ file, source }: Chosen, signal: AbortSignal): Promise<Line> {
    const opened = await openChosenFile(file, signal);
    if (!opened.ok)
      return {
        good: false,
        text: `${failureText(t, opened.failure)} ${t('import.nothingChanged')}`,
      };
    if (opened.file.kind === 'lesson') return takeLesson(opened.file.pack);
    const { document } = opened.file;
    if (document.format === 'fair-sprocket/attempt') return takeAttempt(document, source);
    if (isModel(document)) return takeModel(document);
    const kind = t(`documentKinds.${document.format}`);
    return { good: false, text: `${t('import.notHere', { kind })} ${t('import.nothingChanged')}` };
  }

  function failed(error: unknown, signal: AbortSignal): string {
    const reason = typeof error === 'string' ? error : reasonOf(error);
    return signal.aborted ? t('import.cancelled') : t('import.failed', { reason });
  }

  async function open(files: File[]): Promise<void> {
    const { signal } = (cancelling.current = new AbortController());
    setBusy(true);
    const lines: ImportLine[] = [];
    const one = async (chosen: Chosen) => {
      const { name } = chosen.file;
      setReading(name);
      try {
        signal.throwIfAborted();
        lines.push({ file: name, ...(await take(chosen, signal)) });
      } catch (error) {
        lines.push({ file: name, good: false, text: failed(error, signal) });
      }
    };
    for (const file of files) {
      try {
        const inside = await unfolded(file, signal);
        if (inside.ok) {
          for (const chosen of inside.files) await one(chosen);
          if (inside.settings !== null)
            dispatch(settingsChanged(readSettings(inside.settings, settings)));
        } else
          lines.push({
            file: file.name,
            good: false,
            text: `${failureText(t, inside.failure)} ${t('import.nothingChanged')}`,
          });
      } catch (error) {
        lines.push({ file: file.name, good: false, text: failed(error, signal) });
      }
    }
    setReport(lines);
    setReading('');
    setBusy(false);
  }

  const undo = (line: ImportLine) => {
    const settled = (text: string, good: boolean) =>
      setReport((now) => now.map((l) => (l === line ? { file: line.file, good, text } : l)));
    line.undo?.().then(
      () => settled(t('import.undone', { title: line.file }), true),
      (error: unknown) => settled(t('import.failed', { reason: String(error) }), false),
    );
  };

  return {
    busy,
    reading,
    report,
    open,
    cancel: () => cancelling.current.abort(),
    undo,
    dismiss: () => setReport([]),
  };
}
