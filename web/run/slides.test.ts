import type { Lesson } from '../../core/lesson';
import { questionsOf } from '../../core/lesson';
import { questionOn, slidesOf } from './slides';
import { demoAll } from '../../core/tests/demoFile';

const lessons = demoAll<Lesson>('lessons');

test('every question of every lesson has the wall once, in its order, and every step is read once', () => {
  for (const lesson of lessons) {
    const slides = slidesOf(lesson);
    const asked = slides.flatMap((s) => questionOn(s)?.id ?? []);
    expect(asked).toEqual(questionsOf(lesson).map((q) => q.id));
    expect(slides.filter((s) => s.first).map((s) => s.step.id)).toEqual(
      lesson.steps.map((s) => s.id),
    );
  }
});
