import type { FamilySubject } from '../../family';
import { SMALLER_SET_QUESTIONS } from './smaller';
import { setupForStudent } from './variant';
import type { GearSetTypes } from './types';

export const GEAR_SET_SUBJECT: FamilySubject<GearSetTypes> = {
  subject: (_lesson, question, seed) => ({
    kind: 'gear-set',
    setup: seed ? setupForStudent(question, seed) : question.setup,
  }),
  smaller: SMALLER_SET_QUESTIONS,
  // The question carries its set: nothing is ever missing.
  missing: () => 'no-output',
};
