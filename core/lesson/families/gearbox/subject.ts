import { gearboxRigOf } from '../../carried';
import type { FamilySubject } from '../../family';
import type { GearboxTypes } from './types';

export const GEARBOX_SUBJECT: FamilySubject<GearboxTypes> = {
  subject(lesson, question) {
    const rig = gearboxRigOf(lesson, question);
    return rig && { kind: 'gearbox', rig };
  },
  missing: () => 'unit-missing',
};
