import { among, ids, noneTwice, type Family } from '../../family';
import { judge } from './grade';
import { reasons } from './reasons';
import { faultQuestionKey } from './key';
import { SMALLER_FAULT_QUESTIONS } from './smaller';
import type { FaultTypes } from './types';
import { vary } from './vary';

export const FAULT_FAMILY: Family<FaultTypes> = {
  key: (question, { subject }) => faultQuestionKey(question, subject),
  judge,
  reasons,
  vary,
  guess: {
    'symptom-row': null,
    'which-element': null,
    'which-test': ({ question }) => 1 / question.offered.length,
    diagnose: null,
  },
  dear: ['which-test', 'diagnose'],
  smaller: SMALLER_FAULT_QUESTIONS,
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
      return noneTwice(done) && among(done, ids(key.desk.shop.checks));
    },
  },
};
