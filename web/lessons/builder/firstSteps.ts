import { defaultSetup, isOf, type Lesson } from '../../../core/lesson';

/** What a first lesson is made of, in its order; each is seen in the lesson itself. */
export const FIRST_STEPS = ['titled', 'told', 'asked', 'own'] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];

const TOLD = 20;

/** Which of them are done. @param untitled what a new lesson is called */
export function firstStepsDone(lesson: Lesson, untitled: string): Record<FirstStep, boolean> {
  const blocks = lesson.steps.flatMap((s) => s.blocks);
  const questions = blocks.flatMap((b) => (b.kind === 'question' ? [b.question] : []));
  const usual = JSON.stringify(defaultSetup().set.teeth);
  return {
    titled: lesson.title.trim() !== '' && lesson.title !== untitled,
    told: blocks.some((b) => b.kind === 'text' && b.markdown.trim().length >= TOLD),
    asked: questions.length > 0,
    own: questions.some(
      (q) =>
        !isOf('gear-set', q) ||
        q.prompt.trim() !== '' ||
        JSON.stringify(q.setup.set.teeth) !== usual,
    ),
  };
}
