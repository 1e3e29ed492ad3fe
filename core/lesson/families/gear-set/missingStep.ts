import type { SetQuestion } from './kinds';

/** So many wrong commits of one question, and the next round asks the step that is missing by itself. */
const WRONG_BEFORE = 2;

/**
 * The smaller question that a round asks in the place of a number that was wrong twice running: the ratio that a speed or a
 * torque hangs on; of a ratio, and of a pinion's speed, what the arrangement does at all.
 * @param scores of the rounds before this one, in their order
 * @returns `null` where the question itself is asked
 */
export function missingStep(question: SetQuestion, scores: readonly number[]): SetQuestion | null {
  if (question.kind !== 'number') return null;
  let wrong = 0;
  for (const score of scores) {
    // The round after two wrong ones was the step: it counts neither way.
    if (wrong === WRONG_BEFORE) wrong = 0;
    else wrong = score < 1 ? wrong + 1 : 0;
  }
  if (wrong < WRONG_BEFORE) return null;
  const { setup, vary } = question;
  const ofRatio = question.ask === 'ratio' || question.ask === 'pinion-speed';
  return ofRatio
    ? { kind: 'choice', ask: 'effect', goal: 'largest-reduction', prompt: '', setup, vary }
    : { ...question, ask: 'ratio', direction: true, prompt: '' };
}
