import type { TFunction } from 'i18next';
import type { EngagementResult, EngagementSample } from '../../core/shift';
import type { Curve, Figures } from '../bench/curves/curve';
import { formatNumber, type Numbers } from '../shared/numbers';
import type { Traced } from './traced';

type Read = (sample: EngagementSample) => number;

/** What a run says at each moment, in the units that are shown. */
const readsIn = (numbers: Numbers) => ({
  engine: (s: EngagementSample) => s.engineRpm,
  disc: (s: EngagementSample) => s.discRpm,
  speed: (s: EngagementSample) => numbers.toDisplay(s.speed, 'road-speed'),
  carries: (s: EngagementSample) => numbers.toDisplay(s.clutchNm, 'torque'),
  holds: (s: EngagementSample) => numbers.toDisplay(s.holdsNm, 'torque'),
  heat: (s: EngagementSample) => numbers.toDisplay(s.heat / 1000, 'energy'),
  facing: (s: EngagementSample) => numbers.toDisplay(s.facingC, 'temperature'),
  acceleration: (s: EngagementSample) => s.acceleration,
});

const titlesIn = (t: TFunction, numbers: Numbers) => ({
  speed: `${t('launch.roadSpeed')}, ${numbers.unit('road-speed')}`,
  torque: `${t('clutch.torque')}, ${numbers.unit('torque')}`,
  heat: `${t('clutch.heat')}, ${numbers.unit('energy')}`,
  facing: `${t('clutch.facing')}, ${numbers.unit('temperature')}`,
});

type Points = Curve['points'];
export const pointsOf = ({ samples }: EngagementResult, read: Read): Points =>
  samples.map((s) => ({ x: s.time, y: read(s) }));

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
  const of = readsIn(numbers);
  const titles = titlesIn(t, numbers);
  const line = (read: Read) => pointsOf(result, read);
  const sides: Record<Traced, () => Side> = {
    speeds: () => ({
      left: t('converter.engineSpeed'),
      right: titles.speed,
      main: of.engine,
      curves: [
        { label: t('converter.engine'), ink: '--drives', points: line(of.engine) },
        { label: t('clutchFields.disc'), ink: '--driven', look: 'dashed', points: line(of.disc) },
        {
          label: t('launch.roadSpeed'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(of.speed),
        },
      ],
    }),
    torque: () => ({
      left: titles.torque,
      main: of.carries,
      curves: [
        { label: t('clutch.carries'), ink: '--driven', points: line(of.carries) },
        { label: t('clutch.couldHold'), ink: '--drives', look: 'dashed', points: line(of.holds) },
      ],
    }),
    heat: () => ({
      left: titles.heat,
      right: titles.facing,
      main: of.heat,
      curves: [
        { label: t('clutch.heat'), ink: '--wrong', points: line(of.heat) },
        {
          label: t('clutch.facing'),
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: line(of.facing),
        },
      ],
    }),
    felt: () => ({
      left: t('clutch.acceleration'),
      right: t('clutch.jerk'),
      main: of.acceleration,
      curves: [
        { label: t('clutch.acceleration'), ink: '--driven', points: line(of.acceleration) },
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
export function figuresOf(result: EngagementResult, t: TFunction, numbers: Numbers): Figures {
  const of = readsIn(numbers);
  const titles = titlesIn(t, numbers);
  return {
    titles: [
      t('launch.time'),
      t('clutch.feet.pedal'),
      t('clutch.feet.throttle'),
      t('converter.engineSpeed'),
      t('clutchFields.disc'),
      titles.speed,
      titles.torque,
      titles.heat,
      titles.facing,
      t('clutch.acceleration'),
    ],
    rows: result.samples
      .filter((_s, k) => k % 10 === 0)
      .map((s) => [
        formatNumber(s.time, 2),
        formatNumber(100 * s.pedal, 0),
        formatNumber(100 * s.throttle, 0),
        formatNumber(s.engineRpm, 0),
        formatNumber(s.discRpm, 0),
        formatNumber(of.speed(s), 1),
        formatNumber(of.carries(s), 0),
        formatNumber(of.heat(s), 1),
        formatNumber(of.facing(s), 0),
        formatNumber(s.acceleration, 2),
      ]),
  };
}
