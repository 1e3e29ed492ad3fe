import { checksOf, rigOfCase, rigOfUnit, singleFaults, type CaseFault } from '../../../faults';
import type { Unit } from '../../../geartrain';
import { seedFrom, type Random } from '../../../numerics';
import type { Family } from '../../family';
import type { FaultTypes } from './types';

/** Checks that come to those that an instructor offers. */
const MORE_CHECKS = 2;

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
  // The checks that are offered stay, so that it can be asked; others come to them, in another order.
  'which-test': (question, { subject: { faultCase } }, random) => {
    const all = faultCase ? checksOf(rigOfCase(faultCase)).map((c) => c.id) : [];
    const others = all.filter((id) => ![...question.offered, ...question.done].includes(id));
    const more = shuffled(others, random).slice(0, MORE_CHECKS);
    return { ...question, prompt: '', offered: shuffled([...question.offered, ...more], random) };
  },
  diagnose: (question, _subject, random) => ({
    ...question,
    prompt: '',
    // As hard for every student.
    draw: { seed: seedFrom(random), difficulty: 'middling' },
  }),
};

function otherFault(unit: Unit | null, now: CaseFault, random: Random): CaseFault {
  const faults = unit ? singleFaults(rigOfUnit(unit)) : [];
  if (faults.length === 0) return now;
  const { target, kind } = random.pick(faults);
  return { target, kind };
}

function shuffled<T>(list: readonly T[], random: Random): T[] {
  const left = [...list];
  return list.map(() => left.splice(random.whole(0, left.length - 1), 1)[0]!);
}
