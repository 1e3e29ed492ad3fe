import { newBlock, newLesson, newStep, type Lesson } from '../../lesson';

/** A small lesson with a block of every plain kind. */
export const sampleLesson = (over: Partial<Lesson> = {}): Lesson => ({
  ...newLesson('lesson-1', 'Lesson', {
    ...newStep('s1', 'Step'),
    blocks: (['text', 'caution', 'picture', 'bench', 'question'] as const).map((kind) =>
      newBlock(kind, kind),
    ),
  }),
  ...over,
});
