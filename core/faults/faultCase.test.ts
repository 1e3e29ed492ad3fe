import { readFileSync } from 'node:fs';
import { openText } from '../formats';
import { unitFindings } from '../geartrain';
import { caseProblems, modelsIn, type FaultCase } from './index';

const CASE = JSON.parse(
  readFileSync('demo/fault-cases/slipway-two-gears.json', 'utf8'),
) as FaultCase;
/** A pair of gears between input and output. */
const pair = (id: string, second: number) => ({
  id,
  kind: 'mesh' as const,
  first: CASE.unit!.input,
  second: CASE.unit!.output,
  teeth: { first: 20, second },
});
const without = (field: keyof FaultCase): FaultCase => {
  const next = { ...CASE };
  delete next[field];
  return next;
};
const codes = (c: FaultCase) => caseProblems(c).map((p) => p.code);
const cause = (...faults: FaultCase['cause']) => ({ ...CASE, cause: faults });

test('of a document about a machine only its models, and none that it has not', () => {
  const { unit, engine, converter, vehicle } = CASE;
  expect(modelsIn(CASE)).toEqual({ unit, engine, converter, vehicle });
  expect(Object.keys(modelsIn(without('vehicle')))).toEqual(['unit', 'engine', 'converter']);
});

test('a case that can be given out has no problems', () => {
  expect(codes(CASE)).toEqual([]);
  expect(
    codes(
      cause(
        { target: 'B1', kind: 'slips', severity: 0.4 },
        { target: 'pressure-cable', kind: 'cable-long' },
      ),
    ),
  ).toEqual([]);
});

test.each<[string, FaultCase, string[]]>([
  ['no machine', { ...without('unit') }, ['no-machine']],
  ['no cause', cause(), ['no-cause']],
  ['a part that is not there', cause({ target: 'C9', kind: 'burnt' }), ['no-such-part']],
  ['a fault that this part can not have', cause({ target: 'F1', kind: 'burnt' }), ['no-such-part']],
  [
    'gone further than it can',
    cause({ target: 'C1', kind: 'slips', severity: 7 }),
    ['severity-out-of-range'],
  ],
  [
    'two causes in one place',
    cause({ target: 'C1', kind: 'burnt' }, { target: 'C1', kind: 'seal-leaks' }),
    ['cause-twice'],
  ],
  [
    'nothing that a driver would notice',
    cause({ target: 'fluid', kind: 'low-fluid', severity: 0.8 }),
    ['no-symptom'],
  ],
  [
    'a unit that can not be computed with',
    {
      ...CASE,
      unit: {
        ...CASE.unit!,
        // Two ratios between the same two shafts: nothing can turn.
        gearsets: [...CASE.unit!.gearsets, pair('G1', 40), pair('G2', 50)],
      },
    },
    ['unit-broken'],
  ],
])('refused: %s', (_name, faultCase, expected) => {
  expect(codes(faultCase)).toEqual(expected);
});

test('what is only odd about a unit does not keep a case back', () => {
  const unit = { ...CASE.unit!, members: [...CASE.unit!.members, { id: 'spare', name: 'Spare' }] };
  expect(unitFindings(unit).map((f) => f.weight)).toEqual(['odd']);
  expect(codes({ ...CASE, unit })).toEqual([]);
});

test('a broken file is told by its place', () => {
  const open = (document: unknown) => {
    const result = openText(JSON.stringify(document), 'fair-sprocket/fault-case');
    if (result.ok) return [];
    return result.failure.cause === 'invalid'
      ? result.failure.problems.map((p) => p.path)
      : [result.failure.cause];
  };
  expect(open(CASE)).toEqual([]);
  expect(open({ ...CASE, cause: [{ target: 'C1', kind: 'haunted' }] })).toEqual(['cause[0].kind']);
  expect(open({ ...CASE, minutes: -5 })).toEqual(['minutes']);
  expect(open({ ...CASE, priors: { burnt: -1 } })).toEqual(['priors.burnt']);
  expect(open({ ...CASE, version: 9 })).toEqual(['too-new']);
  const three = [CASE.cause[0], CASE.cause[0], CASE.cause[0]];
  expect(open({ ...CASE, cause: three })).toEqual(['cause']);
});
