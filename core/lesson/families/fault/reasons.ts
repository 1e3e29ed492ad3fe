import type { Reasons } from '../../family';
import { faultClaimHolds, gradeOnce } from './claims';
import type { FaultTypes } from './types';
import { deskThoughts, spent, testThoughts, told } from './caseReasons';
import { elementFacts, elementThoughts, rowThoughts, worksAt } from './rowReasons';

export const reasons: Reasons<FaultTypes> = {
  thoughts: {
    'symptom-row': rowThoughts,
    'which-element': elementThoughts,
    'which-test': testThoughts,
    diagnose: deskThoughts,
  },
  facts: {
    'symptom-row': ({ question, subject: { subject }, key }) =>
      subject.unit
        ? key.cells
            .filter((c) => c.drive !== 'right')
            .slice(0, 2)
            .flatMap(({ range, drive }) => [
              worksAt(subject.unit!, question.fault.target, range),
              { claim: 'cell' as const, range, drive },
            ])
        : [],
    'which-element': ({ subject: { subject }, key }) => elementFacts(key, subject.unit),
    'which-test': ({ key }) => [told(key.ranked[0]!)],
    diagnose: ({ key, answer }) => [spent(gradeOnce(key.desk, answer), answer)],
  },
  holds: (claim, { question, subject }) => faultClaimHolds(claim, question, subject.subject),
};
