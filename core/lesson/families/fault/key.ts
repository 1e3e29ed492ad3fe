import { found, refused, type KeyResult } from '../../family';
import {
  afterChecks,
  caseProblems,
  drivingOf,
  faultKey,
  machineOf,
  nextChecks,
  readingOf,
  rigFaultProblem,
  rigOfUnit,
  singleFaults,
  SOUND_MACHINE,
  suspects,
  type DeskCase,
  type Fault,
  type NextCheck,
  type Reading,
  type SymptomCell,
} from '../../../faults';
import { unitFindings, type Unit } from '../../../geartrain';
import { deskFor, drawIn } from './desk';
import type { FaultQuestion, FaultSubject, WhichTestQuestion } from './kinds';

/** Answers to questions about faults, computed from the models. */
export type FaultKey =
  | { readonly kind: 'symptom-row'; readonly cells: readonly SymptomCell[] }
  | {
      readonly kind: 'which-element';
      readonly cells: readonly SymptomCell[];
      /** Elements with some fault that every range shows alike. */
      readonly right: readonly string[];
    }
  | {
      readonly kind: 'which-test';
      readonly readings: readonly Reading[];
      /** Of those offered, the best first; what can say nothing is left out. */
      readonly ranked: readonly NextCheck[];
      /** Faults that still fit. */
      readonly left: number;
    }
  | { readonly kind: 'diagnose'; readonly desk: DeskCase };

export type FaultKeyFault =
  | 'unit-missing'
  | 'unit-broken'
  | 'case-missing'
  | 'case-broken'
  | 'part-missing'
  | 'not-an-element'
  | 'no-symptom'
  | 'no-ranges'
  | 'check-missing'
  | 'nothing-to-tell';

export type FaultKeyResult = KeyResult<FaultKey, FaultKeyFault>;

/** @param desk of the question's case where it is known already: it takes a second to work out */
export function faultQuestionKey(
  question: FaultQuestion,
  { unit, faultCase }: FaultSubject,
  desk?: DeskCase,
): FaultKeyResult {
  switch (question.kind) {
    case 'symptom-row':
    case 'which-element':
      return unit ? rowKey(question, unit) : refused('unit-missing');
    case 'which-test':
    case 'diagnose': {
      if (!faultCase) return refused('case-missing');
      if (!desk && caseProblems(faultCase).length > 0) return refused('case-broken');
      const known = deskFor(faultCase, drawIn(question), desk);
      if (!known) return refused('case-broken');
      return question.kind === 'diagnose'
        ? found({ kind: 'diagnose', desk: known })
        : testKey(question, known);
    }
  }
}

type RowQuestion = Extract<FaultQuestion, { kind: 'symptom-row' | 'which-element' }>;

function rowKey(question: RowQuestion, unit: Unit): FaultKeyResult {
  if (unitFindings(unit).some((f) => f.weight === 'wrong')) return refused('unit-broken');
  const rig = rigOfUnit(unit);
  const fault = question.fault as Fault;
  if (rigFaultProblem(rig, fault)) return refused('part-missing');
  const driving = drivingOf(rig);
  const cells = driving.cells(machineOf(rig, [fault]));
  const sound = driving.cells(SOUND_MACHINE);
  const alike = (a: SymptomCell, b: SymptomCell) => a.drive === b.drive && a.coast === b.coast;
  if (cells.every((c, k) => alike(c, sound[k]!))) return refused('no-symptom');
  if (question.kind === 'symptom-row') {
    const asked = cells.filter((c) => question.ranges.includes(c.range));
    if (asked.length === 0) return refused('no-ranges');
    return found({ kind: 'symptom-row', cells: asked });
  }
  if (!unit.elements.some((e) => e.id === fault.target)) return refused('not-an-element');
  const reads = (list: readonly SymptomCell[]) => list.map((c) => `${c.drive} ${c.coast}`).join();
  const right = unit.elements
    .map((e) => e.id)
    .filter((id) =>
      singleFaults(rig).some(
        (f) => f.target === id && reads(driving.cells(machineOf(rig, [f]))) === reads(cells),
      ),
    );
  const own = right.includes(fault.target) ? right : [...right, fault.target];
  return found({ kind: 'which-element', cells, right: own });
}

function testKey(question: WhichTestQuestion, desk: DeskCase): FaultKeyResult {
  const { shop, candidates, truth, priors, complaint } = desk;
  const find = (id: string) => shop.checks.find((c) => c.id === id);
  const [done, offered] = [question.done.map(find), question.offered.map(find)];
  if ([...done, ...offered].some((c) => !c) || offered.length === 0)
    return refused('check-missing');
  const readings = [
    ...complaint,
    ...done.map((check): Reading => ({ check: check!, answer: readingOf(check!, truth) })),
  ];
  const known = suspects(candidates, readings, priors);
  const ranked = nextChecks(
    known,
    offered.map((c) => c!),
    readings,
    afterChecks(done.map((c) => c!)).state,
  );
  if (ranked.length === 0) return refused('nothing-to-tell');
  const fitting = known.filter((s) => s.fits).map((s) => faultKey(s.candidate.faults));
  return {
    ok: true,
    key: { kind: 'which-test', readings, ranked, left: new Set(fitting).size },
  };
}
