import { readdirSync, readFileSync } from 'node:fs';
import { checkTeeth, solveUnit } from '../core/geartrain';
import { lessonHash, openText, type DocumentKind, type Documents } from '../core/formats';
import { answerKey, classBook, questionsOf } from '../core/lesson';
import { toNumber } from '../core/numerics';

function load<K extends DocumentKind>(folder: string, kind: K): Documents[K][] {
  return readdirSync(`demo/${folder}`).map((file) => {
    const opened = openText(readFileSync(`demo/${folder}/${file}`, 'utf8'), kind);
    if (!opened.ok) throw new Error(`${file}: ${JSON.stringify(opened.failure)}`);
    return opened.document;
  });
}
const lessons = load('lessons', 'fair-sprocket/lesson');
const attempts = load('attempts', 'fair-sprocket/attempt');

test('every question of the demo world has an answer, on a set that can be built', () => {
  expect(lessons.length).toBeGreaterThanOrEqual(3);
  for (const lesson of lessons)
    for (const { id, question } of questionsOf(lesson)) {
      expect([lesson.id, id, answerKey(question).ok]).toEqual([lesson.id, id, true]);
      expect([lesson.id, id, checkTeeth(question.setup.set)]).toEqual([lesson.id, id, []]);
    }
});

test('the class’s attempts are fresh: same lesson content, same scores as the model gives', () => {
  for (const lesson of lessons) {
    const own = attempts.filter((a) => a.lesson.id === lesson.id);
    for (const attempt of own) expect(attempt.lesson.hash).toBe(lessonHash(lesson));
    for (const row of classBook(lesson, own).rows)
      for (const cell of row.cells) expect(cell?.differs ?? false).toBe(false);
  }
  const found = new Set(attempts.flatMap((a) => a.answers.map((x) => x.misconception)));
  expect(found.size).toBeGreaterThan(6);
});

test('the demo unit gives the ratios of two equal sets', () => {
  const [unit] = load('units', 'fair-sprocket/unit');
  const ratios = unit!.ranges.map((r) => {
    const { ratio } = solveUnit(unit!, r.apply);
    return ratio && Number(toNumber(ratio).toFixed(3));
  });
  expect(ratios).toEqual([2.44, 1.44, 1, 2.44, -2.273, null]);
});
