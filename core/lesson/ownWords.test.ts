import { newSetQuestion } from './families/gear-set/defaults';
import { newFaultQuestion } from './families/fault/defaults';
import { asksWhy, canAskWhy, type QuestionBlock } from './lesson';

const block: QuestionBlock = {
  id: 'q',
  kind: 'question',
  question: newSetQuestion('number'),
  askWhy: true,
};

test('why is asked before the first try only, and only where the lesson says so', () => {
  expect(asksWhy(block, 0)).toBe(true);
  expect(asksWhy(block, 1)).toBe(false);
  expect(asksWhy({ ...block, askWhy: false }, 0)).toBe(false);
  const { askWhy: _left, ...silent } = block;
  expect(asksWhy(silent, 0)).toBe(false);
});

test('a whole case has a report of its own', () => {
  const question = newFaultQuestion('diagnose', { unit: null, faultCase: null });
  expect(canAskWhy(question)).toBe(false);
  expect(asksWhy({ ...block, question }, 0)).toBe(false);
});
