import { useTranslation } from 'react-i18next';
import type { LaunchResult, LaunchSample } from '../../core/vehicle';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { eventList } from './eventList';

export type Trace = 'speeds' | 'pull' | 'heat';

interface Props {
  trace: Trace;
  result: LaunchResult;
  title: string;
}

type Drawn = readonly [of: Measured<LaunchSample>, ink: string, look?: Curve['look']];

/** A launch over time, one side of it at once; its figures hold all. */
export function LaunchTraces({ trace, result, title }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { samples } = result;
  const time = {
    title: t('launch.time'),
    of: (s) => s.time,
    places: 1,
  } as const satisfies Measured<LaunchSample>;
  const of = {
    engine: { title: t('converter.engine'), of: (s) => s.engineRpm, quantity: 'speed', places: 0 },
    turbine: {
      title: t('converter.turbine'),
      of: (s) => s.turbineRpm,
      quantity: 'speed',
      places: 0,
    },
    speed: { title: t('launch.roadSpeed'), of: (s) => s.speed, quantity: 'road-speed', places: 1 },
    wheel: { title: t('launch.wheelTorque'), of: (s) => s.wheelNm, quantity: 'torque', places: 0 },
    power: {
      title: t('launch.enginePower'),
      of: (s) => s.engineW / 1000,
      quantity: 'power',
      places: 1,
    },
    heat: { title: t('launch.heatSoFar'), of: (s) => s.heat / 1000, quantity: 'energy', places: 1 },
    fluid: { title: t('launch.fluid'), of: (s) => s.fluidC, quantity: 'temperature', places: 1 },
  } as const satisfies Record<string, Measured<LaunchSample>>;
  const sides: Record<Trace, { left: readonly Drawn[]; right: Drawn }> = {
    speeds: {
      left: [
        [of.engine, '--drives'],
        [of.turbine, '--driven', 'dashed'],
      ],
      right: [of.speed, '--ink', 'dotted'],
    },
    pull: { left: [[of.wheel, '--driven']], right: [of.power, '--drives', 'dashed'] },
    heat: { left: [[of.heat, '--wrong']], right: [of.fluid, '--ink', 'dashed'] },
  };
  const { left, right } = sides[trace];
  const curve = ([what, ink, look = 'line']: Drawn): Curve => ({
    label: what.title,
    ink,
    look,
    points: lineOf(numbers, samples, time, what),
  });
  const last = samples.at(-1)!;
  return (
    <CurveSheet
      title={title}
      x={{ title: time.title, min: 0, max: last.time }}
      y={{
        title:
          trace === 'speeds'
            ? numbers.headed(t('converter.engineSpeed'), 'speed')
            : headOf(numbers, left[0]![0]),
        min: 0,
      }}
      right={{ title: headOf(numbers, right[0]), ...(trace === 'heat' ? {} : { min: 0 }) }}
      curves={[...left.map(curve), { ...curve(right), right: true }]}
      spoken={t('launch.shows', {
        seconds: formatNumber(last.time, 0),
        engine: formatNumber(last.engineRpm, 0),
        speed: numbers.quantity(last.speed, 'road-speed'),
        gear: last.gear,
        events: eventList(t, result.events),
      })}
      figures={figuresOf(
        numbers,
        samples,
        [time, { title: t('launch.gearTitle'), text: (s) => String(s.gear) }, ...Object.values(of)],
        10,
      )}
    />
  );
}
