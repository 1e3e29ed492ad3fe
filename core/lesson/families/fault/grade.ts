import { gradeDiagnosis, type DiagnosisGrade, type SymptomCell } from '../../../faults';
import type { Family, GradedPart, Judged as JudgedAs, Of } from '../../family';
import type { FaultPart, FaultTypes } from './types';
import type { FaultKey } from './key';
import type { FaultAnswer } from './kinds';

type Judged = JudgedAs<FaultPart>;
type FaultGradedPart = GradedPart<FaultPart>;

const row = (cells: readonly SymptomCell[], answer: Of<FaultAnswer, 'symptom-row'>): Judged => ({
  parts: cells.map(({ range, drive }) => ({
    part: 'cell' as const,
    right: answer.cells.find((c) => c.range === range)?.drive === drive,
    of: range,
  })),
});

const element = (key: Of<FaultKey, 'which-element'>, named: string): Judged => ({
  parts: [{ part: 'element', right: key.right.includes(named) }],
});

/** A check that says this share of the best, minute for minute, is as good. */
const AS_GOOD = 0.75;

function test(key: Of<FaultKey, 'which-test'>, check: string): Judged {
  const [best] = key.ranked;
  const own = key.ranked.find((n) => n.check.id === check);
  const right = own !== undefined && own.worth >= AS_GOOD * best!.worth;
  return { parts: [{ part: 'test', right }] };
}

/** A diagnosis that has been weighed, as parts of an answer: its score weighs them as the desk does. */
export function diagnosed(grade: DiagnosisGrade): Judged {
  const found = grade.cause === 'right' || grade.cause === 'same-until-stripped';
  const parts: FaultGradedPart[] = [
    { part: 'cause', right: found },
    { part: 'remedy', right: grade.remedy },
    ...(['cost', 'support', 'safety'] as const).map((part) => ({
      part,
      right: grade.parts.some((p) => p.part === part && p.got === p.worth),
    })),
  ];
  return { parts, score: grade.score };
}

export const judge: Family<FaultTypes>['judge'] = {
  'symptom-row': ({ key, answer }) => row(key.cells, answer),
  'which-element': ({ key, answer }) => element(key, answer.element),
  'which-test': ({ key, answer }) => test(key, answer.check),
  diagnose: ({ key, answer }) => diagnosed(gradeDiagnosis(key.desk, answer.entries, answer)),
};
