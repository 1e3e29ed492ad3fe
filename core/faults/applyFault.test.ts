import { solveUnit, type Load } from '../geartrain';
import { toText } from '../numerics';
import { appliedWithFaults, withFaults, type Fault } from './index';
import { demoUnit } from '../tests/demoFile';

const unit = demoUnit('skerry-three');

/** What each range does on the faulty unit: its ratio, or its outcome. */
function table(faults: Fault[], load: Load = 'drive'): Record<string, string> {
  const faulty = withFaults(unit, faults);
  if (!faulty.ok) throw new Error(faulty.problem);
  return Object.fromEntries(
    unit.ranges.map((r) => {
      const { outcome, ratio } = solveUnit(faulty.unit, appliedWithFaults(r.apply, faulty), load);
      return [r.id, ratio ? toText(ratio) : outcome];
    }),
  );
}

test('sound: three speeds, low range, reverse, neutral', () => {
  expect(table([])).toEqual({
    D1: '61/25',
    D2: '36/25',
    D3: '1',
    L1: '61/25',
    R: '-25/11',
    N: 'neutral',
  });
});

// Common practice, no source: how a three-speed unit of two coupled sets fails, as a diagnostician knows it.
test.each<[string, Fault, Record<string, string>]>([
  [
    'ahead clutch burnt: nothing ahead, reverse is good',
    { target: 'C1', kind: 'will-not-apply' },
    { D1: 'neutral', D2: 'neutral', D3: 'neutral', R: '-25/11' },
  ],
  [
    'direct clutch stuck: first starts in third, no second',
    { target: 'C2', kind: 'stuck-on' },
    { D1: '1', D2: 'tied-up', D3: '1', L1: 'tied-up' },
  ],
  [
    'low one-way does not hold: no first in D, low range is good',
    { target: 'F1', kind: 'will-not-hold' },
    { D1: 'neutral', L1: '61/25', D2: '36/25' },
  ],
  [
    'low one-way seized: second and third bind',
    { target: 'F1', kind: 'seized' },
    { D1: '61/25', D2: 'tied-up', D3: 'tied-up' },
  ],
  [
    'sun shell stripped at the front set: only where the front sun is not needed',
    { target: 'P1.sun', kind: 'broken' },
    { D2: 'neutral', R: '-25/11' },
  ],
])('%s', (_name, fault, expected) => {
  expect(table([fault])).toMatchObject(expected);
});

test('a reversed one-way clutch: no first in D, and second binds', () => {
  const drive = table([{ target: 'F1', kind: 'reversed' }]);
  expect(drive['D1']).toBe('neutral');
  expect(drive['D2']).not.toBe('36/25');
});

test('what does not fit is refused by code', () => {
  const problem = (fault: Fault) => {
    const r = withFaults(unit, [fault]);
    return r.ok ? null : r.problem;
  };
  expect(problem({ target: 'X', kind: 'stuck-on' })).toBe('unknown-element');
  expect(problem({ target: 'F1', kind: 'stuck-on' })).toBe('fault-does-not-fit');
  expect(problem({ target: 'C1', kind: 'seized' })).toBe('fault-does-not-fit');
  expect(problem({ target: 'P1.pinion', kind: 'broken' })).toBe('unknown-port');
  expect(problem({ target: 'nothing', kind: 'broken' })).toBe('unknown-port');
  expect(unit.members).toHaveLength(5);
});
