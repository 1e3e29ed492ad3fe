import type { TFunction } from 'i18next';
import type { EngagementResult, EngagementSample } from '../../core/shift';
import type { Curve, Figures } from '../bench/curves/curve';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import type { Numbers } from '../shared/numbers';
import type { Traced } from './traced';

type Read = Measured<EngagementSample>;

/** What a run says at each moment. */
const readsIn = (t: TFunction) =>
  ({
    engine: {
      title: t('converter.engine'),
      of: (s) => s.engineRpm,
      quantity: 'speed',
      places: 0,
    },
    disc: {
      title: t('clutchFields.disc'),
      of: (s) => s.discRpm,
      quantity: 'speed',
      places: 0,
    },
    speed: {
      title: t('launch.roadSpeed'),
      of: (s) => s.speed,
      quantity: 'road-speed',
      places: 1,
    },
    carries: {
      title: t('clutch.carries'),
      of: (s) => s.clutchNm,
      quantity: 'torque',
      places: 0,
    },
    holds: {
      title: t('clutch.couldHold'),
      of: (s) => s.holdsNm,
      quantity: 'torque',
      places: 0,
    },
    heat: {
      title: t('clutch.heat'),
      of: (s) => s.heat / 1000,
      quantity: 'energy',
      places: 1,
    },
    facing: {
      title: t('clutch.facing'),
      of: (s) => s.facingC,
      quantity: 'temperature',
      places: 0,
    },
    acceleration: { title: t('clutch.acceleration'), of: (s) => s.acceleration, places: 2 },
  }) as const satisfies Record<string, Read>;

const timeIn = (t: TFunction): Read => ({ title: t('launch.time'), of: (s) => s.time, places: 2 });

type Points = Curve['points'];
export const pointsOf = (
  { samples }: EngagementResult,
  read: Read,
  t: TFunction,
  numbers: Numbers,
): Points => lineOf(numbers, samples, timeIn(t), read);

/** How the acceleration changes from each moment to the next, m/s³. */
const jerkOf = ({ samples }: EngagementResult): Points =>
  samples.map((s, k) => {
    const before = samples[Math.max(0, k - 1)]!;
    const apart = s.time - before.time;
    return { x: s.time, y: apart > 0 ? (s.acceleration - before.acceleration) / apart : 0 };
  });

/** One side of a run: its axes and its curves, and what is drawn of the runs before. */
export interface Side {
  readonly left: string;
  readonly right?: string;
  readonly curves: readonly Curve[];
  readonly main: Read;
}

export function sideOf(
  traced: Traced,
  result: EngagementResult,
  t: TFunction,
  numbers: Numbers,
): Side {
  const of = readsIn(t);
  const line = (read: Read) => pointsOf(result, read, t, numbers);
  const sides: Record<Traced, () => Side> = {
    speeds: () => ({
      left: numbers.headed(t('converter.engineSpeed'), 'speed'),
      right: headOf(numbers, of.speed),
      main: of.engine,
      curves: [
        { label: of.engine.title, ink: '--drives', points: line(of.engine) },
        { label: of.disc.title, ink: '--driven', look: 'dashed', points: line(of.disc) },
        {
          label: of.speed.title,
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(of.speed),
        },
      ],
    }),
    torque: () => ({
      left: numbers.headed(t('clutch.torque'), 'torque'),
      main: of.carries,
      curves: [
        { label: of.carries.title, ink: '--driven', points: line(of.carries) },
        { label: of.holds.title, ink: '--drives', look: 'dashed', points: line(of.holds) },
      ],
    }),
    heat: () => ({
      left: headOf(numbers, of.heat),
      right: headOf(numbers, of.facing),
      main: of.heat,
      curves: [
        { label: of.heat.title, ink: '--wrong', points: line(of.heat) },
        {
          label: of.facing.title,
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: line(of.facing),
        },
      ],
    }),
    felt: () => ({
      left: of.acceleration.title,
      right: t('clutch.jerk'),
      main: of.acceleration,
      curves: [
        { label: of.acceleration.title, ink: '--driven', points: line(of.acceleration) },
        {
          label: t('clutch.jerk'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: jerkOf(result),
        },
      ],
    }),
  };
  return sides[traced]();
}

/** Every tenth moment in numbers. */
export const engagementFigures = (
  result: EngagementResult,
  t: TFunction,
  numbers: Numbers,
): Figures => {
  const jerks = jerkOf(result);
  return figuresOf(
    numbers,
    result.samples.map((s, k) => ({ ...s, jerk: jerks[k]!.y })),
    [
      timeIn(t),
      { title: `${t('clutch.feet.pedal')}, %`, of: (s) => 100 * s.pedal, places: 0 },
      { title: `${t('clutch.feet.throttle')}, %`, of: (s) => 100 * s.throttle, places: 0 },
      ...Object.values(readsIn(t)),
      { title: t('clutch.jerk'), of: (s) => s.jerk, places: 0 },
    ],
    10,
  );
};
