import { App, Button } from 'antd';
import { stringify } from 'safe-stable-stringify';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { isModel, lessonHash, type LessonPack, type Model } from '../../core/formats';
import type { Attempt } from '../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../app/hooks';
import { reasonOf } from '../app/thunk';
import { saveAttempt, selectAttempts } from '../classBook/attemptsSlice';
import { saveLesson, selectLibrary } from '../lessons/librarySlice';
import { saveModel, type Shelf } from '../models/modelsSlice';
import { failureText } from './failureText';
import { openChosenFile } from './openFiles';

export interface ImportLine {
  readonly file: string;
  readonly good: boolean;
  readonly text: string;
}

export interface Importer {
  readonly busy: boolean;
  readonly report: readonly ImportLine[];
  readonly open: (files: File[]) => Promise<void>;
  readonly dismiss: () => void;
}

type Choice = 'replace' | 'both' | 'cancel';

/** Opens lessons and attempts from files. Nothing that is already here is overwritten without being asked. */
export function useImporter(): Importer {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const dispatch = useAppDispatch();
  const services = useServices();
  const library = useAppSelector(selectLibrary);
  const attempts = useAppSelector(selectAttempts);
  const models = useAppSelector((state) => state.models);
  const [busy, setBusy] = useState(false);
  const [report, setReport] = useState<ImportLine[]>([]);

  const ask = (title: string) =>
    new Promise<Choice>((done) => {
      const dialog = modal.confirm({
        title: t('import.existsTitle', { title }),
        content: t('import.existsDetail'),
        closable: true,
        onCancel: () => done('cancel'),
        footer: (
          <div className="row" style={{ justifyContent: 'flex-end', marginTop: 16 }}>
            {(['cancel', 'replace', 'both'] as const).map((choice) => (
              <Button
                key={choice}
                type={choice === 'both' ? 'primary' : 'default'}
                onClick={() => {
                  done(choice);
                  dialog.destroy();
                }}
              >
                {t(`import.choices.${choice}`)}
              </Button>
            ))}
          </div>
        ),
      });
    });

  async function takeLesson({ lesson, media }: LessonPack): Promise<Omit<ImportLine, 'file'>> {
    const existing = library.byId[lesson.id];
    let taken = lesson;
    let baseRevision = 0;
    if (existing) {
      if (lessonHash(existing.lesson) === lessonHash(lesson))
        return { good: true, text: t('import.sameLesson', { title: lesson.title }) };
      const choice = await ask(lesson.title);
      if (choice === 'cancel')
        return { good: true, text: t('import.leftAlone', { title: lesson.title }) };
      if (choice === 'both') taken = { ...lesson, id: services.newId() };
      else baseRevision = existing.revision;
    }
    for (const [path, bytes] of Object.entries(media))
      await services.documents.saveMedia(path, bytes);
    await dispatch(
      saveLesson({ lesson: taken, origin: 'imported', changed: false, baseRevision }),
    ).unwrap();
    return { good: true, text: t('import.lessonIn', { title: lesson.title }) };
  }

  async function takeAttempt(attempt: Attempt): Promise<Omit<ImportLine, 'file'>> {
    const values = { student: attempt.student, title: attempt.lesson.title };
    const existing = attempts[attempt.id];
    if (existing && existing.attempt.answers.length >= attempt.answers.length)
      return { good: true, text: t('import.sameAttempt', values) };
    await dispatch(saveAttempt({ attempt, source: 'imported' })).unwrap();
    return { good: true, text: t('import.attemptIn', values) };
  }

  async function takeModel(model: Model): Promise<Omit<ImportLine, 'file'>> {
    const existing = (models[model.format] as Shelf<Model>).byId[model.id];
    let taken = model;
    if (existing) {
      if (stringify(existing) === stringify(model))
        return { good: true, text: t('import.sameModel', { title: model.name }) };
      const choice = await ask(model.name);
      if (choice === 'cancel')
        return { good: true, text: t('import.leftAlone', { title: model.name }) };
      if (choice === 'both') taken = { ...model, id: services.newId() };
    }
    await dispatch(saveModel({ model: taken })).unwrap();
    return { good: true, text: t('import.modelIn', { title: model.name }) };
  }

  async function take(file: File): Promise<Omit<ImportLine, 'file'>> {
    const opened = await openChosenFile(file);
    if (!opened.ok)
      return {
        good: false,
        text: `${failureText(t, opened.failure)} ${t('import.nothingChanged')}`,
      };
    if (opened.file.kind === 'lesson') return takeLesson(opened.file.pack);
    const { document } = opened.file;
    if (document.format === 'fair-sprocket/attempt') return takeAttempt(document);
    if (isModel(document)) return takeModel(document);
    const kind = t(`documentKinds.${document.format}`);
    return { good: false, text: `${t('import.notHere', { kind })} ${t('import.nothingChanged')}` };
  }

  async function open(files: File[]): Promise<void> {
    setBusy(true);
    const lines: ImportLine[] = [];
    for (const file of files) {
      try {
        lines.push({ file: file.name, ...(await take(file)) });
      } catch (error) {
        const reason = typeof error === 'string' ? error : reasonOf(error);
        lines.push({ file: file.name, good: false, text: t('import.failed', { reason }) });
      }
    }
    setReport(lines);
    setBusy(false);
  }

  return { busy, report, open, dismiss: () => setReport([]) };
}
