import { rigOfUnit, singleFaults, type CaseFault } from '../../../faults';
import type { Unit } from '../../../geartrain';
import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import type { FaultTypes } from './types';

/** Another fault of the same unit. What an instructor wrote of one would be wrong of another. */
export const vary: Family<FaultTypes>['vary'] = {
  'symptom-row': (question, { subject: { unit } }, random) => ({
    ...question,
    prompt: '',
    fault: otherFault(unit, question.fault, random),
  }),
  'which-element': (question, { subject: { unit } }, random) => ({
    ...question,
    prompt: '',
    fault: otherFault(unit, question.fault, random),
  }),
  // A case is one machine with its own cause: another is another case.
  'which-test': null,
  diagnose: null,
};

function otherFault(unit: Unit | null, now: CaseFault, random: Random): CaseFault {
  const faults = unit ? singleFaults(rigOfUnit(unit)) : [];
  if (faults.length === 0) return now;
  const { target, kind } = random.pick(faults);
  return { target, kind };
}
