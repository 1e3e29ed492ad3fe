import type { Lesson, LessonStep, QuestionBlock } from '../../core/lesson';
import { takesSheet, type Focus } from '../lessons/player/usePlayerStep';

/** What stands on the wall at one time: a step to be read, or one block that has the sheet. */
export interface Slide {
  readonly step: LessonStep;
  readonly number: number;
  readonly focus: Focus | null;
  /** Its text is read beside the first block of a step, not again beside the next. */
  readonly first: boolean;
}

/** A lesson one thing after the other. */
export const slidesOf = ({ steps }: Lesson): Slide[] =>
  steps.flatMap((step, k): Slide[] => {
    const blocks = step.blocks.filter(takesSheet);
    const number = k + 1;
    if (blocks.length === 0) return [{ step, number, focus: null, first: true }];
    return blocks.map((focus, n) => ({ step, number, focus, first: n === 0 }));
  });

export const questionOn = ({ focus }: Slide): QuestionBlock | null =>
  focus?.kind === 'question' ? focus : null;
