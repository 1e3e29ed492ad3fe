import { setup } from '../../tests/oneSetup';
import { newSetQuestion } from './defaults';
import type { NumberQuestion } from './kinds';
import { missingStep } from './missingStep';

const asking = (ask: NumberQuestion['ask']): NumberQuestion => ({
  ...(newSetQuestion('number', setup()) as NumberQuestion),
  ask,
  prompt: 'In my words',
});

test('after two wrong commits the step is asked by itself, then the question again', () => {
  const asked = (...scores: number[]) => missingStep(asking('output-torque'), scores)?.kind ?? null;
  expect([asked(), asked(0), asked(0.5, 1), asked(1, 0)]).toEqual([null, null, null, null]);
  expect(asked(0, 0.5)).toBe('number');
  // The step itself, right or wrong, leads back to the question.
  expect(asked(0, 0, 1)).toBeNull();
  expect(asked(0, 0, 0)).toBeNull();
  expect(asked(0, 0, 1, 0)).toBeNull();
  expect(asked(0, 0, 1, 0, 0)).toBe('number');
});

test('a torque hangs on its ratio, a ratio on what the set does; the program words it', () => {
  expect(missingStep(asking('output-torque'), [0, 0])).toMatchObject({ ask: 'ratio', prompt: '' });
  expect(missingStep(asking('ratio'), [0, 0])).toMatchObject({ kind: 'choice', ask: 'effect' });
  expect(missingStep(newSetQuestion('roles'), [0, 0])).toBeNull();
});
