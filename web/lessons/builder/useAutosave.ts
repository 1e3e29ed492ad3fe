import { useCallback, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Lesson } from '../../../core/lesson';
import { useAppDispatch } from '../../state/hooks';
import { exportLessonText } from '../../files/exportFiles';
import { writtenOrNot } from '../../state/written';
import { useSaver, type Saver } from '../../shared/useSaver';
import type { LessonRecord } from '../../storage/records';
import { saveLesson } from '../../state/librarySlice';

export interface Autosave extends Omit<Saver<Lesson>, 'rebase'> {
  /** What another tab has saved, in a conflict. */
  readonly other: LessonRecord | null;
  /** Something else than what this draft is based on was stored. While a save of its own runs that can't be told yet. */
  readonly isNews: (record: LessonRecord) => boolean;
  /** Takes a revision as the new base: after loading the other version, or to replace it. */
  readonly rebase: (revision: number, saved: Lesson | null) => void;
}

/**
 * Saves the lesson being built. A save that would overwrite another tab's stops and asks.
 * @param record the stored lesson that the draft was opened from
 */
export function useAutosave(draft: Lesson, record: LessonRecord): Autosave {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const revision = useRef(record.revision);
  const [other, setOther] = useState<LessonRecord | null>(null);
  const { origin } = record;
  const save = useCallback(
    async (lesson: Lesson) => {
      const result = writtenOrNot(
        t,
        await dispatch(
          saveLesson({
            lesson,
            origin,
            changed: origin === 'demo',
            baseRevision: revision.current,
          }),
        ).unwrap(),
      );
      if (result.outcome === 'conflict') setOther(result.stored);
      else revision.current = result.record.revision;
      return result.outcome === 'saved';
    },
    [dispatch, origin, t],
  );
  const saver = useSaver({
    draft,
    stored: record.lesson,
    sound: true,
    save,
    takeAlong: exportLessonText,
  });
  const { rebase: compareWith } = saver;
  const rebase = useCallback(
    (now: number, saved: Lesson | null) => {
      revision.current = now;
      const base = saved ?? other?.lesson;
      setOther(null);
      if (base) compareWith(base);
    },
    [compareWith, other],
  );
  const isNews = useCallback((stored: LessonRecord) => stored.revision > revision.current, []);
  return { ...saver, other, isNews, rebase };
}
