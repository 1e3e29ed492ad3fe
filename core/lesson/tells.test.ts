import { setup } from './tests/oneSetup';
import { assess } from './assess';
import { newSetQuestion } from './families/gear-set/defaults';
import type { ChoiceQuestion, NumberQuestion } from './families/gear-set/kinds';
import { newUnitQuestion } from './families/unit/defaults';
import { simpson } from '../geartrain/tests/textbookUnits';
import { separatingSetup, tellsOf } from './tells';

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
  const found = separatingSetup(question, 'forgot-one-plus')!;
  expect(found.apart).toBeGreaterThan(1.2);
  const { sun, ring } = found.setup.set.teeth;
  const asked = { ...question, setup: found.setup };
  const subject = { kind: 'gear-set', setup: found.setup } as const;
  for (const value of [ring / sun, sun / ring]) {
    const result = assess(asked, subject, { kind: 'number', value });
    expect(result.ok && result.grade.why.named.map((n) => n.slip)).toEqual(['forgot-one-plus']);
    const right = 1 + ring / sun;
    expect(Math.max(value / right, right / value)).toBeGreaterThanOrEqual(found.apart - 1e-9);
  }
  expect(separatingSetup(question, 'locked-still-geared')).toBeNull();
  expect(separatingSetup(question, null)!.setup.set.teeth).not.toEqual(question.setup.set.teeth);
});
