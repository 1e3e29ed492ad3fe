import type { SmallerQuestions } from '../../family';
import type { FaultTypes } from './types';

export const SMALLER_FAULT_QUESTIONS: SmallerQuestions<FaultTypes> = {
  /** Of a whole row of symptoms, one range by itself. */
  twice: (question) =>
    question.kind === 'symptom-row' && question.ranges.length > 1
      ? { ...question, prompt: '', ranges: question.ranges.slice(0, 1) }
      : null,
};
