import {
  graderOf,
  firstPosed,
  type AttemptAnswer,
  type Lesson,
  type Misconception,
  type Question,
  type Subject,
} from '../../core/lesson';
import type { Commit, Room } from '../../core/room';

/** One commit, graded from the model by this very page: what a device says of its own score is not believed. */
export interface GradedCommit {
  readonly commit: Commit;
  readonly question: Question;
  readonly subject: Subject | null;
  /** 0 to 1; `null` where the answer does not fit the question. */
  readonly score: number | null;
  readonly slip: Misconception | null;
}

/** Each student's answer is held against the numbers that were drawn for them. */
export function gradedCommit(
  lesson: Lesson,
  asked: Question,
  name: string,
  commit: Commit,
): GradedCommit {
  const { entry } = commit;
  const { question, subject } = firstPosed(lesson, { id: entry.question, question: asked }, name);
  const grader = subject && graderOf(question, subject);
  if (!grader?.ok || !grader.fits(entry.answer))
    return { commit, question, subject, score: null, slip: null };
  const { score, why } = grader.grade(entry.answer);
  const [named, other] = why.named;
  return { commit, question, subject, score, slip: named && !other ? named.slip : null };
}

export const nameOf = (room: Room, student: string): string =>
  room.students.find((s) => s.id === student)?.name ?? '';

/** A bar of the spread: how many, in each vote. */
export interface Bar {
  readonly text: string;
  readonly right: boolean;
  readonly counts: readonly [number, number];
}

const MOST_BARS = 7;

/**
 * Bars of both votes side by side, the most usual first.
 * @param textOf what a bar is told by
 */
export function barsOf(
  graded: readonly GradedCommit[],
  textOf: (g: GradedCommit) => string,
): Bar[] {
  const bars = new Map<string, { right: boolean; counts: [number, number] }>();
  for (const g of graded) {
    const text = textOf(g);
    const bar = bars.get(text) ?? { right: g.score === 1, counts: [0, 0] };
    bar.counts[g.commit.vote - 1]!++;
    bars.set(text, bar);
  }
  const all = [...bars]
    .map(([text, bar]) => ({ text, ...bar }))
    .sort((a, b) => b.counts[0] + b.counts[1] - a.counts[0] - a.counts[1]);
  // What is right is among them, however few have said it.
  const right = all.filter((b) => b.right);
  const others = all.filter((b) => !b.right).slice(0, Math.max(0, MOST_BARS - right.length));
  return all.filter((b) => b.right || others.includes(b));
}

/** The record that a room's journal makes of one student: first votes, graded anew. */
export const entriesOf = (graded: readonly GradedCommit[], student: string): AttemptAnswer[] => {
  const own = graded.filter((g) => g.commit.student === student);
  const firsts = own.filter(
    (g) =>
      g.commit.vote === 1 ||
      !own.some((o) => o.commit.vote === 1 && o.commit.entry.question === g.commit.entry.question),
  );
  return firsts.map(({ commit: { entry }, score, slip }) => {
    const { misconception: _said, ...rest } = entry;
    return { ...rest, score: score ?? 0, ...(slip ? { misconception: slip } : {}) };
  });
};
