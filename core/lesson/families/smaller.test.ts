import { newLesson, newStep } from '../defaults';
import { setup } from '../tests/oneSetup';
import { newSetQuestion } from './gear-set/defaults';
import { fraction } from '../../numerics';
import { setKey, wrongAnswer } from './gear-set/key';
import type { ArrangementKey, ChoiceQuestion, NumberQuestion } from './gear-set/kinds';
import { posedIn } from '../posed';
import type { Question } from '../question';
import { familyOf } from '../question';
import { familyNamed } from './families';
import type { Round } from '../family';
import type { Answer } from '../question';
import type { Lesson } from '../lesson';

/** The step that is asked in the question's place, as it stands. */
function stepFor(lesson: Lesson, question: Question, before: readonly Round<Answer>[]) {
  const posed = posedIn(familyNamed(familyOf(question)), lesson, question, null, before);
  return posed.step ? posed.question : null;
}

const lesson = newLesson('l', 'L', newStep('s', 'S'));
const asking = (ask: NumberQuestion['ask']): NumberQuestion => ({
  ...(newSetQuestion('number', setup()) as NumberQuestion),
  ask,
  prompt: 'In my words',
});
const round = (score: number, value = 9) => ({ score, answer: { kind: 'number' as const, value } });
const rounds = (...scores: number[]) => scores.map((s) => round(s));

test('after two wrong commits the step is asked by itself, then the question again', () => {
  const asked = (...scores: number[]) =>
    stepFor(lesson, asking('output-torque'), rounds(...scores))?.kind ?? null;
  expect([asked(), asked(0), asked(0.5, 1), asked(1, 0)]).toEqual([null, null, null, null]);
  expect(asked(0, 0.5)).toBe('number');
  // The step itself, right or wrong, leads back to the question.
  expect(asked(0, 0, 1)).toBeNull();
  expect(asked(0, 0, 0)).toBeNull();
  expect(asked(0, 0, 1, 0)).toBeNull();
  expect(asked(0, 0, 1, 0, 0)).toBe('number');
});

test('a torque hangs on its ratio, a ratio on what the set does; the program words it', () => {
  const step = (question: Parameters<typeof stepFor>[1]) => stepFor(lesson, question, rounds(0, 0));
  expect(step(asking('output-torque'))).toMatchObject({ ask: 'ratio', prompt: '' });
  expect(step(asking('ratio'))).toMatchObject({ kind: 'choice', ask: 'effect' });
  expect(step(newSetQuestion('roles'))).toBeNull();
});

test('a wrong ratio that another arrangement gives is asked about: what would make it right', () => {
  // 30/70, ring held: 3.33. 2.33 is R/S, what the held carrier gives (common practice, no source).
  const [ratio, one] = [asking('ratio'), round(0, 2.33)];
  const step = stepFor(lesson, ratio, [one]);
  expect(step).toMatchObject({ kind: 'choice', ask: 'right-for', answered: 'sun-ring' });
  // Then the question itself; wrong again, and the missing step comes.
  expect(stepFor(lesson, ratio, [one, round(1)])).toBeNull();
  expect(stepFor(lesson, ratio, [one, round(0), round(0, 8)])).toMatchObject({ ask: 'effect' });
  // On teeth of their own it is these that count: 20/80 gives 4 where the carrier is held.
  const set = { kind: 'single-pinion' as const, teeth: { sun: 20, pinion: 30, ring: 80 } };
  const own = { ...round(0, 4), setup: { ...setup(), set } };
  expect(stepFor(lesson, ratio, [own])).toMatchObject({ answered: 'sun-ring' });
  // The right size turned the wrong way, and what nothing gives, are no other arrangement.
  expect(stepFor(lesson, ratio, [round(0.5, 3.33)])).toBeNull();
  expect(stepFor(lesson, ratio, [round(0, 9)])).toBeNull();
});

test('what would make a wrong ratio right: by hand on 30/70', () => {
  // 1 + S/R = 1.43 with the sun held and the ring driving; backwards 0.7 (published: Willis 1841; from memory).
  const base = newSetQuestion('choice', setup()) as ChoiceQuestion;
  const right = (answered?: ArrangementKey) => {
    const key = setKey({ ...base, ask: 'right-for', ...(answered ? { answered } : {}) });
    return key.ok && key.key.kind === 'choice' ? key.key.right : key.ok ? null : key.fault;
  };
  expect(right('ring-carrier')).toEqual(['ring-carrier']);
  expect(right('carrier-ring')).toEqual(['carrier-ring']);
  expect(right()).toEqual(['ring-carrier']);
  expect(right('sun-carrier')).toBe('answer-is-right');
});

test('a wrong ratio is told by its size, and asked about only where one arrangement is meant', () => {
  // R/S = 70/30 where the carrier is held, backwards (published: Willis 1841; from memory).
  const choice = {
    ...(newSetQuestion('choice', setup()) as ChoiceQuestion),
    ask: 'right-for' as const,
  };
  expect(wrongAnswer({ ...choice, answered: 'sun-ring' }, setup())).toEqual(fraction(7, 3));
  // Two pinions in a row, ring of twice the sun's teeth: 1 - R/S = -1, and so is its inverse.
  const set = {
    kind: 'double-pinion' as const,
    teeth: { sun: 30, inner: 15, outer: 15, ring: 60 },
    pinions: 3,
  };
  const even = { ...setup({ driven: 'ring' }), set };
  const asked = { ...asking('ratio'), setup: even };
  expect(stepFor(lesson, asked, [{ ...round(0, 1), setup: even }])).toBeNull();
});
