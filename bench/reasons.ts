import { performance } from 'node:perf_hooks';
import { readdirSync, readFileSync } from 'node:fs';
import { bookKeeper, questionsOf, type Attempt, type Lesson } from '../core/lesson';
import { claimIsSo } from '../core/lesson/tests/claimOracle';
import { figuresOf } from '../core/lesson/tests/classFigures';
import { THOUGHT_OF } from '../core/lesson/tests/drawnQuestions';
import { classOf } from '../core/lesson/tests/simulatedClass';

/** Draws of each kind. */
const DRAWS = 200;

/** ms that each answer took to grade, reasons and all. */
const gradeMs: number[] = [];

function timed<T>(work: () => T): T {
  const start = performance.now();
  const result = work();
  gradeMs.push(performance.now() - start);
  return result;
}

/** A class of which it is known how each student thinks: how often that is what is said, and whether what is said is so. */
export function benchReasons(): void {
  const all = THOUGHT_OF.flatMap((kind) => classOf(kind, DRAWS, timed));
  const { answers, named, falsely } = figuresOf(all.filter((a) => a.slip !== null));
  let claims = 0;
  let wrong = 0;
  for (const { question, subject, grade } of all)
    for (const claim of [...grade.why.facts, ...grade.why.named.flatMap((n) => n.claims)]) {
      const so = claimIsSo(claim, question, subject);
      if (so !== null) claims++;
      if (so === false) wrong++;
    }
  const percent = (n: number) => `${((100 * n) / answers).toFixed(1)} %`;
  console.log(
    `simulated class: ${answers} wrong answers, ${percent(named)} named rightly, ${percent(falsely)} named falsely, ${wrong} of ${claims} claims false`,
  );
  console.log(
    `reasons for one answer, key known: ${medianOf(gradeMs).toFixed(2)} ms (half of them below)`,
  );
  benchBooks();
}

const medianOf = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

/** The class books of the demo's lessons, with thirty students each. */
function benchBooks(): void {
  const read = <T>(folder: string): T[] =>
    readdirSync(folder).map((f) => JSON.parse(readFileSync(`${folder}/${f}`, 'utf8')) as T);
  const attempts = read<Attempt>('demo/attempts');
  let worst = { title: '', ms: 0 };
  for (const lesson of read<Lesson>('demo/lessons')) {
    const own = attempts.filter((a) => a.lesson.id === lesson.id);
    if (own.length === 0 || questionsOf(lesson).some((q) => q.question.kind === 'diagnose'))
      continue;
    const thirty = Array.from({ length: 30 }, (_v, k) => {
      const attempt = own[k % own.length]!;
      return { ...attempt, id: `${attempt.id}-${k}`, student: `${attempt.student} ${k}` };
    });
    const keeper = bookKeeper();
    keeper(lesson, thirty.slice(0, 1));
    const start = performance.now();
    keeper(lesson, thirty);
    const ms = performance.now() - start;
    if (ms > worst.ms) worst = { title: lesson.title, ms };
  }
  console.log(
    `class book of thirty, keys known, at worst: ${worst.ms.toFixed(0)} ms (“${worst.title}”)`,
  );
}
