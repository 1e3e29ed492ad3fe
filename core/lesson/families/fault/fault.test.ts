import { marked } from '../../tests/marked';
import { readFileSync } from 'node:fs';
import type { FaultCase } from '../../../faults';
import { SIMPSON } from '../../../faults/tests/rigs';
import {
  assess,
  deskOf,
  diagnosisAssessed,
  faultQuestionKey,
  graderOf,
  newFaultQuestion,
  type FaultAnswer,
  type FaultQuestion,
  type SymptomRowQuestion,
  type WhichElementQuestion,
  type WhichTestQuestion,
} from '../..';
import {
  faultKey,
  gradeDiagnosis,
  hasSymptom,
  readingOf,
  type DeskCase,
  type Remedy,
} from '../../../faults';
import { randomFromSeed } from '../../../numerics';
import { FAULT_FAMILY } from './family';

const readCase = (id: string) =>
  JSON.parse(readFileSync(`demo/fault-cases/${id}.json`, 'utf8')) as FaultCase;
const subject = { unit: SIMPSON, faultCase: null };

const ROW: SymptomRowQuestion = {
  kind: 'symptom-row',
  prompt: '',
  unit: 'simpson',
  fault: { target: 'C2', kind: 'burnt' },
  ranges: ['D1', 'D2', 'D3', 'L1', 'R'],
};
const row = (...drives: string[]): FaultAnswer => ({
  kind: 'symptom-row',
  cells: ROW.ranges.map((range, k) => ({ range, drive: drives[k] as 'right' })),
});
const graded = (question: FaultQuestion, answer: FaultAnswer) => {
  const result = assess(question, { kind: 'fault', subject }, answer);
  if (!result.ok) throw new Error(result.fault);
  return marked(result.grade);
};

// Hand-derived in faults/symptoms.test.ts: C2 gone: third falls back to first, reverse is neutral, the rest is good.
test('a row of the symptom table', () => {
  const right = row('right', 'right', 'wrong-ratio', 'right', 'neutral');
  expect(graded(ROW, right)).toMatchObject({ score: 1, misconception: null });
  const neutral = row('right', 'right', 'neutral', 'right', 'neutral');
  expect(graded(ROW, neutral)).toMatchObject({ score: 0.8, misconception: 'no-fall-back' });
  const alone = row('right', 'right', 'right', 'right', 'neutral');
  expect(graded(ROW, alone)).toMatchObject({
    score: 0.8,
    misconception: 'only-its-own-gear',
  });
  const seized = { ...ROW, fault: { target: 'F1', kind: 'seized' as const } };
  expect(graded(seized, row('right', 'right', 'right', 'right', 'right'))).toMatchObject({
    misconception: 'tie-up-unseen or expects-no-symptom',
  });
});

// Common practice, no source: 3 and R gone, 1 and 2 good: only what is on in 3 and R and in no good range.
test('which element, and the error of the trade', () => {
  const question: WhichElementQuestion = {
    kind: 'which-element',
    prompt: '',
    unit: 'simpson',
    fault: { target: 'B1', kind: 'burnt' },
  };
  const named = (element: string) => graded(question, { kind: 'which-element', element });
  expect(named('B1').score).toBe(1);
  expect(named('C1')).toMatchObject({ score: 0, misconception: 'works-in-a-good-range' });
  expect(named('B2')).toMatchObject({ score: 0, misconception: 'not-in-every-bad-range' });
  const reverse = { ...question, fault: { target: 'C2', kind: 'burnt' as const } };
  expect(graded(reverse, { kind: 'which-element', element: 'B2' }).misconception).toBe(
    'not-in-every-bad-range',
  );
});

test('questions that can not be asked say why', () => {
  const fault = (question: FaultQuestion, of: Parameters<typeof faultQuestionKey>[1] = subject) => {
    const key = faultQuestionKey(question, of);
    return key.ok ? null : key.fault;
  };
  const none = { unit: null, faultCase: null };
  expect(fault(ROW, none)).toBe('unit-missing');
  expect(fault({ ...ROW, fault: { target: 'X', kind: 'burnt' } })).toBe('part-missing');
  expect(fault({ ...ROW, fault: { target: 'C1', kind: 'accumulator-stuck' } })).toBe('no-symptom');
  expect(fault({ ...ROW, ranges: [] })).toBe('no-ranges');
  const link = { target: 'P1.sun', kind: 'broken' as const };
  expect(fault({ kind: 'which-element', prompt: '', unit: 's', fault: link })).toBe(
    'not-an-element',
  );
  expect(fault({ kind: 'diagnose', prompt: '', case: 'x' }, none)).toBe('case-missing');
  const silent = { ...readCase('pier-crawler'), cause: [] };
  expect(
    fault({ kind: 'diagnose', prompt: '', case: 'x' }, { unit: null, faultCase: silent }),
  ).toBe('case-broken');
});

test('which test next: the worth of each, and what a choice gives away', () => {
  const faultCase = readCase('quay-hopper');
  const desk = deskOf(faultCase);
  const of = { unit: null, faultCase };
  const question: WhichTestQuestion = {
    kind: 'which-test',
    prompt: '',
    case: faultCase.id,
    done: [],
    offered: ['flange', 'coil', 'stack', 'drain'],
  };
  const key = faultQuestionKey(question, of, desk);
  if (!key.ok || key.key.kind !== 'which-test') throw new Error('expected a key');
  const [best] = key.key.ranked;
  expect(key.key.ranked.every((n) => n.worth <= best!.worth)).toBe(true);
  const pick = (check: string) => {
    const grader = graderOf(question, { kind: 'fault', subject: of }, key);
    return grader.ok ? marked(grader.grade({ kind: 'which-test', check })) : null;
  };
  expect(pick(best!.check.id)).toMatchObject({ score: 1, misconception: null });
  const unknown = faultQuestionKey({ ...question, offered: ['nonsense'] }, of, desk);
  expect(unknown).toEqual({ ok: false, fault: 'check-missing' });
});

test('a whole case: the desk’s verdict as parts of an answer', () => {
  const desk = deskOf(readCase('quay-hopper'));
  const entries = [{ check: 'circle', expected: 'hops', safe: true }];
  const weigh = (done: typeof entries, cause: string, remedy: Remedy) =>
    marked(
      diagnosisAssessed(gradeDiagnosis(desk, done, { cause, remedy }), {
        kind: 'diagnose',
        entries: done,
        cause,
        remedy,
      }),
    );
  const right = weigh(entries, 'coupling=ramp-jammed', 'strip-down');
  expect(right).toMatchObject({ score: 1, misconception: null });
  const skipped = [{ check: 'stack', expected: 'low', safe: false }];
  const grade = weigh(skipped, 'coupling=coil-open', 'in-place');
  expect(grade.parts.filter((p) => p.right)).toEqual([]);
  expect(grade.misconception).toBe('cautions-skipped');
  // Through the same door as every other question.
  const answer: FaultAnswer = {
    kind: 'diagnose',
    entries,
    cause: 'coupling=ramp-jammed',
    remedy: 'strip-down',
  };
  const question = { kind: 'diagnose' as const, prompt: '', case: 'quay-hopper' };
  const faultCase = readCase('quay-hopper');
  expect(
    assess(question, { kind: 'fault', subject: { unit: null, faultCase } }, answer),
  ).toMatchObject({ ok: true, grade: { score: 1 } });
  expect(assess(question, null, answer)).toEqual({ ok: false, fault: 'case-missing' });
});

test('two causes at once are among what could be wrong, or nothing would fit at the end', () => {
  const faultCase = readCase('quay-hopper');
  const both: FaultCase = {
    ...faultCase,
    cause: [...faultCase.cause, { target: 'coupling', kind: 'wrong-oil' }],
  };
  const pairs = (c: FaultCase) => deskOf(c).candidates.filter(({ faults }) => faults.length === 2);
  expect(pairs(faultCase)).toEqual([]);
  expect(pairs(both)).toEqual([deskOf(both).truth]);
});

test('a varied case: a fault of the student’s own in the same machine, and the report told of it alone', () => {
  const faultCase = readCase('quay-hopper');
  const of = { unit: null, faultCase };
  const question = { kind: 'diagnose' as const, prompt: '', case: faultCase.id };
  const drawn = (seed: string): DeskCase => {
    const varied = FAULT_FAMILY.vary.diagnose!(
      question,
      { kind: 'fault', subject: of },
      randomFromSeed(seed),
    );
    const key = faultQuestionKey(varied, of);
    if (!key.ok || key.key.kind !== 'diagnose') throw new Error('expected a desk');
    return key.key.desk;
  };
  const desks = ['one', 'two', 'three', 'four', 'five'].map(drawn);
  const causes = desks.map(({ truth }) => truth.faults.map((f) => f.kind).join());
  expect(new Set(causes).size).toBeGreaterThan(1);
  expect(drawn('one')).toBe(desks[0]);
  for (const { truth, sound, complaint, candidates, shop } of desks) {
    expect(hasSymptom(shop, truth, sound)).toBe(true);
    expect(candidates.map((c) => faultKey(c.faults))).toContain(faultKey(truth.faults));
    for (const said of complaint) expect(said.answer).toEqual(readingOf(said.check, truth));
  }
  // The case's own cause is not the key of another fault.
  const own = { cause: 'coupling=ramp-jammed', remedy: 'strip-down' as const };
  for (const desk of desks) expect(gradeDiagnosis(desk, [], own).cause).not.toBe('right');
});

test('a new question of each kind can be asked at once, or says what it lacks', () => {
  const faultCase = readCase('slipway-two-gears');
  for (const kind of ['symptom-row', 'which-element'] as const)
    expect(faultQuestionKey(newFaultQuestion(kind, subject), subject).ok).toBe(true);
  const test = newFaultQuestion('which-test', { unit: null, faultCase }) as WhichTestQuestion;
  expect(test.offered.length).toBeGreaterThan(2);
});
