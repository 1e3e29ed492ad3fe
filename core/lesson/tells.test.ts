import { setup } from './tests/oneSetup';
import { assess, keyFor } from './assess';
import { randomFromSeed } from '../numerics';
import type { KeyTo } from './family';
import type { AnyTypes } from './families/families';
import { within, type Tolerance } from './questionParts';
import type { Question, QuestionKind } from './question';
import { drawQuestion } from './tests/drawnQuestions';
import { newSetQuestion } from './families/gear-set/defaults';
import type { ChoiceQuestion, NumberQuestion } from './families/gear-set/kinds';
import { newClutchQuestion } from './families/clutch/defaults';
import { newUnitQuestion } from './families/unit/defaults';
import type { UnitQuestion } from './families/unit/kinds';
import { simpson } from '../geartrain/tests/textbookUnits';
import { newLesson, newStep } from './defaults';
import { carrying } from './carried';
import { separating, tellsOf, wayTo, wrongAnswers } from './tells';

const lesson = newLesson('l', 'L', newStep('s', 'S'));
const NO_RIG = { clutch: null, pack: null, engine: null, vehicle: null, unit: null };

const number = (over: Partial<NumberQuestion> = {}): NumberQuestion => ({
  ...(newSetQuestion('number', setup()) as NumberQuestion),
  ...over,
});
const of = (q: NumberQuestion | ChoiceQuestion) => tellsOf(q, { kind: 'gear-set', setup: q.setup });

test('a ratio tells the formulas apart, and is hardly guessed', () => {
  const tells = of(number())!;
  for (const slip of ['upside-down', 'forgot-one-plus', 'other-quotient', 'wrong-sign'] as const)
    expect(tells.told).toContain(slip);
  // By hand: 1 % either way is 0.0087 of a decade; two decades, two directions.
  expect(tells.guess).toBeCloseTo(0.00869 / 4, 4);
  expect(of(number({ tolerance: { kind: 'absolute', value: 5 } }))!.guess).toBeGreaterThan(0.4);
});

test('what others would answer, by hand: R/S alone, the inverse, and never what is right', () => {
  const q = number({ direction: false });
  const { sun, ring } = q.setup.set.teeth;
  const wrong = wrongAnswers(q, { kind: 'gear-set', setup: q.setup });
  const said = (slip: string) =>
    (wrong.find((w) => w.slip === slip)?.answer as { value: number } | undefined)?.value;
  expect(said('forgot-one-plus')).toBeCloseTo(ring / sun, 9);
  expect(said('upside-down')).toBeCloseTo(1 / (1 + ring / sun), 9);
  expect(new Set(wrong.map((w) => w.slip)).size).toBe(wrong.length);
  for (const { answer } of wrong)
    expect(Math.abs((answer as { value: number }).value)).not.toBeCloseTo(1 + ring / sun, 3);
  const free = number({ setup: setup({ reaction: 'free' }) });
  expect(wrongAnswers(free, { kind: 'gear-set', setup: free.setup })).toEqual([]);
});

test('an even quotient tells less: with equal teeth two ways of thinking give one number', () => {
  // By hand, held ring: T·(i − 1) of 20/40 is 2·T, which is also the torque of R/S.
  const q = number({ ask: 'output-torque', direction: false });
  expect(of(q)!.together).toContainEqual(['forgot-one-plus', 'held-instead-of-output']);
});

test('a choice is guessed by its options; a question that can’t be asked tells nothing', () => {
  const choice = newSetQuestion('choice', setup()) as ChoiceQuestion;
  expect(of(choice)!.guess).toBeCloseTo(1 / 7);
  expect(of(number({ setup: setup({ reaction: 'free' }) }))).toBeNull();
  const unit = simpson(30, 70);
  const coast = { ...newUnitQuestion('drive-or-coast', unit) };
  expect(tellsOf(coast, { kind: 'unit', unit })?.guess ?? 0.5).toBe(0.5);
});

test('the set to ask next keeps the way of thinking apart from the right one and from all others', () => {
  const question = number({ direction: false });
  const found = separating(lesson, question, 'forgot-one-plus')!;
  expect(found.apart).toBeGreaterThan(1.2);
  if (found.subject.kind !== 'gear-set') throw new Error(found.subject.kind);
  const { sun, ring } = found.subject.setup.set.teeth;
  for (const value of [ring / sun, sun / ring]) {
    const result = assess(found.question, found.subject, { kind: 'number', value });
    expect(result.ok && result.grade.why.named.map((n) => n.slip)).toEqual(['forgot-one-plus']);
    const right = 1 + ring / sun;
    expect(Math.max(value / right, right / value)).toBeGreaterThanOrEqual(found.apart! - 1e-9);
  }
  expect(separating(lesson, question, 'locked-still-geared')).toBeNull();
});

test('better numbers tell more than the question as it stands, of any kind that is tried out', () => {
  // By hand, ring of twice the sun: the held torque of R/S is the torque that goes in. Other teeth tell the two apart.
  const set = {
    kind: 'single-pinion' as const,
    teeth: { sun: 30, pinion: 15, ring: 60 },
    pinions: 3,
  };
  const even = number({ ask: 'held-torque', direction: false, setup: { ...setup(), set } });
  const better = separating(lesson, even, null)!;
  expect(of(even)!.together).toContainEqual(['forgot-one-plus', 'input-instead-of-held']);
  expect(tellsOf(better.question, better.subject)!.together).toEqual([]);
  const bare = simpson(30, 70);
  const unit = { ...bare, ranges: [{ id: 'D1', lever: 'D', gear: '1', apply: ['C1'] }] };
  const row = { ...newUnitQuestion('row-outcome', unit), apply: [] } as UnitQuestion;
  const step = newStep('s', 'S');
  const blocks = [{ id: 'q', kind: 'question' as const, question: row }];
  const carried = carrying({ ...lesson, steps: [{ ...step, blocks }] }, [unit]);
  const found = separating(carried, row, null)!;
  expect(tellsOf(found.question, found.subject)!.told.length).toBeGreaterThan(
    tellsOf(row, { kind: 'unit', unit })!.told.length,
  );
  const start = newClutchQuestion('draw-start', NO_RIG);
  expect(separating(lesson, start, null)).toBeNull();
});

/** Somebody guesses a number between a tenth of the right one and ten times it, each decade alike: so often it is right. */
function guessedNumber(right: number, tolerance: Tolerance): number {
  const guesses = Array.from({ length: 40001 }, (_, k) => right * 10 ** (k / 20000 - 1));
  return guesses.filter((g) => within(tolerance, right, g)).length / guesses.length;
}

// By hand: of n things in order one order of n!; of n that may each be or not be one of 2^n; one of n offered.
const GUESSED: {
  readonly [K in QuestionKind]?: (
    q: Extract<Question, { kind: K }>,
    key: KeyTo<AnyTypes, K>,
  ) => number;
} = {
  number: (q, key) => guessedNumber(key.value, q.tolerance) / (q.direction ? 2 : 1),
  roles: (_q, key) => key.right.length / (3 * 2),
  'read-match': (q, key) => guessedNumber(key.value, q.tolerance),
  // More, less or the same.
  'predict-change': (q, key) => guessedNumber(key.after, q.tolerance) / 3,
  'launch-order': (_q, key) => 1 / ORDERS[key.events.length]!,
  'spool-places': (_q, key) => 0.5 ** Math.max(1, key.up.length),
  'shift-speed': (q, key) =>
    guessedNumber(key.up, q.tolerance) * guessedNumber(key.down, q.tolerance),
  // At the same speed, earlier, later, never: of every shift.
  'oil-fault-row': (_q, key) => 0.25 ** key.row.length,
  'kick-down': (q, key) => guessedNumber(key.engineRpm, q.tolerance),
  'two-gears': () => 1 / 6,
  'lay-out': (q) => 1 / ORDERS[q.parts.length]!,
  // Within a twentieth.
  'worth-it': (_q, key) => guessedNumber(key.value, { kind: 'percent', value: 5 }),
  'own-number': (q, key) => guessedNumber(key.value, q.tolerance),
  'own-order': (q) => 1 / ORDERS[q.steps.length]!,
  'own-choice': (q) => q.right.length / q.options.length,
  'which-test': (q) => 1 / q.offered.length,
  'free-now': (q) => 0.5 ** q.offered.length,
  'drive-or-coast': () => 0.5,
};
const ORDERS = [1, 1, 2, 6, 24, 120, 720, 5040, 40320];

test.each(Object.keys(GUESSED) as QuestionKind[])('how far guessing gets: %s', (kind) => {
  let met = 0;
  for (let k = 0; k < 6; k++) {
    const { question, subject } = drawQuestion(kind, randomFromSeed(`guess ${kind} ${k}`));
    const tells = tellsOf(question, subject);
    const result = keyFor(question, subject);
    if (!tells || !result.ok) continue;
    const right = GUESSED[kind]!(question as never, result.key as never);
    expect(tells.guess).toBeCloseTo(right, 4);
    met += 1;
  }
  expect(met).toBeGreaterThan(2);
});

test('the way to the right answer: facts of the model, and none where nobody answers otherwise', () => {
  const q = number({ direction: false });
  const facts = wayTo(q, { kind: 'gear-set', setup: q.setup });
  expect(facts.length).toBeGreaterThan(0);
  const free = number({ setup: setup({ reaction: 'free' }) });
  expect(wayTo(free, { kind: 'gear-set', setup: free.setup })).toEqual([]);
});
