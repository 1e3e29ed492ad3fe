import type { FamilySubject } from '../../family';
import { caseOf } from '../../carried';
import { unitOf } from '../unit/kinds';
import { isCaseQuestion, type FaultSubject } from './kinds';
import type { FaultTypes } from './types';

const about = (subject: FaultSubject): FaultTypes['subject'] => ({ kind: 'fault', subject });

export const FAULT_SUBJECT: FamilySubject<FaultTypes> = {
  subject(lesson, question) {
    if (isCaseQuestion(question)) {
      const faultCase = caseOf(lesson, question);
      return faultCase && about({ unit: null, faultCase });
    }
    const unit = unitOf(lesson, question);
    return unit ? about({ unit, faultCase: null }) : null;
  },
  missing: (question) => (isCaseQuestion(question) ? 'case-missing' : 'unit-missing'),
};
