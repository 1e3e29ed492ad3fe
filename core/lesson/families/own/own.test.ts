import { assess, graderOf, ownKey, type OwnAnswer, type OwnQuestion } from '../..';
import { marked } from '../../tests/marked';
import { newOwnQuestion } from './defaults';

const OWN = { kind: 'own' } as const;
const choice: OwnQuestion = {
  kind: 'own-choice',
  prompt: 'Is this thrust washer to be used again?',
  reason: 'Its tab is sheared.',
  options: ['Yes', 'No', 'Only turned over'],
  right: [1],
};
const number: OwnQuestion = {
  kind: 'own-number',
  prompt: 'How thick is this steel?',
  reason: '',
  value: 1.8,
  unit: 'mm',
  tolerance: { kind: 'absolute', value: 0.05 },
};
const order: OwnQuestion = {
  kind: 'own-order',
  prompt: 'In what order does it come apart?',
  reason: '',
  steps: ['Pan', 'Filter', 'Valve body'],
};
const graded = (question: OwnQuestion, answer: OwnAnswer) => {
  const result = assess(question, OWN, answer);
  if (!result.ok) throw new Error(result.fault);
  return { ...marked(result.grade), facts: result.grade.why.facts };
};

test('the instructor’s key and reason, and no more', () => {
  expect(graded(choice, { kind: 'own-choice', choice: 1 })).toMatchObject({
    score: 1,
    facts: [{ claim: 'own-reason', reason: 'Its tab is sheared.' }],
  });
  expect(graded(choice, { kind: 'own-choice', choice: 0 })).toMatchObject({
    score: 0,
    misconception: null,
  });
  expect(graded(number, { kind: 'own-number', value: 1.84 })).toMatchObject({
    score: 1,
    facts: [],
  });
  expect(graded(number, { kind: 'own-number', value: 18 }).misconception).toBe('decimal-place');
  expect(graded(number, { kind: 'own-number', value: 1.73 }).misconception).toBe('near-miss');
  expect(graded(number, { kind: 'own-number', value: 3 }).misconception).toBeNull();
  expect(graded(order, { kind: 'own-order', order: [0, 1, 2] }).score).toBe(1);
  expect(graded(order, { kind: 'own-order', order: [1, 0, 2] }).score).toBe(0.5);
});

test('what can’t be asked yet is said', () => {
  const fault = (question: OwnQuestion) => {
    const key = ownKey(question);
    return key.ok ? null : key.fault;
  };
  for (const kind of ['own-choice', 'own-number', 'own-order'] as const)
    expect(fault(newOwnQuestion(kind))).toBe('own-unfinished');
  expect(fault({ ...choice, right: [] })).toBe('own-none-right');
  expect(fault({ ...choice, right: [7] })).toBe('own-none-right');
  expect(fault({ ...choice, right: [0, 1, 2] })).toBe('own-all-right');
  expect(fault({ ...choice, options: ['Yes', ' yes'] })).toBe('own-twice');
  expect(fault({ ...order, steps: ['Pan', ''] })).toBe('own-unfinished');
  expect(fault(order)).toBeNull();
});

test('an answer that the question does not offer does not fit', () => {
  const fits = (question: OwnQuestion, answer: OwnAnswer) => {
    const grader = graderOf(question, OWN);
    return grader.ok && grader.fits(answer);
  };
  expect([-1, 0, 2, 3, 0.5].map((k) => fits(choice, { kind: 'own-choice', choice: k }))).toEqual([
    false,
    true,
    true,
    false,
    false,
  ]);
  expect([NaN, Infinity, 0].map((value) => fits(number, { kind: 'own-number', value }))).toEqual([
    false,
    false,
    true,
  ]);
  for (const [list, is] of [
    [[2, 0, 1], true],
    [[0, 0, 1], false],
    [[0, 1], false],
    [[0, 1, 3], false],
  ] as const)
    expect(fits(order, { kind: 'own-order', order: [...list] })).toBe(is);
});
