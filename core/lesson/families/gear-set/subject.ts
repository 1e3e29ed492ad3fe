import type { FamilySubject } from '../../family';
import type { GearSetTypes } from './types';

export const GEAR_SET_SUBJECT: FamilySubject<GearSetTypes> = {
  subject: (_lesson, { setup }) => ({ kind: 'gear-set', setup }),
  // The question carries its set: nothing is ever missing.
  missing: () => 'no-output',
};
