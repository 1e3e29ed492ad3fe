import { characteristicOf, engineModel, type Converter, type Engine } from '../converter';
import {
  launch,
  sweepLaunch,
  USUAL_FLUID,
  USUAL_SCHEDULE,
  type SweepSetup,
  type Vehicle,
} from './index';
import { demoFile } from '../tests/demoFile';

const engine = demoFile<Engine>('engines/pilot-petrol');
const converter = demoFile<Converter>('converters/jetty-eleven');
const setup: SweepSetup = {
  engine,
  converter,
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  gears: [2.44, 1.44, 1],
  throttle: [{ at: 0, throttle: 0.8 }],
  grade: 0,
  schedule: USUAL_SCHEDULE,
  lockUp: 0,
  fluid: USUAL_FLUID,
  seconds: 8,
  step: 0.005,
  swept: 'mass',
  from: 1500,
  to: 4500,
  runs: 4,
  target: 5,
};
const points = (change: Partial<SweepSetup>) => [...sweepLaunch({ ...setup, ...change })];

test('a heavier vehicle takes longer and heats the fluid more', () => {
  const swept = points({});
  expect(swept.map((p) => p.value)).toEqual([1500, 2500, 3500, 4500]);
  swept.slice(1).forEach((p, k) => {
    expect(p.seconds!).toBeGreaterThan(swept[k]!.seconds!);
    expect(p.hottestC).toBeGreaterThan(swept[k]!.hottestC);
  });
});

test('each point is a launch of its own; what is not reached has no time', () => {
  const [, last] = points({ swept: 'grade', from: 0, to: 0.9, runs: 2 });
  expect(last).toMatchObject({ seconds: null, speed: 0 });
  const [low] = points({ swept: 'throttle', from: 0.4, to: 1, runs: 2 });
  const alone = launch({
    ...setup,
    engine: engineModel(engine),
    converter: characteristicOf(converter)!,
    throttle: [{ at: 0, throttle: 0.4 }],
  });
  expect(low!.heat).toBe(alone.energy.heat);
  expect(points({ swept: 'converter-size', from: 0.8, to: 1.2, runs: 2 })).toHaveLength(2);
  expect(points({ swept: 'final-drive', from: 3, to: 5, runs: 2 })).toHaveLength(2);
});

test('one run, or a range the wrong way round, is refused', () => {
  expect(() => points({ runs: 1 })).toThrow(/two runs/);
  expect(() => points({ from: 2, to: 1 })).toThrow(/range/);
});
