import { readFileSync } from 'node:fs';
import type { Converter, Engine } from '../../../../core/converter';
import type { Unit } from '../../../../core/geartrain';
import {
  kindsOf,
  converterKey,
  MATCH_ASKS,
  MEASURES,
  newConverterQuestion,
  SKETCHED,
  type ConverterQuestion,
  type ConverterRig,
  type StallChange,
} from '../../../../core/lesson';
import type { Vehicle } from '../../../../core/vehicle';
import { testNumbers, testWords } from '../../../tests/words';
import {
  changeText,
  converterAnswerText,
  converterKeyText,
  converterPrompt,
  converterShort,
  eventText,
  readingText,
} from './words';

const t = await testWords();

const inUnits = (system: 'si' | 'inch-pound') => testNumbers(t, system);
const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;
const rig: ConverterRig = {
  converter: read<Converter>('converters/jetty-eleven'),
  engine: read<Engine>('engines/pilot-petrol'),
  vehicle: read<Vehicle>('vehicles/yard-tractor'),
  unit: read<Unit>('units/skerry-three'),
};
const question = <K extends ConverterQuestion['kind']>(
  kind: K,
  change: Partial<Extract<ConverterQuestion, { kind: K }>> = {},
) => ({ ...newConverterQuestion(kind, rig), ...change }) as Extract<ConverterQuestion, { kind: K }>;
const si = () => inUnits('si');

/** A key that is missing from the catalogue shows as itself. */
const worded = (text: string) => {
  expect(text).not.toMatch(/\b(converterPrompts|stallChanges|whyConverter|launch|ways)\.\w/);
  expect(text).not.toContain('{{');
  expect(text.trim()).not.toBe('');
  return text;
};

test('prompts in the trade’s words', () => {
  expect(converterPrompt(t, si(), question('operate', { target: 1.6 }), rig)).toBe(
    'Set throttle, brake and lock-up so that the converter multiplies by × 1.60.',
  );
  expect(
    converterPrompt(
      t,
      si(),
      question('read-match', { ask: 'turbine-torque', throttle: 0.8, turbineRpm: 800 }),
      rig,
    ),
  ).toBe(
    'Pilot-boat petrol at 80 % throttle, turbine at 800 rev/min: what torque does the turbine give?',
  );
  expect(converterPrompt(t, si(), question('predict-change'), rig)).toBe(
    'Pilot-boat petrol with Jetty eleven-inch, full throttle, turbine held. Now the engine gives only 70 % of its torque. Where does the stall speed go, and to what?',
  );
  const own = question('sketch-curve', { prompt: 'Draw it.' });
  expect(converterPrompt(t, si(), own, rig)).toBe('Draw it.');
});

test('every kind, reading, curve and change has words, in both systems of units', () => {
  for (const system of ['si', 'inch-pound'] as const) {
    const numbers = inUnits(system);
    const prompt = (q: ConverterQuestion) => worded(converterPrompt(t, numbers, q, rig));
    for (const measure of MEASURES) prompt(question('operate', { measure, target: 1.5 }));
    for (const ask of MATCH_ASKS) prompt(question('read-match', { ask }));
    for (const curve of SKETCHED) prompt(question('sketch-curve', { curve }));
    for (const kind of kindsOf('converter')) {
      prompt(question(kind));
      expect(t(`questionKinds.${kind}`)).not.toContain('questionKinds');
    }
  }
  const changes: StallChange[] = [
    { kind: 'engine', share: 0.7 },
    { kind: 'altitude', metres: 2000 },
    { kind: 'size', factor: 0.9 },
    { kind: 'stator', fault: 'slips' },
    { kind: 'stator', fault: 'seized' },
  ];
  expect(new Set(changes.map((c) => worded(changeText(t, c)))).size).toBe(changes.length);
});

test('readings with no more digits than mean something', () => {
  expect(readingText(si(), 'torque-ratio', 2.2578)).toBe('× 2.26');
  expect(readingText(si(), 'efficiency', 0.824)).toBe('82 %');
  expect(readingText(si(), 'stall-speed', 2056)).toBe('2 056 rev/min');
  expect(readingText(si(), 'coupling-ratio', 0.898)).toBe('0.90');
  expect(readingText(inUnits('inch-pound'), 'turbine-torque', 186)).toBe('137 lbf·ft');
});

test('keys and answers are told in the same words', () => {
  expect(converterKeyText(t, si(), question('predict-change'), rig)).toEqual({
    main: 'down',
    detail: 'from 2 060 rev/min to 1 660 rev/min',
  });
  expect(converterKeyText(t, si(), question('read-match'), rig)?.main).toBe('2 060 rev/min');
  expect(
    converterAnswerText(t, si(), question('operate'), {
      kind: 'operate',
      throttle: 0.5,
      turbineRpm: 900,
      lockUp: true,
    }).main,
  ).toBe('throttle 50 %, turbine 900 rev/min, locked up');
  const order = question('launch-order', { throttle: 1 });
  const key = converterKey(order, rig);
  if (!key.ok || key.key.kind !== 'launch-order') throw new Error('no key');
  const names = key.key.events.map((e) => e.name);
  for (const name of names) worded(eventText(t, name));
  expect(eventText(t, 'upshift-3')).toBe('gear 3 comes in');
  expect(converterAnswerText(t, si(), order, { kind: 'launch-order', order: names }).main).toMatch(
    /^moves off → wheels pull most/,
  );
  const broken = { ...rig, vehicle: null };
  expect(converterKeyText(t, si(), order, broken)).toBeNull();
});

test('a ledger’s cell gets few words', () => {
  const values = [2.2, 2, 1.7, 1.4, 1.1, 1, 1];
  expect(
    converterShort(t, si(), question('sketch-curve'), { kind: 'sketch-curve', values }, 0.8),
  ).toBe('4 of 5 parts');
  expect(
    converterShort(
      t,
      si(),
      question('predict-change'),
      { kind: 'predict-change', way: 'up', value: 2300 },
      0,
    ),
  ).toBe('up 2 300 rev/min');
  expect(
    converterShort(t, si(), question('launch-order'), { kind: 'launch-order', order: [] }, 0.25),
  ).toBe('25 % in order');
});
