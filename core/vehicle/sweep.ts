import { characteristicOf, engineModel, resized, type Converter, type Engine } from '../converter';
import { launch, type LaunchSetup } from './launch';
import type { Vehicle } from './vehicle';

/** One thing changed over a range, a launch run at each value. */
export const SWEPT = ['throttle', 'grade', 'mass', 'final-drive', 'converter-size'] as const;
export type Swept = (typeof SWEPT)[number];

export interface SweepSetup extends Omit<LaunchSetup, 'engine' | 'converter'> {
  readonly engine: Engine;
  readonly converter: Converter;
  readonly swept: Swept;
  readonly from: number;
  readonly to: number;
  /** Runs, at least two. */
  readonly runs: number;
  /** m/s whose time is taken. */
  readonly target: number;
}

export interface SweepPoint {
  readonly value: number;
  /** s to the target speed; `null` where it is not reached. */
  readonly seconds: number | null;
  /** J into the fluid. */
  readonly heat: number;
  /** Highest of the fluid, °C. */
  readonly hottestC: number;
  /** m/s at the end. */
  readonly speed: number;
}

/** The launch with one value of the swept quantity in it. */
function changed(setup: SweepSetup, value: number): LaunchSetup {
  const { swept, vehicle } = setup;
  const withChange = (change: Partial<Vehicle>) => ({ ...vehicle, ...change });
  const converter = characteristicOf(
    swept === 'converter-size' ? resized(setup.converter, value) : setup.converter,
  );
  if (!converter) throw new Error('sweep: expected a sound converter');
  return {
    ...setup,
    engine: engineModel(setup.engine),
    converter,
    throttle: swept === 'throttle' ? [{ at: 0, throttle: value }] : setup.throttle,
    grade: swept === 'grade' ? value : setup.grade,
    vehicle:
      swept === 'mass'
        ? withChange({ massKg: value })
        : swept === 'final-drive'
          ? withChange({ finalDrive: value })
          : vehicle,
  };
}

/**
 * Yields after every run, so that the caller can show how far it is and stop.
 * @throws Error when there are fewer than two runs, or the range is empty
 */
export function* sweepLaunch(setup: SweepSetup): Generator<SweepPoint> {
  const { runs, from, to, target } = setup;
  if (!(runs >= 2) || !(to > from)) throw new Error('sweepLaunch: expected two runs and a range');
  for (let k = 0; k < runs; k++) {
    const value = from + ((to - from) * k) / (runs - 1);
    const { samples, energy } = launch(changed(setup, value));
    const reached = samples.findIndex((s) => s.speed >= target);
    yield {
      value,
      seconds: reached < 0 ? null : crossing(samples, reached, target),
      heat: energy.heat,
      hottestC: Math.max(...samples.map((s) => s.fluidC)),
      speed: samples.at(-1)!.speed,
    };
  }
}

/** Time at which the speed passes the target, in a straight line between two samples. */
function crossing(
  samples: readonly { time: number; speed: number }[],
  k: number,
  target: number,
): number {
  const after = samples[k]!;
  const before = samples[k - 1];
  if (!before || after.speed === before.speed) return after.time;
  const share = (target - before.speed) / (after.speed - before.speed);
  return before.time + share * (after.time - before.time);
}
