import type { FamilySubject } from '../../family';
import { clutchRigOf } from '../../carried';
import { isPackQuestion } from './kinds';
import type { ClutchTypes } from './types';

export const CLUTCH_SUBJECT: FamilySubject<ClutchTypes> = {
  subject(lesson, question) {
    const rig = clutchRigOf(lesson, question);
    return rig && { kind: 'clutch', rig };
  },
  missing: (question) => (isPackQuestion(question) ? 'pack-missing' : 'clutch-missing'),
};
