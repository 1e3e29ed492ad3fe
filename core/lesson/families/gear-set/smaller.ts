import { solveSet, type GearSetSetup } from '../../../geartrain';
import { toNumber, type Fraction } from '../../../numerics';
import type { SmallerQuestions } from '../../family';
import { within } from '../../questionParts';
import { HELD_ARRANGEMENTS } from './key';
import { arrangementKey, type NumberQuestion, type SetAnswer, type SetQuestion } from './kinds';
import type { GearSetTypes } from './types';

export const SMALLER_SET_QUESTIONS: SmallerQuestions<GearSetTypes> = {
  once: (question, { answer, setup = question.setup }) =>
    question.kind === 'number' && question.ask === 'ratio'
      ? rightElsewhere(question, answer, setup)
      : null,
  twice: (question) => (question.kind === 'number' ? stepOf(question) : null),
};

/** The ratio that a speed or a torque hangs on; of a ratio, and of a pinion's speed, what the arrangement does at all. */
function stepOf(question: NumberQuestion): SetQuestion {
  const { setup, vary, ask } = question;
  return ask === 'ratio' || ask === 'pinion-speed'
    ? { kind: 'choice', ask: 'effect', goal: 'largest-reduction', prompt: '', setup, vary }
    : { ...question, ask: 'ratio', direction: true, prompt: '' };
}

/** A wrong ratio that one other arrangement of the set gives: what would make it right? */
function rightElsewhere(
  { tolerance, vary, setup }: NumberQuestion,
  answer: SetAnswer,
  given: GearSetSetup,
): SetQuestion | null {
  const sized = (ratio: Fraction | null) =>
    ratio !== null &&
    answer.kind === 'number' &&
    within(tolerance, Math.abs(toNumber(ratio)), answer.value);
  // The right size, but the wrong way: no other arrangement is meant.
  if (sized(solveSet(given.set, given.roles).ratio)) return null;
  const [fitting, ...others] = HELD_ARRANGEMENTS.filter((r) => sized(solveSet(given.set, r).ratio));
  if (!fitting || others.length > 0) return null;
  const answered = arrangementKey(fitting);
  const goal = 'largest-reduction';
  return { kind: 'choice', ask: 'right-for', goal, answered, prompt: '', setup, vary };
}
