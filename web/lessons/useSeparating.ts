import { useEffect, useRef, useState } from 'react';
import type { Lesson, Misconception, Question, Separating } from '../../core/lesson';
import { separatingOf } from '../workers/gradingWorker';

interface Search {
  readonly busy: boolean;
  /** `null` where none was found; left out before anything was asked. */
  readonly found?: Separating | null;
}

/** Looks for the draw of a question that tells most, or one slip best, away from the page; ends with the screen. */
export function useSeparating(lesson: Lesson) {
  const [search, setSearch] = useState<Search>({ busy: false });
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  async function find(question: Question, slip: Misconception | null): Promise<Separating | null> {
    running.current?.abort();
    const cancel = (running.current = new AbortController());
    setSearch({ busy: true });
    const found = await separatingOf({ lesson, question, slip }, cancel.signal).catch(() => null);
    if (!cancel.signal.aborted) setSearch({ busy: false, found });
    return cancel.signal.aborted ? null : found;
  }
  return { ...search, find };
}
