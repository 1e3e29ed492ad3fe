import type { Attempt } from './attempt';
import { classBook } from './classBook';
import type { Lesson } from './lesson';
import { questionsOf } from './lesson';
import { termRows, type TermLesson } from './term';
import { demoFile } from '../tests/demoFile';

const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
const [first] = questionsOf(lesson);

// Ring 70, sun 30, ring held: 1 + 70/30 (Willis 1841; published, from memory).
const record = (id: string, student: string, value: number, startedAt = '2030-01-01'): Attempt => ({
  format: 'fair-sprocket/attempt',
  version: 1,
  id,
  student,
  lesson: { id: lesson.id, title: lesson.title, hash: 'h' },
  startedAt: `${startedAt}T08:00:00.000Z`,
  answers: [
    {
      question: first!.id,
      round: 0,
      answer: { kind: 'number', value, direction: 'same' },
      confidence: 'certain',
      at: `${startedAt}T08:01:00.000Z`,
      score: 1,
    },
  ],
});
const book = (attempts: Attempt[], counted: string[] = []): TermLesson => ({
  id: lesson.id,
  title: lesson.title,
  book: classBook(lesson, attempts, { chosen: counted }),
});

test('one row a student, whatever the case of the name; a lesson not begun is no nought', () => {
  const rows = termRows([
    book([record('a', 'Arno Kell', 10 / 3), record('b', 'brigid voss', 5)]),
    book([record('c', ' ARNO KELL', 10 / 3)]),
  ]);
  expect(rows.map((r) => r.student)).toEqual(['Arno Kell', 'brigid voss']);
  // One of seven questions right: the others were not answered.
  expect(rows[0]).toMatchObject({ scores: [1 / 7, 1 / 7], mean: 1 / 7 });
  expect(rows[1]!.scores[1]).toBeNull();
  expect(rows[1]!.mean).toBe(rows[1]!.scores[0]);
});

test('of several records of a student the one that counts is taken', () => {
  const both = [record('a', 'Arno', 5, '2030-01-01'), record('b', 'Arno', 10 / 3, '2030-01-02')];
  const of = (term: TermLesson) => termRows([term])[0]!.scores[0]!;
  // The first begun, half right by its direction; then the one that the instructor has chosen.
  expect(of(book(both))).toBeCloseTo(0.5 / 7, 9);
  expect(of(book(both, ['b']))).toBeCloseTo(1 / 7, 9);
  expect(termRows([])).toEqual([]);
});
