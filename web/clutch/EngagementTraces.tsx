import { useTranslation } from 'react-i18next';
import type { EngagementResult, EngagementSample } from '../../core/shift';
import { CurveSheet, type Curve } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { Traced } from './traced';

interface Props {
  traced: Traced;
  result: EngagementResult;
  /** Runs kept beside it, drawn thin. */
  kept: readonly EngagementResult[];
  title: string;
}

/** A run over time, one side of it at once, with earlier runs beside it. */
export function EngagementTraces({ traced, result, kept, title }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const of = {
    engine: (s: EngagementSample) => s.engineRpm,
    disc: (s: EngagementSample) => s.discRpm,
    speed: (s: EngagementSample) => numbers.toDisplay(s.speed, 'road-speed'),
    carries: (s: EngagementSample) => numbers.toDisplay(s.clutchNm, 'torque'),
    holds: (s: EngagementSample) => numbers.toDisplay(s.holdsNm, 'torque'),
    heat: (s: EngagementSample) => numbers.toDisplay(s.heat / 1000, 'energy'),
    facing: (s: EngagementSample) => numbers.toDisplay(s.facingC, 'temperature'),
    acceleration: (s: EngagementSample) => s.acceleration,
    jerk: (s: EngagementSample, k: number) => {
      const before = result.samples[Math.max(0, k - 1)]!;
      return s.time > before.time
        ? (s.acceleration - before.acceleration) / (s.time - before.time)
        : 0;
    },
  };
  const line = (run: EngagementResult, y: (s: EngagementSample, k: number) => number) =>
    run.samples.map((s, k) => ({ x: s.time, y: y(s, k) }));
  const titles = {
    speed: `${t('launch.roadSpeed')}, ${numbers.unit('road-speed')}`,
    torque: `${t('clutch.torque')}, ${numbers.unit('torque')}`,
    heat: `${t('clutch.heat')}, ${numbers.unit('energy')}`,
    facing: `${t('clutch.facing')}, ${numbers.unit('temperature')}`,
  };
  const sides: Record<
    Traced,
    { left: string; right?: string; curves: Curve[]; main: (s: EngagementSample) => number }
  > = {
    speeds: {
      left: t('converter.engineSpeed'),
      right: titles.speed,
      main: of.engine,
      curves: [
        { label: t('converter.engine'), ink: '--drives', points: line(result, of.engine) },
        {
          label: t('clutchFields.disc'),
          ink: '--driven',
          look: 'dashed',
          points: line(result, of.disc),
        },
        {
          label: t('launch.roadSpeed'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(result, of.speed),
        },
      ],
    },
    torque: {
      left: titles.torque,
      main: of.carries,
      curves: [
        { label: t('clutch.carries'), ink: '--driven', points: line(result, of.carries) },
        {
          label: t('clutch.couldHold'),
          ink: '--drives',
          look: 'dashed',
          points: line(result, of.holds),
        },
      ],
    },
    heat: {
      left: titles.heat,
      right: titles.facing,
      main: of.heat,
      curves: [
        { label: t('clutch.heat'), ink: '--wrong', points: line(result, of.heat) },
        {
          label: t('clutch.facing'),
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: line(result, of.facing),
        },
      ],
    },
    felt: {
      left: t('clutch.acceleration'),
      right: t('clutch.jerk'),
      main: of.acceleration,
      curves: [
        { label: t('clutch.acceleration'), ink: '--driven', points: line(result, of.acceleration) },
        {
          label: t('clutch.jerk'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(result, of.jerk),
        },
      ],
    },
  };
  const { left, right, curves, main } = sides[traced];
  const last = result.samples.at(-1)!;
  return (
    <CurveSheet
      title={title}
      x={{ title: t('launch.time'), min: 0, max: last.time }}
      y={{ title: left }}
      {...(right ? { right: { title: right } } : {})}
      curves={[
        ...curves,
        ...kept.map((run, k): Curve => ({
          label: t('clutch.earlier', { number: k + 1 }),
          ink: '--idle',
          look: 'thin',
          points: line(run, main),
        })),
      ]}
      spoken={t('clutch.runShows', {
        events: result.events
          .map((e) =>
            t('clutch.eventAt', {
              what: t(`clutch.events.${e.kind}`),
              time: formatNumber(e.time, 2),
            }),
          )
          .join(', '),
      })}
      figures={{
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
      }}
    />
  );
}
