import type { Unit } from '../../../core/geartrain';
import { THOUGHT_OF } from '../../../core/lesson/tests/drawnQuestions';
import { classOf } from '../../../core/lesson/tests/simulatedClass';
import {
  assess,
  kindsOf,
  newSetQuestion,
  newUnitQuestion,
  NUMBER_ASKS,
  setKey,
  type ChoiceQuestion,
  type NumberQuestion,
  type SetQuestion,
} from '../../../core/lesson';
import { formatNumber, formatReading, numbersIn } from '../../shared/numbers';
import { testWords } from '../../tests/words';
import { answerText, keyText, promptOf, shortAnswer } from './gear-set/words';
import { unitKeyText, unitPrompt, unitShort } from './unit/words';
import { whyFor } from './words';
import { demoFile } from '../../../core/tests/demoFile';

const t = await testWords();

const numbers = numbersIn('si', t);
const prompt = (q: SetQuestion) => promptOf(t, numbers, q, q.setup);
const number = (over: Partial<NumberQuestion>) => ({
  ...(newSetQuestion('number') as NumberQuestion),
  ...over,
});
const choice = (over: Partial<ChoiceQuestion>) => ({
  ...(newSetQuestion('choice') as ChoiceQuestion),
  ...over,
});

test('prompts in the trade’s words', () => {
  expect(prompt(number({}))).toBe(
    'Ring held, sun drives. What ratio comes out at the carrier, and which way does it turn?',
  );
  expect(prompt(number({ ask: 'held-torque', direction: false }))).toBe(
    'Sun drives with 150 N·m, carrier is driven. What torque must hold the ring?',
  );
  expect(prompt(choice({ ask: 'arrangement', goal: 'strongest-overdrive' }))).toBe(
    'Which arrangement of this set gives the strongest overdrive?',
  );
  expect(prompt(newSetQuestion('roles'))).toContain('3.33 : 1, turning the same way');
  expect(prompt({ ...number({}), prompt: 'In my own words?' })).toBe('In my own words?');
});

test('no prompt, answer or reason shows a key or an unfilled place', () => {
  const questions: SetQuestion[] = [
    ...NUMBER_ASKS.flatMap((ask) => [number({ ask }), number({ ask, direction: false })]),
    ...(['effect', 'direction', 'fastest', 'arrangement'] as const).map((ask) => choice({ ask })),
    newSetQuestion('roles'),
  ];
  const said: string[] = [];
  for (const q of questions) {
    const key = setKey(q);
    if (!key.ok) throw new Error(key.fault);
    said.push(prompt(q), keyText(t, numbers, q, key.key).main);
  }
  for (const text of said) {
    expect(text).not.toMatch(/\{\{|undefined|NaN|^[a-z]+\.[a-z.-]+$/);
    expect(text.length).toBeGreaterThan(2);
  }
});

test('answers, at length and short', () => {
  const q = number({});
  const given = { kind: 'number', value: 2.333, direction: 'same' } as const;
  expect(answerText(t, numbers, q, given)).toEqual({ main: '2.33', detail: 'same way' });
  expect(shortAnswer(t, numbers, q, given)).toBe('2.33 same');
  const c = choice({ ask: 'arrangement' });
  expect(answerText(t, numbers, c, { kind: 'choice', choice: 'carrier-ring' }).main).toBe(
    'Carrier in, ring out, sun held',
  );
  expect(shortAnswer(t, numbers, c, { kind: 'choice', choice: 'carrier-ring' })).toBe(
    'Carrier to ring',
  );
  const roles = { kind: 'roles', drives: 'sun', driven: 'ring', held: 'carrier' } as const;
  expect(answerText(t, numbers, newSetQuestion('roles'), roles).main).toBe(
    'Sun drives, ring driven, carrier held',
  );
});

test('a reason carries this set’s own numbers', () => {
  const q = number({});
  const subject = { kind: 'gear-set', setup: q.setup } as const;
  const why = (value: number) => {
    const result = assess(q, subject, { kind: 'number', value, direction: 'same' });
    return whyFor(
      t,
      numbers,
      result.ok ? result.grade.why : { named: [], fitting: 0, facts: [] },
      q,
      subject,
    );
  };
  expect(why(2.333)).toEqual({
    title: 'Left the carrier’s own turn out.',
    facts: [
      'ring/sun = 70/30 = 2.33 would be right with the sun driving, the ring driven and the carrier held.',
      'The carrier is driven, so its own turn counts.',
      'The ratio is 1 + ring/sun = 1 + 70/30 = 3.33.',
    ],
  });
  expect(why(7.77).title).toContain('No usual slip');
});

// Every way of thinking about every kind of question, put into words.
test.each(THOUGHT_OF)('%s: every reason is a sentence with its numbers filled in', (kind) => {
  const answered = classOf(kind, 6);
  expect(answered.length).toBeGreaterThan(0);
  const said = answered.flatMap(({ question, subject, grade }) =>
    [grade.why, { named: [], fitting: 0, facts: grade.why.facts }].flatMap((why) => {
      const { title, facts } = whyFor(t, numbers, why, question, subject);
      return [title, ...facts];
    }),
  );
  const unfilled = /\{\{|undefined|NaN|null|\[object|claims\.|misconceptions\./;
  expect(said.filter((text) => unfilled.test(text) || !/[.!?…]$/.test(text))).toEqual([]);
});

test('numbers for reading: true minus, thin spaces, no “−0”, no needless digits', () => {
  expect(formatNumber(-1234567.5, 1)).toBe('−1\u202f234\u202f567.5');
  expect(formatNumber(-0.001, 2)).toBe('0.00');
  expect([1200, 33.3333, 8.25, 0.5, 1260].map(formatReading)).toEqual([
    '1\u202f200',
    '33.3',
    '8.25',
    '0.50',
    '1\u202f260',
  ]);
});

test('questions about a unit, their answers and reasons in words', () => {
  const unit = demoFile<Unit>('units/skerry-three');
  const said: string[] = [];
  for (const kind of kindsOf('unit')) {
    const question = newUnitQuestion(kind, unit);
    const right = unitKeyText(t, question, unit);
    said.push(unitPrompt(t, question, unit), right?.main ?? '');
  }
  for (const text of said) {
    expect(text).not.toMatch(/\{\{|undefined|NaN|^[a-z]+\.[a-z.-]+$/);
    expect(text.length).toBeGreaterThan(1);
  }
  const coast = newUnitQuestion('drive-or-coast', unit);
  expect(unitKeyText(t, coast, unit)).toEqual({
    main: 'The engine runs free',
    detail: 'F1 lets go',
  });
  const trace = newUnitQuestion('trace-path', unit);
  expect(unitKeyText(t, trace, unit)?.main).toBe('Input shaft → Front ring → Output shaft');
  expect(
    unitShort(t, trace, unit, { kind: 'trace-path', members: ['in', 'ring1', 'out'] }, 1),
  ).toBe('3 members');
});
