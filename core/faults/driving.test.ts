import { randomFromSeed, toNumber } from '../numerics';
import { solveUnit, type Unit } from '../geartrain';
import { randomUnit } from '../geartrain/tests/randomUnit';
import {
  appliedWithFaults,
  drivingOf,
  faultPairs,
  machineOf,
  rigOfUnit,
  singleFaults,
  UNIT_FAULT_KINDS,
  withFaults,
  type Fault,
} from './index';

const isUnitFault = ({ kind }: Fault) => (UNIT_FAULT_KINDS as readonly string[]).includes(kind);

function randomRanges(seed: string): Unit {
  const random = randomFromSeed(seed);
  const drawn = randomUnit(random, true);
  const controlled = drawn.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
  const ranges = Array.from({ length: 3 }, (_, n) => ({
    id: `D${n}`,
    lever: 'D',
    gear: String(n),
    apply: controlled.filter(() => random.next() < 0.6),
  }));
  return { ...drawn, ranges };
}

// Slow twin: the exact solution of the unit as each fault, and each pair of faults, leaves it.
test('what a range does under faults agrees with the exact model', () => {
  for (let k = 0; k < 30; k++) {
    const unit = randomRanges(`sweep-${k}`);
    const rig = rigOfUnit(unit);
    const driving = drivingOf(rig);
    const singles = singleFaults(rig).filter(isUnitFault);
    const pairs = faultPairs(singles).filter((_p, n) => n % 9 === k % 9);
    for (const faults of [[], ...singles.map((f) => [f]), ...pairs]) {
      const faulty = withFaults(unit, faults);
      if (!faulty.ok) throw new Error(faulty.problem);
      const found: unknown[] = [];
      const exactly: unknown[] = [];
      for (const cell of driving.cells(machineOf(rig, faults))) {
        const { apply } = unit.ranges.find((r) => r.id === cell.range)!;
        const sound = solveUnit(unit, apply);
        const exact = solveUnit(faulty.unit, appliedWithFaults(apply, faulty));
        const same = exact.outcome === sound.outcome;
        found.push([cell.range, exact.ratio ? cell.ratio?.toFixed(7) : cell.drive]);
        const stands = same ? 'right' : exact.outcome === 'neutral' ? 'neutral' : 'binds';
        exactly.push([cell.range, exact.ratio ? toNumber(exact.ratio).toFixed(7) : stands]);
      }
      expect([k, faults, found]).toEqual([k, faults, exactly]);
    }
  }
});

test('a fault on a part that is not there, or gone too far, is told', () => {
  const unit = randomRanges('refusals');
  const rig = rigOfUnit(unit);
  for (const fault of [
    { target: 'nothing', kind: 'burnt' },
    { target: 'converter', kind: 'stator-slips' },
    { target: 'clutch', kind: 'clutch-worn' },
    { target: 'coupling', kind: 'coil-open' },
  ] as Fault[])
    expect(() => machineOf(rig, [fault])).toThrow('no-such-part');
  const element = unit.elements.find((e) => e.kind !== 'one-way')!.id;
  expect(() => machineOf(rig, [{ target: element, kind: 'slips', severity: 4 }])).toThrow(
    'severity-out-of-range',
  );
  expect(() => drivingOf(rig).cell(machineOf(rig, []), 'X9')).toThrow('expected a range');
});
