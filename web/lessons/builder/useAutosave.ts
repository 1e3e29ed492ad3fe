import { useCallback, useEffect, useRef, useState } from 'react';
import type { Lesson } from '../../../core/lesson';
import { useAppDispatch } from '../../app/hooks';
import type { LessonRecord, SaveResult } from '../../storage/documentStore';
import { saveLesson } from '../librarySlice';

export type SaveState = 'saved' | 'waiting' | 'saving' | 'failed' | 'conflict';

export interface Autosave {
  readonly state: SaveState;
  /** What the browser said when a save failed. */
  readonly reason: string;
  /** What another tab has saved, in a conflict. */
  readonly other: LessonRecord | null;
  /** Takes a revision as the new base: after loading the other version, or to replace it. */
  readonly rebase: (revision: number, saved: Lesson | null) => void;
  readonly saveNow: () => void;
}

const PAUSE_MS = 700;

/**
 * Saves the draft a moment after the last change. A save that would overwrite another tab's stops and asks.
 * @param record the stored lesson that the draft was opened from
 */
export function useAutosave(draft: Lesson, record: LessonRecord): Autosave {
  const dispatch = useAppDispatch();
  const base = useRef(record.revision);
  const saved = useRef<Lesson>(record.lesson);
  const busy = useRef(false);
  const latest = useRef(draft);
  const [state, setState] = useState<SaveState>('saved');
  const [shownSaved, setShownSaved] = useState<Lesson>(record.lesson);
  const [reason, setReason] = useState('');
  const [other, setOther] = useState<LessonRecord | null>(null);
  const { origin } = record;
  useEffect(() => {
    latest.current = draft;
  }, [draft]);

  const save = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      while (latest.current !== saved.current) {
        const lesson = latest.current;
        setState('saving');
        const result: SaveResult = await dispatch(
          saveLesson({ lesson, origin, changed: origin === 'demo', baseRevision: base.current }),
        ).unwrap();
        if (result.outcome === 'conflict') {
          setOther(result.stored);
          setState('conflict');
          return;
        }
        base.current = result.record.revision;
        saved.current = lesson;
        setShownSaved(lesson);
      }
      setState('saved');
    } catch (error) {
      setReason(String(error));
      setState('failed');
    } finally {
      busy.current = false;
    }
  }, [dispatch, origin]);

  useEffect(() => {
    if (draft === saved.current || state === 'conflict') return;
    const timer = setTimeout(() => void save(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [draft, save, state]);

  // Leaving the screen saves at once; closing the tab asks while something is unsaved.
  useEffect(() => () => void save(), [save]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (latest.current !== saved.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, []);

  const rebase = useCallback((revision: number, lesson: Lesson | null) => {
    base.current = revision;
    if (lesson) {
      saved.current = lesson;
      latest.current = lesson;
      setShownSaved(lesson);
    }
    setOther(null);
    setState(lesson ? 'saved' : 'waiting');
  }, []);
  const waiting = draft !== shownSaved && state === 'saved';
  return { state: waiting ? 'waiting' : state, reason, other, rebase, saveNow: () => void save() };
}
