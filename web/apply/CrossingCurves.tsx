import { useTranslation } from 'react-i18next';
import type { CrossingPair, CrossingResult, HandOverSample } from '../../core/shift';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';

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
  const nm = (id: string) => (s: HandOverSample) => numbers.toDisplay(s.torques[id] ?? 0, 'torque');
  const sum = (s: HandOverSample) => nm(old)(s) + nm(next)(s);
  const line = (y: (s: HandOverSample) => number) => samples.map((s) => ({ x: s.time, y: y(s) }));
  const torque = `${t('clutch.torque')}, ${numbers.unit('torque')}`;
  return (
    <CurveSheet
      title={t('crossing.fromTo', { from: pair.from.gear, to: pair.to.gear })}
      x={{ title: t('launch.time'), min: 0, max: samples.at(-1)!.time }}
      y={{ title: torque }}
      right={{ title: t('converter.engineSpeed') }}
      curves={[
        { label: old, ink: '--drives', points: line(nm(old)) },
        { label: next, ink: '--driven', look: 'dashed', points: line(nm(next)) },
        { label: t('crossing.sum'), ink: '--idle', look: 'thin', points: line(sum) },
        {
          label: t('converter.engine'),
          ink: '--ink',
          look: 'dotted',
          right: true,
          points: line((s) => s.inputRpm),
        },
      ]}
      spoken={t('crossing.shows', { old, next })}
      figures={{
        titles: [t('launch.time'), old, next, t('crossing.sum'), t('converter.engineSpeed')],
        rows: samples
          .filter((_s, k) => k % 4 === 0)
          .map((s) => [
            formatNumber(s.time, 2),
            formatNumber(nm(old)(s), 0),
            formatNumber(nm(next)(s), 0),
            formatNumber(sum(s), 0),
            formatNumber(s.inputRpm, 0),
          ]),
      }}
    />
  );
}
