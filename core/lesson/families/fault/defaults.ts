import { checksOf, rigOfCase, singleFaults, rigOfUnit, type CaseFault } from '../../../faults';
import { solveUnit, type Unit } from '../../../geartrain';
import type { FaultQuestion, FaultSubject } from './kinds';

/** What a new question about faults starts as. */
export function newFaultQuestion(
  kind: FaultQuestion['kind'],
  { unit, faultCase }: FaultSubject,
): FaultQuestion {
  const prompt = '';
  switch (kind) {
    case 'symptom-row':
      return {
        kind,
        prompt,
        unit: unit?.id ?? '',
        fault: firstFault(unit),
        ranges: drivingRanges(unit),
      };
    case 'which-element':
      return { kind, prompt, unit: unit?.id ?? '', fault: firstFault(unit) };
    case 'which-test': {
      const checks = faultCase ? checksOf(rigOfCase(faultCase)) : [];
      const kinds = [...new Set(checks.map((c) => c.kind))];
      const offered = kinds.map((k) => checks.find((c) => c.kind === k)!.id);
      return { kind, prompt, case: faultCase?.id ?? '', done: [], offered: offered.slice(0, 6) };
    }
    case 'diagnose':
      return { kind, prompt, case: faultCase?.id ?? '' };
  }
}

function firstFault(unit: Unit | null): CaseFault {
  const [fault] = unit ? singleFaults(rigOfUnit(unit)) : [];
  return { target: fault?.target ?? 'none', kind: fault?.kind ?? 'will-not-apply' };
}

const drivingRanges = (unit: Unit | null): string[] =>
  (unit?.ranges ?? [])
    .filter((r) => solveUnit(unit!, r.apply).outcome === 'drives')
    .map((r) => r.id);
