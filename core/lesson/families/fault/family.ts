import { caseOf } from '../../carried';
import { among, ids, noneTwice, type Family } from '../../family';
import { unitOf } from '../unit/kinds';
import { judge } from './grade';
import { faultQuestionKey } from './key';
import { isCaseQuestion, type FaultSubject } from './kinds';
import type { FaultTypes } from './types';

const about = (subject: FaultSubject): FaultTypes['subject'] => ({ kind: 'fault', subject });

export const FAULT_FAMILY: Family<FaultTypes> = {
  subject(lesson, question) {
    if (isCaseQuestion(question)) {
      const faultCase = caseOf(lesson, question);
      return faultCase && about({ unit: null, faultCase });
    }
    const unit = unitOf(lesson, question);
    return unit ? about({ unit, faultCase: null }) : null;
  },
  missing: (question) => (isCaseQuestion(question) ? 'case-missing' : 'unit-missing'),
  key: (question, { subject }) => faultQuestionKey(question, subject),
  judge,
  fits: {
    'symptom-row': ({ question, answer }) => {
      const said = answer.cells.map((c) => c.range);
      return noneTwice(said) && among(said, question.ranges);
    },
    'which-element': ({ subject, answer }) =>
      ids(subject.subject.unit?.elements ?? []).includes(answer.element),
    'which-test': ({ question, answer }) => question.offered.includes(answer.check),
    diagnose: ({ key, answer: { entries } }) => {
      const done = entries.map((e) => e.check);
      return key.kind === 'diagnose' && noneTwice(done) && among(done, ids(key.desk.shop.checks));
    },
  },
};
