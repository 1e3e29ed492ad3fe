import { useTranslation } from 'react-i18next';
import type { LaunchResult, LaunchSample } from '../../core/vehicle';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import { eventList } from './eventList';

export type Trace = 'speeds' | 'pull' | 'heat';

interface Props {
  trace: Trace;
  result: LaunchResult;
  title: string;
}

/** A launch over time, one side of it at once; its figures hold all. */
export function LaunchTraces({ trace, result, title }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { samples } = result;
  const line = (y: (s: LaunchSample) => number) => samples.map((s) => ({ x: s.time, y: y(s) }));
  const speed = (s: LaunchSample) => numbers.toDisplay(s.speed, 'road-speed');
  const wheel = (s: LaunchSample) => numbers.toDisplay(s.wheelNm, 'torque');
  const power = (s: LaunchSample) => numbers.toDisplay(s.engineW / 1000, 'power');
  const fluid = (s: LaunchSample) => numbers.toDisplay(s.fluidC, 'temperature');
  const titles = {
    engine: t('converter.engineSpeed'),
    speed: `${t('launch.roadSpeed')}, ${numbers.unit('road-speed')}`,
    wheel: `${t('launch.wheelTorque')}, ${numbers.unit('torque')}`,
    power: `${t('launch.enginePower')}, ${numbers.unit('power')}`,
    heat: t('launch.heatSoFar'),
    fluid: `${t('launch.fluid')}, ${numbers.unit('temperature')}`,
  };
  const of: Record<Trace, { left: string; right: string; curves: Curve[] }> = {
    speeds: {
      left: titles.engine,
      right: titles.speed,
      curves: [
        { label: t('converter.engine'), ink: '--drives', points: line((s) => s.engineRpm) },
        {
          label: t('converter.turbine'),
          ink: '--driven',
          look: 'dashed',
          points: line((s) => s.turbineRpm),
        },
        {
          label: t('launch.roadSpeed'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(speed),
        },
      ],
    },
    pull: {
      left: titles.wheel,
      right: titles.power,
      curves: [
        { label: t('launch.wheelTorque'), ink: '--driven', points: line(wheel) },
        {
          label: t('launch.enginePower'),
          ink: '--drives',
          look: 'dashed',
          right: true,
          points: line(power),
        },
      ],
    },
    heat: {
      left: titles.heat,
      right: titles.fluid,
      curves: [
        { label: t('launch.heatSoFar'), ink: '--wrong', points: line((s) => s.heat / 1000) },
        {
          label: t('launch.fluid'),
          ink: '--ink',
          look: 'dashed',
          right: true,
          points: line(fluid),
        },
      ],
    },
  };
  const { left, right, curves } = of[trace];
  const last = samples.at(-1)!;
  return (
    <CurveSheet
      title={title}
      x={{ title: t('launch.time'), min: 0, max: last.time }}
      y={{ title: left, min: 0 }}
      right={{ title: right, ...(trace === 'heat' ? {} : { min: 0 }) }}
      curves={curves}
      spoken={t('launch.shows', {
        seconds: formatNumber(last.time, 0),
        engine: formatNumber(last.engineRpm, 0),
        speed: numbers.quantity(last.speed, 'road-speed'),
        gear: last.gear,
        events: eventList(t, result.events),
      })}
      figures={{
        titles: [
          t('launch.time'),
          t('launch.gearTitle'),
          titles.engine,
          t('converter.turbine'),
          titles.speed,
          titles.wheel,
          titles.heat,
          titles.fluid,
        ],
        rows: samples
          .filter((_s, k) => k % 10 === 0)
          .map((s) => [
            formatNumber(s.time, 1),
            String(s.gear),
            formatNumber(s.engineRpm, 0),
            formatNumber(s.turbineRpm, 0),
            formatNumber(speed(s), 1),
            formatNumber(wheel(s), 0),
            formatNumber(s.heat / 1000, 1),
            formatNumber(fluid(s), 1),
          ]),
      }}
    />
  );
}
