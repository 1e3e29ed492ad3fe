import {
  changedRanges,
  drivingOf,
  gradeDiagnosis,
  machineOf,
  rigFaultProblem,
  rigOfUnit,
  singleFaults,
  worksIn,
  type ChangedRanges,
  type DeskCase,
  type DiagnosisGrade,
  type DriveSymptom,
  type Fault,
  type Remedy,
  type SymptomCell,
} from '../../../faults';
import type { Unit } from '../../../geartrain';
import { sameNumber } from '../../../numerics';
import { onceFor } from '../../../numerics';
import { drawIn, knownDesk } from './desk';
import { faultQuestionKey } from './key';
import type { FaultAnswer, FaultQuestion, FaultSubject } from './kinds';

type Diagnosed = Extract<FaultAnswer, { kind: 'diagnose' }>;

/** Facts about a fault of a unit, or about a case. */
export type FaultClaim =
  /** What a range of the question's unit does with the question's fault. */
  | { claim: 'cell'; range: string; drive: DriveSymptom }
  /** What it would do with another fault of the same part. */
  | { claim: 'cell-with'; fault: Fault['kind']; range: string; drive: DriveSymptom }
  | { claim: 'works'; element: string; range: string; way: 'works' | 'idle' }
  /** A range that is good, and would be bad without the element. */
  | { claim: 'needs'; element: string; range: string }
  /** What a check is expected to say now, in bits, and what it takes. */
  | { claim: 'check'; check: string; minutes: number; bits: number }
  | { claim: 'silent'; check: string }
  /** Of a diagnosis: what was spent, skipped, or speaks against it. */
  | { claim: 'spent'; minutes: number; expert: number; answer: Diagnosed }
  | { claim: 'speaks-against'; check: string; answer: Diagnosed }
  | { claim: 'told-nothing'; check: string; answer: Diagnosed }
  | { claim: 'cleared'; range: string; answer: Diagnosed }
  | { claim: 'skipped'; check: string; answer: Diagnosed }
  | { claim: 'remedy'; remedy: Remedy; answer: Diagnosed };

const cellsOnce = onceFor<Unit, readonly SymptomCell[]>();

/** What every range of a unit does with one fault in it; empty when the fault can't be. */
export const cellsWith = (unit: Unit, fault: Fault): readonly SymptomCell[] =>
  cellsOnce(unit, JSON.stringify(fault), () => {
    const rig = rigOfUnit(unit);
    return rigFaultProblem(rig, fault) ? [] : drivingOf(rig).cells(machineOf(rig, [fault]));
  });

/** Other faults that the part of a question's fault can have. */
export const othersOf = (unit: Unit, fault: Fault): Fault[] =>
  singleFaults(rigOfUnit(unit)).filter((f) => f.target === fault.target && f.kind !== fault.kind);

const changesOnce = onceFor<Unit, ChangedRanges>();
export const changesOf = (unit: Unit): ChangedRanges =>
  changesOnce(unit, '', () => changedRanges(unit));

const gradesOnce = onceFor<DeskCase, DiagnosisGrade>();
export const gradeOnce = (desk: DeskCase, answer: Diagnosed): DiagnosisGrade =>
  gradesOnce(desk, JSON.stringify(answer), () => gradeDiagnosis(desk, answer.entries, answer));

/** Asks the unit, or the case's shop, whether a claim is so. */
export function faultClaimHolds(
  claim: FaultClaim,
  question: FaultQuestion,
  { unit, faultCase }: FaultSubject,
): boolean {
  const about = question.kind === 'symptom-row' || question.kind === 'which-element';
  const desk = faultCase ? knownDesk(faultCase, drawIn(question)) : undefined;
  switch (claim.claim) {
    case 'cell':
    case 'cell-with': {
      if (!about || !unit) return false;
      const fault = question.fault as Fault;
      const kind = claim.claim === 'cell' ? fault.kind : claim.fault;
      const found = [fault, ...othersOf(unit, fault)].find((f) => f.kind === kind);
      return (
        found !== undefined &&
        cellsWith(unit, found).some((c) => c.range === claim.range && c.drive === claim.drive)
      );
    }
    case 'works':
      // Only an element can work or do nothing: of a shaft or a gear neither is so.
      return (
        unit !== null &&
        unit.elements.some((e) => e.id === claim.element) &&
        worksIn(unit, claim.range).includes(claim.element) === (claim.way === 'works')
      );
    case 'needs': {
      if (!about || !unit) return false;
      const cell = cellsWith(unit, question.fault as Fault).find((c) => c.range === claim.range);
      return cell?.drive === 'right' && changesOf(unit).mustWork(claim.range, claim.element);
    }
    case 'check':
    case 'silent': {
      if (question.kind !== 'which-test' || !faultCase) return false;
      const result = faultQuestionKey(question, { unit, faultCase }, desk);
      if (!result.ok || result.key.kind !== 'which-test') return false;
      const next = result.key.ranked.find((n) => n.check.id === claim.check);
      return claim.claim === 'silent'
        ? next === undefined && question.offered.includes(claim.check)
        : next !== undefined &&
            sameNumber(next.minutes, claim.minutes) &&
            sameNumber(next.bits, claim.bits);
    }
    case 'spent':
    case 'speaks-against':
    case 'told-nothing':
    case 'cleared':
    case 'skipped':
    case 'remedy':
      return desk !== undefined && diagnosedSo(claim, gradeOnce(desk, claim.answer));
  }
}

export function diagnosedSo(
  claim: Extract<FaultClaim, { answer: Diagnosed }>,
  grade: DiagnosisGrade,
): boolean {
  switch (claim.claim) {
    case 'spent':
      return claim.minutes === grade.minutes && claim.expert === grade.expert.minutes;
    case 'speaks-against':
      return grade.against.includes(claim.check);
    case 'told-nothing':
      return grade.useless.includes(claim.check);
    case 'cleared':
      return grade.clearedBy.includes(claim.range);
    case 'skipped':
      return grade.unsafe.includes(claim.check);
    case 'remedy':
      return (claim.remedy === claim.answer.remedy) === grade.remedy;
  }
}
