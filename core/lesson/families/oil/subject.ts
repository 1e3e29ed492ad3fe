import { oilRigOf } from '../../carried';
import type { FamilySubject } from '../../family';
import type { OilTypes } from './types';

export const OIL_SUBJECT: FamilySubject<OilTypes> = {
  subject(lesson, question) {
    const rig = oilRigOf(lesson, question);
    return rig && { kind: 'oil', rig };
  },
  missing: () => 'plan-missing',
};
