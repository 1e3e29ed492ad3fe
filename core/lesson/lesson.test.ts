import { marked } from './tests/marked';
import { checkTeeth, solveSet, type GearSetSetup, type Roles } from '../geartrain';
import { toNumber } from '../numerics';
import {
  setKey,
  attemptScore,
  classBook,
  confidenceTally,
  defaultSet,
  assess,
  newBlock,
  newLesson,
  newSetQuestion,
  newStep,
  posedFor,
  type SetAnswer,
  type Attempt,
  type ChoiceQuestion,
  type NumberQuestion,
  type SetQuestion,
  type VariantSeed,
} from './index';

const setup = (
  roles: Partial<Roles> = {},
  kind: GearSetSetup['set']['kind'] = 'single-pinion',
): GearSetSetup => ({
  set: defaultSet(kind),
  roles: { drives: 'sun', driven: 'carrier', reaction: 'held', ...roles },
  inputSpeedRpm: 1200,
  inputTorqueNm: 150,
});
const ask = (over: Partial<NumberQuestion> = {}, s = setup()): NumberQuestion => ({
  ...(newSetQuestion('number', s) as NumberQuestion),
  ...over,
});
const mark = (question: SetQuestion, answer: SetAnswer, s = question.setup) => {
  const result = assess(question, { kind: 'gear-set', setup: s }, answer);
  if (!result.ok) throw new Error(result.fault);
  const { score, misconception } = marked(result.grade);
  return { score, why: misconception };
};
const number = (value: number, direction?: 'same' | 'opposite' | 'none'): SetAnswer =>
  direction ? { kind: 'number', value, direction } : { kind: 'number', value };

// Common practice, no source: what learners get wrong with one set (sun 30, ring 70, ring held, right 3.33 the same way).
test.each([
  [number(10 / 3, 'same'), 1, null],
  [number(3.33, 'same'), 1, null],
  [number(3.33, 'opposite'), 0.5, 'wrong-sign'],
  [number(0.3, 'same'), 0.5, 'upside-down'],
  [number(2.33, 'same'), 0.5, 'forgot-one-plus'],
  [number(1.667, 'same'), 0.5, 'used-pinion'],
  [number(42, 'opposite'), 0, null],
])('ring held, sun drives: %j scores %d for reason %s', (answer, score, why) => {
  expect(mark(ask(), answer)).toEqual({ score, why });
});

test.each([
  [
    'ring in, sun held, taken as overdrive',
    { drives: 'ring', driven: 'carrier' },
    0.7,
    'upside-down',
  ],
  ['one added for a held carrier', { drives: 'sun', driven: 'ring' }, 3.333, 'added-one'],
  ['overdrive upside down', { drives: 'carrier', driven: 'ring' }, 1.4286, 'upside-down'],
] as const)('%s', (_name, roles, value, why) => {
  const question = ask({ direction: false }, setup(roles));
  expect(mark(question, number(value)).why).toBe(why);
});

test('double-pinion set taken as a single one', () => {
  const question = ask({ direction: false }, setup({ drives: 'ring' }, 'double-pinion'));
  expect(mark(question, number(1 + 30 / 78)).why).toBe('single-pinion-formula');
});

test('speed and torque questions have keys and wrong numbers of their own', () => {
  const key = (q: NumberQuestion) => {
    const k = setKey(q);
    return k.ok && k.key.kind === 'number' ? k.key.value : k;
  };
  expect(key(ask({ ask: 'output-speed' }))).toBeCloseTo(360, 9);
  expect(key(ask({ ask: 'output-torque' }))).toBeCloseTo(500, 9);
  expect(key(ask({ ask: 'held-torque' }))).toBeCloseTo(350, 9);
  expect(key(ask({ ask: 'pinion-speed' }))).toBeCloseTo(1260, 9);
  const flat = (a: NumberQuestion['ask'], value: number) =>
    mark(ask({ ask: a, direction: false }), number(value)).why;
  expect(flat('output-speed', 4000)).toBe('upside-down');
  expect(flat('output-speed', 1200)).toBe('ratio-not-applied');
  expect(flat('output-torque', 45)).toBe('upside-down');
  expect(flat('held-torque', 500)).toBe('output-instead-of-held');
  expect(flat('held-torque', 650)).toBe('sum-instead-of-difference');
  expect(flat('pinion-speed', 900)).toBe('against-case');
});

test('a question that the model cannot answer says why', () => {
  const fault = (q: SetQuestion) => {
    const k = setKey(q);
    return k.ok ? null : k.fault;
  };
  expect(fault(ask({}, setup({ reaction: 'free' })))).toBe('no-output');
  expect(fault(ask({ ask: 'held-torque' }, setup({ reaction: 'locked' })))).toBe('no-held-part');
  const unknown: GearSetSetup = {
    ...setup(),
    set: { kind: 'single-pinion', teeth: { sun: 30, ring: 70 } },
  };
  expect(fault(ask({ ask: 'pinion-speed' }, unknown))).toBe('pinion-unknown');
  expect(fault({ ...newSetQuestion('roles'), setup: setup({ reaction: 'locked' }) })).toBe(
    'locked-has-no-roles',
  );
  const goal = { ...(newSetQuestion('choice') as ChoiceQuestion), ask: 'arrangement' as const };
  expect(
    fault({ ...goal, goal: 'reverse-reduction', setup: setup({}, 'double-pinion') }),
  ).toBeNull();
});

test('tolerance: the limit itself is inside, in per cent and absolute', () => {
  const tight = ask({
    direction: false,
    ask: 'output-torque',
    tolerance: { kind: 'percent', value: 2 },
  });
  expect(mark(tight, number(510)).score).toBe(1);
  expect(mark(tight, number(510.1)).score).toBe(0);
  const absolute = ask({
    direction: false,
    ask: 'output-torque',
    tolerance: { kind: 'absolute', value: 5 },
  });
  expect([495, 505, 494.9].map((v) => mark(absolute, number(v)).score)).toEqual([1, 1, 0]);
});

// Facts of the trade (common practice, no source): carrier driven reduces, carrier driving is overdrive, carrier held reverses.
test.each([
  ['largest-reduction', ['sun-carrier']],
  ['smallest-reduction', ['ring-carrier']],
  ['strongest-overdrive', ['carrier-sun']],
  ['reverse-reduction', ['sun-ring']],
  ['reverse-overdrive', ['ring-sun']],
] as const)('which arrangement: %s', (goal, right) => {
  const question: ChoiceQuestion = {
    ...(newSetQuestion('choice') as ChoiceQuestion),
    ask: 'arrangement',
    goal,
  };
  const key = setKey(question);
  expect(key.ok && key.key.kind === 'choice' && key.key.right).toEqual(right);
});

test('choices recognise their misconceptions', () => {
  const choice = (a: ChoiceQuestion['ask'], roles: Partial<Roles>, c: string) =>
    mark(
      { ...(newSetQuestion('choice', setup(roles)) as ChoiceQuestion), ask: a },
      { kind: 'choice', choice: c },
    );
  expect(choice('effect', {}, 'reduction')).toEqual({ score: 1, why: null });
  expect(choice('effect', { drives: 'ring' }, 'overdrive').why).toBe('ring-in-overdrive');
  expect(choice('effect', { driven: 'ring' }, 'reduction').why).toBe('held-carrier-forward');
  expect(choice('effect', { reaction: 'locked' }, 'neutral').why).toBe('locked-is-neutral');
  expect(choice('direction', { driven: 'ring' }, 'same').why).toBe('held-carrier-forward');
  expect(choice('direction', {}, 'opposite').why).toBe('expects-reverse');
  expect(choice('fastest', {}, 'carrier').why).toBe('upside-down');
  expect(choice('arrangement', {}, 'carrier-sun').why).toBe('drives-and-driven-swapped');
});

test('roles: right from the ratio alone, parts scored one by one', () => {
  const question = newSetQuestion('roles', setup());
  const answer = (
    drives: 'sun' | 'ring' | 'carrier',
    driven: typeof drives,
    held: typeof drives,
  ): SetAnswer => ({
    kind: 'roles',
    drives,
    driven,
    held,
  });
  expect(mark(question, answer('sun', 'carrier', 'ring')).score).toBe(1);
  expect(mark(question, answer('carrier', 'sun', 'ring'))).toEqual({
    score: expect.closeTo(1 / 3) as number,
    why: 'drives-and-driven-swapped',
  });
  expect(mark(question, answer('sun', 'ring', 'carrier')).why).toBe('held-part-confused');
});

const setupForStudent = (question: SetQuestion, seed: VariantSeed) =>
  (posedFor(newLesson('l', 'L', newStep('s', 'S')), question, seed).question as SetQuestion).setup;

test('variants: buildable, each student their own, the same seed the same numbers', () => {
  const question = ask({ vary: true });
  const seed = (student: string, round = 0) => ({ student, lessonId: 'l', questionId: 'q', round });
  const drawn = new Set<string>();
  for (let k = 0; k < 60; k++)
    for (const kind of ['single-pinion', 'double-pinion'] as const) {
      const q = ask({ vary: true }, setup({}, kind));
      const s = setupForStudent(q, seed(`Student ${k}`));
      expect(checkTeeth(s.set)).toEqual([]);
      expect(s.set.teeth).not.toEqual(q.setup.set.teeth);
      expect(solveSet(s.set, s.roles).ratio).not.toBeNull();
      drawn.add(JSON.stringify(s.set));
    }
  expect(drawn.size).toBeGreaterThan(90);
  expect(setupForStudent(question, seed('Ina'))).toEqual(setupForStudent(question, seed(' ina ')));
  // Two questions of one lesson, and one question of two lessons, are drawn apart.
  for (const other of [{ questionId: 'q2' }, { lessonId: 'l2' }])
    expect(setupForStudent(question, { ...seed('Ina'), ...other })).not.toEqual(
      setupForStudent(question, seed('Ina')),
    );
  expect(setupForStudent(question, seed('Ina', 1))).not.toEqual(
    setupForStudent(question, seed('Ina')),
  );
  expect(setupForStudent(ask(), seed('Ina'))).toEqual(setup());
});

test('the class book grades again from the model and counts what went wrong', () => {
  const step = {
    ...newStep('s1', 'Step'),
    blocks: [newBlock('question', 'q1'), newBlock('text', 't1')],
  };
  const lesson = newLesson('l1', 'Lesson', step);
  const attempt = (student: string, value: number, score: number): Attempt => ({
    format: 'fair-sprocket/attempt',
    version: 1,
    id: student,
    student,
    lesson: { id: 'l1', title: 'Lesson', hash: '0'.repeat(64) },
    startedAt: '2030-01-01T08:00:00Z',
    answers: [0, 1].map((round) => ({
      question: 'q1',
      round,
      setup: setup(),
      answer: number(value, 'same'),
      confidence: 'certain',
      at: '2030-01-01T08:00:00Z',
      score,
    })),
  });
  const book = classBook(lesson, [
    attempt('a', 3.333, 1),
    attempt('b', 2.333, 1),
    attempt('c', 2.333, 0.5),
  ]);
  expect(book.rows.map((r) => r.total)).toEqual([1, 0.5, 0.5]);
  expect(book.rows.map((r) => r.cells[0]!.differs)).toEqual([false, true, false]);
  expect(book.rows[0]!.cells[0]!.practice).toBe(1);
  expect(book.columns[0]).toEqual({
    answered: 3,
    meanScore: expect.closeTo(2 / 3) as number,
    misconceptions: [{ code: 'forgot-one-plus', count: 2, students: ['b', 'c'] }],
  });
  expect(confidenceTally(book)[2]).toEqual({ confidence: 'certain', answered: 3, right: 1 });
  // The class's mean is over those who answered: who has not begun does not pull it down.
  const waiting = { ...attempt('e', 1, 1), answers: [] };
  const mean = classBook(lesson, [attempt('d', 1, 1), attempt('f', 3.333, 1), waiting]).columns[0]!;
  expect([mean.answered, mean.meanScore]).toEqual([2, 0.75]);
  expect(attemptScore(attempt('a', 1, 0.5), 1)).toBe(0.5);
  expect(toNumber(solveSet(setup().set, setup().roles).ratio!)).toBeCloseTo(10 / 3);
});

// By hand: two parts locked together turn all three as one.
test('which part is fastest, where all turn alike', () => {
  const question = {
    ...(newSetQuestion('choice') as ChoiceQuestion),
    ask: 'fastest' as const,
    setup: setup({ reaction: 'locked' }),
  };
  const key = setKey(question);
  if (!key.ok || key.key.kind !== 'choice') throw new Error('expected a key');
  expect(key.key.right).toEqual(['all-same']);
});

test('an answer of another kind than the question is a programmer’s error', () => {
  expect(() =>
    assess(ask(), { kind: 'gear-set', setup: setup() }, { kind: 'choice', choice: 'x' }),
  ).toThrow(/"number".*"choice"/);
});
