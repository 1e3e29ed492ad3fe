import type { FamilySubject } from '../../family';
import { setupForStudent } from './variant';
import type { GearSetTypes } from './types';

export const GEAR_SET_SUBJECT: FamilySubject<GearSetTypes> = {
  subject: (_lesson, question, seed) => ({
    kind: 'gear-set',
    setup: setupForStudent(question, seed),
  }),
  missing: () => 'no-output',
};
