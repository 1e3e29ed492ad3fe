import { useMemo } from 'react';
import { questionsOf, type Lesson, type Question } from '../../core/lesson';
import type { Commit, Room } from '../../core/room';
import { gradedCommit, nameOf, type GradedCommit } from './spread';

/** Graded commits are kept by their commit: a class that answers on is not graded again and again. */
const graded = new WeakMap<Lesson, Map<string, GradedCommit>>();

export function gradeIn(lesson: Lesson, room: Room, commit: Commit): GradedCommit | null {
  const asked = questionsOf(lesson).find((q) => q.id === commit.entry.question);
  if (!asked) return null;
  const known = graded.get(lesson) ?? new Map<string, GradedCommit>();
  graded.set(lesson, known);
  const name = nameOf(room, commit.student);
  const key = `${commit.student} ${name} ${commit.vote} ${commit.entry.question} ${commit.entry.at}`;
  const before = known.get(key);
  if (before) return before;
  const own = gradedCommit(lesson, asked.question, name, commit);
  known.set(key, own);
  return own;
}

/** The question that stands, and every commit to it, graded. */
export function useTurnOf(
  lesson: Lesson | null,
  room: Room | null,
): { question: Question | null; graded: readonly GradedCommit[] } {
  return useMemo(() => {
    const id = room?.turn?.question;
    const question = lesson && questionsOf(lesson).find((q) => q.id === id)?.question;
    if (!lesson || !room || !question) return { question: null, graded: [] };
    const commits = room.commits.filter((c) => c.entry.question === id);
    return { question, graded: commits.flatMap((c) => gradeIn(lesson, room, c) ?? []) };
  }, [lesson, room]);
}
