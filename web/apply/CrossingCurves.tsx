import { useTranslation } from 'react-i18next';
import type { CrossingPair, CrossingResult, HandOverSample } from '../../core/shift';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';

interface Props {
  result: CrossingResult;
  pair: Pick<CrossingPair, 'from' | 'to'>;
}

/** Both clutches' torques over a crossing, their sum, and the engine's speed. */
export function CrossingCurves({ result, pair }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const samples = result.run.samples.filter((s) => s.time >= 0);
  const [old, next] = result.clutches;
  const time: Measured<HandOverSample> = { title: t('launch.time'), of: (s) => s.time, places: 2 };
  const torque = (title: string, of: (s: HandOverSample) => number): Measured<HandOverSample> => ({
    title,
    of,
    quantity: 'torque',
    places: 0,
  });
  const going = torque(old, (s) => s.torques[old] ?? 0);
  const coming = torque(next, (s) => s.torques[next] ?? 0);
  const sum = torque(t('crossing.sum'), (s) => going.of(s) + coming.of(s));
  const engine: Measured<HandOverSample> = {
    title: t('converter.engineSpeed'),
    of: (s) => s.inputRpm,
    quantity: 'speed',
    places: 0,
  };
  const line = (y: Measured<HandOverSample>) => lineOf(numbers, samples, time, y);
  return (
    <CurveSheet
      title={t('crossing.fromTo', { from: pair.from.gear, to: pair.to.gear })}
      x={{ title: time.title, min: 0, max: samples.at(-1)!.time }}
      y={{ title: numbers.headed(t('clutch.torque'), 'torque') }}
      right={{ title: headOf(numbers, engine) }}
      curves={[
        { label: old, ink: '--drives', points: line(going) },
        { label: next, ink: '--driven', look: 'dashed', points: line(coming) },
        { label: sum.title, ink: '--idle', look: 'thin', points: line(sum) },
        {
          label: t('converter.engine'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line(engine),
        },
      ]}
      spoken={t('crossing.shows', { old, next })}
      figures={figuresOf(numbers, samples, [time, going, coming, sum, engine], 4)}
    />
  );
}
