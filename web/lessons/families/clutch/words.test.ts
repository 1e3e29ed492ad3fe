import { readFileSync } from 'node:fs';
import { NOISE_TESTS } from '../../../../core/clutch';
import { BOLLARD, FENDER, HAWSER } from '../../../../core/clutch/tests/demo';
import type { Engine } from '../../../../core/converter';
import type { Unit } from '../../../../core/geartrain';
import {
  clutchKey,
  assess,
  kindsOf,
  HOLD_ASKS,
  newClutchQuestion,
  UPGRADE_ASKS,
  type ClutchAnswer,
  type ClutchQuestion,
  type ClutchRig,
} from '../../../../core/lesson';
import { FEET_AT } from '../../../../core/shift';
import type { Vehicle } from '../../../../core/vehicle';
import { testNumbers, testWords } from '../../../tests/words';
import { clutchAnswerText, clutchKeyText, clutchPrompt, clutchShort } from './words';

const t = await testWords();

const inUnits = (system: 'si' | 'inch-pound') => testNumbers(t, system);
const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const RIG: ClutchRig = {
  clutch: BOLLARD,
  pack: FENDER,
  engine: read<Engine>('engines/pilot-petrol'),
  vehicle: read<Vehicle>('vehicles/yard-tractor'),
  unit: read<Unit>('units/winch-manual'),
};
const LEVERS = { ...RIG, clutch: HAWSER };
const si = () => inUnits('si');

/** A key that is missing from the catalogue shows as itself. */
const worded = (text: string) => {
  expect(text).not.toMatch(/\b(clutchPrompts|clutchParts|whyClutch|clutch|pack)\.[a-zA-Z]/);
  expect(text).not.toMatch(/\{\{|undefined|NaN/);
  expect(text.trim()).not.toBe('');
  return text;
};
const every = (rig: ClutchRig): ClutchQuestion[] =>
  kindsOf('clutch').flatMap((kind): ClutchQuestion[] => {
    const question = newClutchQuestion(kind, rig);
    if (question.kind === 'will-it-hold') return HOLD_ASKS.map((ask) => ({ ...question, ask }));
    if (question.kind === 'upgrade-limit') return UPGRADE_ASKS.map((ask) => ({ ...question, ask }));
    return [question];
  });

test('prompts in the trade’s words', () => {
  const ask = (kind: ClutchQuestion['kind'], rig = RIG) =>
    clutchPrompt(t, si(), newClutchQuestion(kind, rig), rig);
  expect(ask('noise-test')).toBe(
    'The noise is the release bearing or the pilot bearing. Which test tells them apart?',
  );
  expect(ask('adjust-order', LEVERS)).toBe(
    'The linkage of the Hawser twelve-inch is out in every way. In which order do you adjust it?',
  );
  expect(ask('will-it-hold')).toBe(
    'The Yard tow tractor in M 5, throttle 100 %, grade 5 %. The Bollard nine-inch has lost 1.00 mm; its facing is dry. Will it hold, and how much could it hold?',
  );
  const own = { ...newClutchQuestion('adjust-order', RIG), prompt: 'What first?' };
  expect(clutchPrompt(t, si(), own, RIG)).toBe('What first?');
});

test('every question has its words and its key in words, in both systems of units', () => {
  for (const system of ['si', 'inch-pound'] as const) {
    const numbers = inUnits(system);
    for (const question of every(RIG)) {
      worded(clutchPrompt(t, numbers, question, RIG));
      expect(t(`questionKinds.${question.kind}`)).not.toContain('questionKinds');
      const key = clutchKeyText(t, numbers, question, RIG);
      worded(key!.main);
      expect(key!.detail).not.toContain('{{');
    }
  }
  const inches = clutchPrompt(
    t,
    inUnits('inch-pound'),
    newClutchQuestion('will-it-hold', RIG),
    RIG,
  );
  expect(inches).toContain('0.039 in');
  const gone = { ...newClutchQuestion('will-it-hold', RIG), range: 'nobody' } as ClutchQuestion;
  expect(clutchKeyText(t, si(), gone, RIG)).toBeNull();
});

const ANSWERS: readonly ClutchAnswer[] = [
  { kind: 'set-free-play', forkRod: 0.001, turnbuckle: 0.002 },
  { kind: 'will-it-hold', holds: true, value: 250 },
  { kind: 'will-it-hold', range: 'G5' },
  { kind: 'adjust-order', order: ['over-centre', 'fork-rod', 'check-gap'] },
  ...NOISE_TESTS.map(({ id }) => ({ kind: 'noise-test' as const, test: id })),
  { kind: 'draw-start', pedal: FEET_AT.map(() => 1), throttle: FEET_AT.map(() => 0) },
  { kind: 'choose-selective', thickness: 0.0042 },
  { kind: 'upgrade-limit', limit: 'groove' },
  { kind: 'upgrade-limit', value: 120 },
];

test('every answer has its words, long and short', () => {
  for (const answer of ANSWERS) {
    worded(clutchAnswerText(t, si(), LEVERS, answer).main);
    worded(clutchShort(t, si(), LEVERS, answer, 0.5));
  }
  expect(clutchAnswerText(t, si(), LEVERS, ANSWERS[3]!).main).toBe(
    'Set the over-centre spring → Set the free play at the fork rod → Check the gap, pedal down',
  );
  expect(clutchAnswerText(t, si(), LEVERS, ANSWERS[2]!).main).toBe('M 5');
  expect(clutchAnswerText(t, si(), RIG, ANSWERS[0]!).main).toBe('fork rod 1.00 mm');
  expect(clutchAnswerText(t, si(), LEVERS, ANSWERS[0]!).main).toContain('turnbuckle 2.00 mm');
});

test('graded parts and faults have their words', () => {
  for (const question of every(RIG)) {
    const answer = ANSWERS.find((a) => a.kind === question.kind)!;
    const graded = assess(question, { kind: 'clutch', rig: RIG }, answer);
    if (!graded.ok) throw new Error(`${question.kind}: ${graded.fault}`);
    for (const { part } of graded.grade.parts) worded(t(`clutchParts.${part}`));
  }
  const bare: ClutchRig = { clutch: null, pack: null, engine: null, vehicle: null, unit: null };
  for (const question of every(RIG)) {
    const key = clutchKey(question, bare);
    if (key.ok) throw new Error('expected a fault');
    expect(t(`questionFaults.${key.fault}`)).not.toContain('questionFaults');
  }
});
