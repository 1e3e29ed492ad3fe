import { useEffect, useMemo, useRef, useState } from 'react';
import { lessonHash } from '../../core/formats';
import type { Attempt, ClassBook, Lesson, SealVerdict } from '../../core/lesson';
import { useServices } from '../state/hooks';
import { reasonOf } from '../shared/reasonOf';
import { openGrading, type Grading } from '../workers/gradingWorker';
import type { GradedBook } from '../workers/protocol';

export interface BookNow {
  /** `null` while it is worked out for the first time. */
  readonly book: ClassBook | null;
  readonly sealOf: (attemptId: string) => SealVerdict;
  readonly failure: string;
}

const NO_SEAL: SealVerdict = { kind: 'none' };
const NONE: readonly string[] = [];

/**
 * A class book, graded in a worker whenever a record or the lesson changes; the book before stays until the next is there.
 * @param lesson `null` where there is nothing to grade
 */
export function useClassBook(
  lesson: Lesson | null,
  attempts: readonly Attempt[],
  chosen: readonly string[] = NONE,
): BookNow {
  const { documents } = useServices();
  const [graded, setGraded] = useState<{ of: string; result: GradedBook } | null>(null);
  const [failure, setFailure] = useState('');
  const grading = useRef<Grading | null>(null);
  useEffect(
    () => () => {
      grading.current?.close();
      grading.current = null;
    },
    [],
  );
  const own = useMemo(() => attempts.filter((a) => a.lesson.id === lesson?.id), [attempts, lesson]);
  useEffect(() => {
    if (!lesson) return;
    let here = true;
    grading.current ??= openGrading();
    const current = grading.current;
    const run = async () => {
      const versions: Record<string, Lesson> = {};
      const hashNow = lessonHash(lesson);
      for (const hash of new Set(own.map((a) => a.lesson.hash))) {
        // Where the version can't be read, the lesson as it is now stands for it, and the row says so.
        const version =
          hash === hashNow ? null : await documents.readVersion(hash).catch(() => null);
        if (version) versions[hash] = version;
      }
      const result = await current.book({ lesson, attempts: own, chosen, versions });
      if (!here) return;
      setGraded({ of: lesson.id, result });
      setFailure('');
    };
    run().catch((error: unknown) => {
      if (here) setFailure(reasonOf(error));
    });
    return () => {
      here = false;
    };
  }, [lesson, own, chosen, documents]);
  const result = graded && graded.of === lesson?.id ? graded.result : null;
  const seals = useMemo(() => new Map(result?.seals.map((s) => [s.id, s.verdict])), [result]);
  return { book: result?.book ?? null, sealOf: (id) => seals.get(id) ?? NO_SEAL, failure };
}
