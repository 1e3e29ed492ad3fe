import { onlyTrue, recognise, type Thought } from './learners';

type T = Thought<string, string, string>;
const thought = (slip: string, answer: string, weight: number, claims = [slip]): T => ({
  slip,
  answer,
  weight,
  claims: () => claims,
});
const names = (thoughts: T[], answer = 'a', holds: (claim: string) => boolean = () => true) =>
  recognise(thoughts, answer, holds).named.map((n) => n.slip);

test('one, two between which nothing decides, or none', () => {
  const usual = thought('usual', 'a', 1);
  expect(names([usual, thought('elsewhere', 'b', 1)])).toEqual(['usual']);
  expect(names([usual, thought('rare', 'a', 0.5)])).toEqual(['usual']);
  expect(names([usual, thought('as usual', 'a', 0.6)])).toEqual(['usual', 'as usual']);
  // An answer that three ways of thinking give accuses nobody.
  expect(names([usual, thought('x', 'a', 0.9), thought('y', 'a', 0.8)])).toEqual([]);
  expect(names([usual], 'c')).toEqual([]);
  // Two variants of one way of thinking are one.
  expect(names([usual, thought('usual', 'a', 0.9), thought('z', 'a', 0.9)])).toEqual([
    'usual',
    'z',
  ]);
});

test('a claim that does not hold is not shown, and a way of thinking without one is not named', () => {
  const both = thought('both', 'a', 1, ['so', 'not so']);
  const named = recognise([both], 'a', (c) => c === 'so');
  expect(named).toEqual({ named: [{ slip: 'both', claims: ['so'] }], fitting: 1 });
  expect(names([both], 'a', () => false)).toEqual([]);
  expect(onlyTrue(['so', 'so', 'not so'], (c) => c === 'so')).toEqual(['so']);
});
