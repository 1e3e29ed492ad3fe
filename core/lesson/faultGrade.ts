import {
  changedRanges,
  gradeDiagnosis,
  worksIn,
  type DiagnosisGrade,
  type SymptomCell,
} from '../faults';
import type { Unit } from '../geartrain';
import {
  faultAnswerKey,
  type FaultAnswerKey,
  type FaultKeyResult,
  type FaultQuestionFault,
} from './faultAnswerKey';
import type { FaultAnswer, FaultQuestion, FaultSubject } from './faultQuestion';
import type { Misconception } from './misconceptions';

/** Parts of an answer about faults; `of` names the range of a cell. */
export type FaultPart =
  'cell' | 'element' | 'test' | 'cause' | 'remedy' | 'cost' | 'support' | 'safety';

export interface FaultGradedPart {
  readonly part: FaultPart;
  readonly right: boolean;
  readonly of?: string;
}

export interface FaultGrade {
  readonly score: number;
  readonly parts: readonly FaultGradedPart[];
  readonly misconception: Misconception | null;
}

export type FaultGradeResult =
  | { readonly ok: true; readonly grade: FaultGrade }
  | { readonly ok: false; readonly fault: FaultQuestionFault };

type Of<T extends { kind: string }, K extends T['kind']> = Extract<T, { kind: K }>;
interface Judged {
  readonly parts: readonly FaultGradedPart[];
  readonly misconception: Misconception | null;
}

/** A diagnosis that has been weighed, as parts of an answer. */
export function gradeOfDiagnosis(weighed: DiagnosisGrade): FaultGrade {
  const { parts, misconception } = diagnosed(weighed);
  const { score } = weighed;
  return { score, parts, misconception: score === 1 ? null : misconception };
}

/**
 * @param known the question's key where it is known already
 * @throws Error when the answer is of another kind than the question
 */
export function gradeFault(
  question: FaultQuestion,
  subject: FaultSubject,
  answer: FaultAnswer,
  known: FaultKeyResult = faultAnswerKey(question, subject),
): FaultGradeResult {
  if (answer.kind !== question.kind)
    throw new Error(`gradeFault: expected "${question.kind}", got "${answer.kind}"`);
  if (!known.ok) return known;
  if (known.key.kind === 'diagnose' && answer.kind === 'diagnose')
    return {
      ok: true,
      grade: gradeOfDiagnosis(gradeDiagnosis(known.key.desk, answer.entries, answer)),
    };
  const { parts, misconception } = judge(known.key, subject.unit, answer);
  const score = parts.filter((p) => p.right).length / parts.length;
  return { ok: true, grade: { score, parts, misconception: score === 1 ? null : misconception } };
}

function judge(key: FaultAnswerKey, unit: Unit | null, answer: FaultAnswer): Judged {
  if (key.kind === 'symptom-row' && answer.kind === 'symptom-row') return row(key.cells, answer);
  if (key.kind === 'which-element' && answer.kind === 'which-element')
    return element(key, unit, answer.element);
  if (key.kind === 'which-test' && answer.kind === 'which-test') return test(key, answer.check);
  throw new Error(`gradeFault: key "${key.kind}" does not fit answer "${answer.kind}"`);
}

function row(cells: readonly SymptomCell[], answer: Of<FaultAnswer, 'symptom-row'>): Judged {
  const saidOf = (range: string) => answer.cells.find((c) => c.range === range)?.drive;
  const parts = cells.map(({ range, drive }) => ({
    part: 'cell' as const,
    right: saidOf(range) === drive,
    of: range,
  }));
  const bad = cells.filter((c) => c.drive !== 'right');
  const saidBad = cells.filter((c) => saidOf(c.range) !== 'right');
  const code: Misconception | null = cells.some(
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

function element(
  key: Of<FaultAnswerKey, 'which-element'>,
  unit: Unit | null,
  named: string,
): Judged {
  const good = key.cells.filter((c) => c.drive === 'right').map((c) => c.range);
  const bad = key.cells.filter((c) => c.drive !== 'right').map((c) => c.range);
  const works = (range: string) => unit !== null && worksIn(unit, range).includes(named);
  const changed = unit && changedRanges(unit);
  const needed = (range: string) => changed?.mustWork(range, named) ?? false;
  const code: Misconception | null =
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

function test(key: Of<FaultAnswerKey, 'which-test'>, check: string): Judged {
  const [best] = key.ranked;
  const own = key.ranked.find((n) => n.check.id === check);
  const right = own !== undefined && own.worth >= AS_GOOD * best!.worth;
  const code: Misconception | null = !own
    ? 'tells-nothing'
    : own.minutes > best!.minutes
      ? 'dear-before-cheap'
      : null;
  return { parts: [{ part: 'test', right }], misconception: code };
}

function diagnosed(grade: DiagnosisGrade): Judged {
  const found = grade.cause === 'right' || grade.cause === 'same-until-stripped';
  const parts: FaultGradedPart[] = [
    { part: 'cause', right: found },
    { part: 'remedy', right: grade.remedy },
    ...(['cost', 'support', 'safety'] as const).map((part) => ({
      part,
      right: grade.parts.some((p) => p.part === part && p.got === p.worth),
    })),
  ];
  const code: Misconception | null =
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
  return { parts, misconception: code };
}
