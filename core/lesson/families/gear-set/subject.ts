import type { FamilySubject } from '../../family';
import { missingStep } from './missingStep';
import { setupForStudent } from './variant';
import type { GearSetTypes } from './types';

export const GEAR_SET_SUBJECT: FamilySubject<GearSetTypes> = {
  subject: (_lesson, question, seed) => ({
    kind: 'gear-set',
    setup: seed ? setupForStudent(question, seed) : question.setup,
  }),
  step: missingStep,
  // The question carries its set: nothing is ever missing.
  missing: () => 'no-output',
};
