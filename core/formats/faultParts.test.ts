import type { FaultCase } from '../faults';
import {
  carrying,
  caseOf,
  classBook,
  questionsOf,
  referencesOf,
  type Attempt,
  type Lesson,
} from '../lesson';
import { lessonHash, openText, openValue } from './index';
import { demoFile } from '../tests/demoFile';

const lesson = demoFile<Lesson>('lessons/good-gears-bad-gears');
const problems = (document: unknown, kind: 'fair-sprocket/lesson' | 'fair-sprocket/attempt') => {
  const opened = openText(JSON.stringify(document), kind);
  if (opened.ok) return [];
  return opened.failure.cause === 'invalid'
    ? opened.failure.problems.map((p) => p.path)
    : [opened.failure.cause];
};

/** The lesson with the question of one block changed. */
const asking = (id: string, change: object): Lesson => ({
  ...lesson,
  steps: lesson.steps.map((step) => ({
    ...step,
    blocks: step.blocks.map((b) =>
      b.kind === 'question' && b.id === id ? { ...b, question: { ...b.question, ...change } } : b,
    ),
  })),
});

test('a lesson about faults opens, and carries what its blocks are about', () => {
  expect(problems(lesson, 'fair-sprocket/lesson')).toEqual([]);
  const used = lesson.steps.flatMap((s) => s.blocks.flatMap(referencesOf));
  expect(used).toContainEqual({ list: 'cases', id: 'slipway-two-gears' });
  expect(used).toContainEqual({ list: 'units', id: 'skerry-three' });
  expect(caseOf(lesson, { case: 'slipway-two-gears' })?.name).toContain('Slipway');
  expect(caseOf(lesson, { case: 'nothing' })).toBeNull();
});

test('a case that no block is about is let go of, and a new one is taken in', () => {
  const [own] = lesson.cases as [FaultCase];
  const bare: Lesson = { ...lesson, steps: lesson.steps.slice(0, 1) };
  expect(carrying(bare, [own]).cases).toBeUndefined();
  const other = { ...own, name: 'Another slipway tractor' };
  expect(carrying(lesson, [other]).cases?.[0]?.name).toBe('Another slipway tractor');
});

test.each([
  ['a symptom that is none', 'q-burnt', { fault: { target: 'C2', kind: 'tired' } }, /fault\.kind$/],
  ['a range that is no id', 'q-burnt', { ranges: ['D 1'] }, /ranges\[0\]$/],
  ['an empty target', 'q-which', { fault: { target: '', kind: 'burnt' } }, /fault\.target$/],
  ['a field that is not known', 'q-next', { hint: 'the fluid' }, /question/],
])('refused by its place: %s', (_name, id, change, path) => {
  const [first] = problems(asking(id, change), 'fair-sprocket/lesson');
  expect(first).toMatch(path);
});

const ATTEMPT: Attempt = {
  format: 'fair-sprocket/attempt',
  version: 1,
  id: 'faults-1',
  student: 'Tova Relnik',
  lesson: { id: lesson.id, title: lesson.title, hash: lessonHash(lesson) },
  startedAt: '2026-11-18T07:32:00Z',
  answers: [
    {
      question: 'q-next',
      round: 0,
      answer: { kind: 'which-test', check: 'pan' },
      confidence: 'certain',
      at: '2026-11-18T07:40:00Z',
      score: 0.25,
    },
    {
      question: 'q-which',
      round: 0,
      answer: { kind: 'which-element', element: 'B1' },
      confidence: 'guess',
      at: '2026-11-18T07:41:00Z',
      score: 0,
    },
  ],
};

test('a coupling whose pack is worn at a height that is new is refused at its place', () => {
  const hopper = demoFile<FaultCase>('fault-cases/quay-hopper');
  const worn = (stackWorn: number) => {
    const opened = openValue({ ...hopper, coupling: { ...hopper.coupling!, stackWorn } });
    return opened.ok || opened.failure.cause !== 'invalid'
      ? []
      : opened.failure.problems.map((p) => [p.path, p.code]);
  };
  const { stackNew } = hopper.coupling!;
  expect(worn(stackNew - 1e-4)).toEqual([]);
  expect(worn(stackNew)).toEqual([['coupling.stackWorn', 'worn-over-new']]);
});

test('answers about faults are records like all others', () => {
  expect(problems(ATTEMPT, 'fair-sprocket/attempt')).toEqual([]);
  const wrong = {
    ...ATTEMPT,
    answers: [
      {
        ...ATTEMPT.answers[0],
        answer: { kind: 'diagnose', entries: [{ check: 'pan', expected: 'x' }], cause: 'C1=burnt' },
      },
    ],
  };
  // It is set aside, with all that it said; the record opens without it.
  const opened = openValue(wrong, 'fair-sprocket/attempt');
  expect(opened).toMatchObject({ ok: true, document: { answers: [], setAside: [{ at: 0 }] } });
  const raw = opened.ok ? opened.document.setAside![0]!.raw : '';
  expect(JSON.parse(raw)).toEqual(wrong.answers[0]);
});

test('the class book weighs a row again, and a whole case', () => {
  const book = classBook(lesson, [ATTEMPT]);
  const at = (id: string) => questionsOf(lesson).findIndex((q) => q.id === id);
  const cell = (id: string) => book.rows[0]!.cells[at(id)];
  expect(cell('q-which')).toMatchObject({ score: 1, differs: true });
  expect(cell('q-next')).toMatchObject({ score: 0, differs: true });
  expect(cell('q-burnt')).toBeNull();
});
