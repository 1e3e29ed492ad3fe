import { readFileSync } from 'node:fs';
import type { FaultCase } from '../../../../core/faults';
import type { Unit } from '../../../../core/geartrain';
import {
  deskOf,
  faultQuestionKey,
  newFaultQuestion,
  type DiagnoseQuestion,
  type FaultAnswer,
  type FaultQuestion,
  type WhichTestQuestion,
} from '../../../../core/lesson';
import { testWords } from '../../../tests/words';
import { faultAnswerText, faultKeyText, faultPrompt, faultShort } from './words';

const t = await testWords();

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const unit = read<Unit>('units/skerry-three');
const faultCase = read<FaultCase>('fault-cases/quay-hopper');
const ofUnit = { unit, faultCase: null };
const ofCase = { unit: null, faultCase };
const BADLY_PUT = /\{\{|undefined|NaN|faults\.|faultPrompts\./;

const row: FaultQuestion = {
  kind: 'symptom-row',
  prompt: '',
  unit: unit.id,
  fault: { target: 'C2', kind: 'burnt' },
  ranges: ['D3', 'R'],
};
const element: FaultQuestion = {
  kind: 'which-element',
  prompt: '',
  unit: unit.id,
  fault: row.fault,
};
const test1: WhichTestQuestion = {
  kind: 'which-test',
  prompt: '',
  case: faultCase.id,
  done: [],
  offered: ['flange', 'coil', 'stack'],
};
const whole: DiagnoseQuestion = { kind: 'diagnose', prompt: '', case: faultCase.id };

test('what is asked, in the trade’s words', () => {
  expect(faultPrompt(t, row, ofUnit)).toBe(
    'Suppose this has failed: C2, Direct clutch: lining burnt off. What does each range do?',
  );
  expect(faultPrompt(t, element, ofUnit)).toContain('Skerry three-speed');
  expect(faultPrompt(t, whole, ofCase)).toContain('Rope-yard buggy');
  expect(faultPrompt(t, { ...whole, prompt: 'In my own words?' }, ofCase)).toBe('In my own words?');
});

test('the model’s answers', () => {
  expect(faultKeyText(t, row, ofUnit)?.main).toBe('D 3 wrong gear, R neutral');
  expect(faultKeyText(t, element, ofUnit)?.main).toContain('C2, Direct clutch');
  expect(faultKeyText(t, whole, ofCase)).toEqual({
    main: 'All-wheel coupling: ball ramp jammed',
    detail: 'Strip down',
  });
  // Without its key a question about a test says nothing: it takes a worker to know it.
  expect(faultKeyText(t, test1, ofCase)).toBeNull();
  const key = faultQuestionKey(test1, ofCase, deskOf(faultCase));
  expect(faultKeyText(t, test1, ofCase, key)?.main).toMatch(/min/);
  expect(faultKeyText(t, { ...row, ranges: [] }, ofUnit)).toBeNull();
});

test('what was answered, at length and short', () => {
  const answers: [FaultAnswer, typeof ofUnit | typeof ofCase, string, string][] = [
    [
      { kind: 'symptom-row', cells: [{ range: 'D3', drive: 'neutral' }] },
      ofUnit,
      'D 3 neutral',
      '50 %',
    ],
    [{ kind: 'which-element', element: 'B1' }, ofUnit, 'B1, Second band', 'B1'],
    [{ kind: 'which-test', check: 'flange' }, ofCase, 'Drag at the flange', 'Drag at the flange'],
    [
      { kind: 'diagnose', entries: [], cause: 'coupling=coil-open', remedy: 'in-place' },
      ofCase,
      'All-wheel coupling: coil open',
      '50 %',
    ],
  ];
  for (const [answer, subject, long, short] of answers) {
    expect(faultAnswerText(t, subject, answer).main).toBe(long);
    expect(faultShort(t, subject, answer, 0.5)).toBe(short);
  }
});

test('nothing shows a key or an unfilled place', () => {
  const said: string[] = [];
  for (const kind of ['symptom-row', 'which-element'] as const) {
    const question = newFaultQuestion(kind, ofUnit);
    said.push(faultPrompt(t, question, ofUnit), faultKeyText(t, question, ofUnit)?.main ?? '-');
  }
  expect(said).toHaveLength(4);
  for (const text of said) {
    expect(text).not.toMatch(BADLY_PUT);
    expect(text.length).toBeGreaterThan(0);
  }
});
