import {
  firstPosed,
  graderOf,
  questionsOf,
  wayTo,
  wrongAnswers,
  type Lesson,
} from '../../core/lesson';
import { differs, isOnPaper, MOST_NAMES, namesIn } from './onSheet';
import { demoAll } from '../../core/tests/demoFile';

const lessons = demoAll<Lesson>('lessons');

test('names: one a line, each once, and no more than there may be', () => {
  expect(namesIn(' Arno \n\nBrigid\nArno\n')).toEqual(['Arno', 'Brigid']);
  expect(namesIn('')).toEqual([]);
  expect(namesIn(Array.from({ length: 99 }, (_, k) => `n${k}`).join('\n'))).toHaveLength(
    MOST_NAMES,
  );
});

test('what stands on a sheet is what that student gets on the screen: the same name, the same numbers', () => {
  const lesson = lessons.find((l) => l.id === 'hold-one-drive-one')!;
  expect(differs(lesson)).toBe(true);
  const own = questionsOf(lesson).at(-1)!;
  const teeth = (student: string) => JSON.stringify(firstPosed(lesson, own, student).question);
  expect(teeth('Arno')).toBe(teeth('Arno'));
  expect(teeth('Arno')).not.toBe(teeth('Brigid'));
});

test('the way that the answer page tells is made of facts that hold, wherever somebody could answer otherwise', () => {
  for (const lesson of lessons.slice(0, 6))
    for (const asked of questionsOf(lesson)) {
      if (!isOnPaper(asked.question)) continue;
      const posed = firstPosed(lesson, asked, 'Arno');
      const grader = posed.subject && graderOf(posed.question, posed.subject);
      if (!posed.subject || !grader?.ok) continue;
      const [other] = wrongAnswers(posed.question, posed.subject);
      if (!other) continue;
      expect(grader.grade(other.answer).score).toBeLessThan(1);
      expect(wayTo(posed.question, posed.subject)).toEqual(grader.grade(other.answer).why.facts);
    }
});
