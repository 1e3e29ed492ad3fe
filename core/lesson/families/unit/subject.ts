import type { FamilySubject } from '../../family';
import { unitOf } from './kinds';
import type { UnitTypes } from './types';

export const UNIT_SUBJECT: FamilySubject<UnitTypes> = {
  subject(lesson, question) {
    const unit = unitOf(lesson, question);
    return unit ? { kind: 'unit', unit } : null;
  },
  missing: () => 'unit-missing',
};
