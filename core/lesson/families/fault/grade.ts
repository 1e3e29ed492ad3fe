import type { FaultSlip } from './slips';
import {
  changedRanges,
  gradeDiagnosis,
  worksIn,
  type DiagnosisGrade,
  type SymptomCell,
} from '../../../faults';
import type { Unit } from '../../../geartrain';
import {
  keyAs,
  type Family,
  type GradedPart,
  type Judged as JudgedAs,
  type Of,
} from '../../family';
import type { FaultPart, FaultTypes } from './types';
import type { FaultKey } from './key';
import type { FaultAnswer } from './kinds';

type Judged = JudgedAs<FaultPart, FaultSlip>;
type FaultGradedPart = GradedPart<FaultPart>;

function row(cells: readonly SymptomCell[], answer: Of<FaultAnswer, 'symptom-row'>): Judged {
  const saidOf = (range: string) => answer.cells.find((c) => c.range === range)?.drive;
  const parts = cells.map(({ range, drive }) => ({
    part: 'cell' as const,
    right: saidOf(range) === drive,
    of: range,
  }));
  const bad = cells.filter((c) => c.drive !== 'right');
  const saidBad = cells.filter((c) => saidOf(c.range) !== 'right');
  const code: FaultSlip | null = cells.some(
    (c) => c.drive === 'wrong-ratio' && saidOf(c.range) === 'neutral',
  )
    ? 'no-fall-back'
    : cells.some((c) => c.drive === 'binds' && saidOf(c.range) !== 'binds')
      ? 'tie-up-unseen'
      : bad.length > 1 && saidBad.length === 1
        ? 'only-its-own-gear'
        : null;
  return { parts, misconception: code };
}

function element(key: Of<FaultKey, 'which-element'>, unit: Unit | null, named: string): Judged {
  const good = key.cells.filter((c) => c.drive === 'right').map((c) => c.range);
  const bad = key.cells.filter((c) => c.drive !== 'right').map((c) => c.range);
  const works = (range: string) => unit !== null && worksIn(unit, range).includes(named);
  const changed = unit && changedRanges(unit);
  const needed = (range: string) => changed?.mustWork(range, named) ?? false;
  const code: FaultSlip | null =
    bad.length > 0 && bad.every(works) && good.some(needed)
      ? 'works-in-a-good-range'
      : bad.some(works) && !bad.every(works)
        ? 'not-in-every-bad-range'
        : null;
  return {
    parts: [{ part: 'element', right: key.right.includes(named) }],
    misconception: code,
  };
}

/** A check that says this share of the best, minute for minute, is as good. */
const AS_GOOD = 0.75;

function test(key: Of<FaultKey, 'which-test'>, check: string): Judged {
  const [best] = key.ranked;
  const own = key.ranked.find((n) => n.check.id === check);
  const right = own !== undefined && own.worth >= AS_GOOD * best!.worth;
  const code: FaultSlip | null = !own
    ? 'tells-nothing'
    : own.minutes > best!.minutes
      ? 'dear-before-cheap'
      : null;
  return { parts: [{ part: 'test', right }], misconception: code };
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
  const code: FaultSlip | null =
    grade.clearedBy.length > 0
      ? 'works-in-a-good-range'
      : grade.unsafe.length > 0
        ? 'cautions-skipped'
        : grade.against.length > 0
          ? 'against-the-readings'
          : grade.useless.length > 0 && !grade.thrifty
            ? 'tells-nothing'
            : !grade.thrifty
              ? 'dear-before-cheap'
              : null;
  return { parts, misconception: code, score: grade.score };
}

export const judge: Family<FaultTypes>['judge'] = {
  'symptom-row': ({ key, answer }) => row(keyAs(key, 'symptom-row').cells, answer),
  'which-element': ({ subject, key, answer }) =>
    element(keyAs(key, 'which-element'), subject.subject.unit, answer.element),
  'which-test': ({ key, answer }) => test(keyAs(key, 'which-test'), answer.check),
  diagnose: ({ key, answer }) =>
    diagnosed(gradeDiagnosis(keyAs(key, 'diagnose').desk, answer.entries, answer)),
};
