import {
  DAMAGES,
  FACING_RULES,
  MEASURE_IDS,
  MEASURES,
  planOf,
  planOfJob,
  windowOf,
  type Job,
  type Part,
} from '../../core/assembly';
import { demoFile, demoUnit, demoUnits } from '../../core/tests/demoFile';
import { numbersIn } from '../shared/numbers';
import { testWords } from '../tests/words';
import { measureText, measureUnit, sizeText, toMeasure, windowText } from './jobWords';
import { partName } from './partName';

const t = await testWords();
const si = numbersIn('si', t);
const inches = numbersIn('inch-pound', t);
const NEVER = /\{\{|undefined|NaN|stripDown\.|strip\./;

test('every part of every demo unit and job has a name, and no two of a unit share one', () => {
  for (const unit of demoUnits()) {
    const names = planOf(unit).parts.map((p) => partName(t, unit, p));
    for (const name of names) {
      expect(name).not.toMatch(NEVER);
      expect(name.length).toBeGreaterThan(1);
    }
    expect([unit.id, names.length]).toEqual([unit.id, new Set(names).size]);
  }
  const crane = demoFile<Job>('jobs/bollard-clutch');
  const names = planOfJob(crane)!.parts.map((p) => partName(t, null, p));
  expect(names).toContain('Crankshaft seal');
  expect(new Set(names).size).toBe(names.length);
});

test('a part is called by what it belongs to', () => {
  const unit = demoUnit('skerry-three');
  const name = (id: string) =>
    partName(t, unit, planOf(unit).parts.find((p) => p.id === id) as Part);
  expect(['C1.drum', 'C1.pack', 'B1.anchor', 'pump', 'sun.shell', 'thrust-3'].map(name)).toEqual([
    'C1 drum',
    'C1 plates',
    'B1 anchor',
    'Pump',
    'Sun shell',
    'Thrust bearing 3',
  ]);
});

test('readings as they are read: hundredths of a millimetre, ten-thousandths of an inch, tenths of an ohm', () => {
  expect(measureText(si, 'lining', 1.944)).toBe('1.94 mm');
  // 1.944 mm over 25.4 mm (published: NIST SP 811, appendix B).
  expect(measureText(inches, 'lining', 1.944)).toBe('0.0765 in');
  expect(measureText(si, 'pump-side', 0.035)).toBe('0.035 mm');
  expect(measureText(si, 'disc-thickness', 8.2)).toBe('8.2 mm');
  expect(measureText(si, 'solenoid', 12.44)).toBe('12.4 Ω');
  expect(measureText(inches, 'solenoid', 12.44)).toBe('12.4 Ω');
  expect(measureUnit(inches, 'bush')).toBe('in');
  // What is typed goes back to what is stored.
  expect(toMeasure(inches, 'lining', 0.1)).toBeCloseTo(2.54, 9);
  expect(toMeasure(inches, 'solenoid', 12)).toBe(12);
  expect(sizeText(si, 1.8)).toBe('1.80 mm');
});

test('windows with both ends, or one', () => {
  const part = { kind: 'pack', count: 5 } as const;
  expect(windowText(t, si, 'pack-clearance', windowOf('pack-clearance', part))).toBe(
    'Wanted: 0.30 mm to 0.70 mm.',
  );
  expect(windowText(t, si, 'lining', windowOf('lining', part))).toBe('Wanted: 1.80 mm at least.');
  expect(windowText(t, si, 'steel-flat', windowOf('steel-flat', part))).toBe(
    'Wanted: 0.10 mm at most.',
  );
  expect(windowText(t, si, 'lining', { least: null, most: null })).toBe('');
});

test('every measure, damage and way round has its words', () => {
  for (const id of MEASURE_IDS) {
    expect(t(`strip.measures.${id}`)).not.toMatch(NEVER);
    expect(t(`strip.instruments.${MEASURES[id].instrument}`)).not.toMatch(NEVER);
    for (const [state, offset, why] of MEASURES[id].states) {
      expect(t(`strip.states.${state}`)).not.toMatch(NEVER);
      // A state that adds something says why.
      expect([id, state, why !== null]).toEqual([
        id,
        state,
        offset !== 0 || MEASURES[id].each === true,
      ]);
      if (why) expect(t(`strip.stateWhy.${why}`)).toMatch(/\.$/);
    }
  }
  for (const damage of DAMAGES) expect(t(`strip.damages.${damage}`)).not.toMatch(NEVER);
  for (const rule of FACING_RULES) {
    const [ask, right, wrong] = (['ask', 'right', 'wrong'] as const).map((w) =>
      t(`strip.facings.${rule}.${w}`),
    );
    expect(ask).toMatch(/\?$/);
    expect(right).not.toBe(wrong);
  }
});
