import { useTranslation } from 'react-i18next';
import type { ReleasePoint } from '../../core/clutch';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { ClutchModel } from './useClutchModel';
import { useGapText } from '../shared/useGapText';

/** Clamp load, foot and gap over the pedal's travel, with where it stands now. */
export function ReleaseCurves({ title, model }: { title: string; model: ClutchModel }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { curve, point } = model;
  const x = (p: ReleasePoint) => numbers.toDisplay(1000 * p.pedal, 'length');
  const clamp = (p: ReleasePoint) => numbers.toDisplay(p.clamp, 'force');
  const bearing = (p: ReleasePoint) => numbers.toDisplay(p.bearingLoad, 'force');
  const gap = (p: ReleasePoint) => numbers.toDisplay(1000 * Math.max(0, p.leastGap), 'length');
  const line = (y: (p: ReleasePoint) => number) => curve.points.map((p) => ({ x: x(p), y: y(p) }));
  const titles = {
    pedal: `${t('clutch.pedalTravel')}, ${numbers.unit('length')}`,
    force: `${t('clutch.load')}, ${numbers.unit('force')}`,
    gap: `${t('clutch.gap')}, ${numbers.unit('length')}`,
  };
  return (
    <CurveSheet
      title={title}
      x={{ title: titles.pedal, min: 0, max: numbers.toDisplay(1000 * curve.floor, 'length') }}
      y={{ title: titles.force, min: 0 }}
      right={{ title: titles.gap, min: 0 }}
      curves={[
        { label: t('clutch.clamp'), ink: '--drives', points: line(clamp) },
        { label: t('clutch.bearingLoad'), ink: '--ink', look: 'dashed', points: line(bearing) },
        {
          label: t('clutch.gap'),
          ink: '--driven',
          look: 'dotted',
          right: true,
          points: line(gap),
        },
        {
          label: t('clutch.now'),
          ink: '--ink',
          look: 'marks',
          points: [{ x: x(point), y: clamp(point) }],
        },
      ]}
      spoken={t('clutch.releaseShows', {
        clamp: numbers.quantity(point.clamp, 'force'),
        gap: gapText(Math.max(0, point.leastGap)),
      })}
      figures={{
        titles: [
          titles.pedal,
          t('clutch.clamp'),
          t('clutch.bearingLoad'),
          t('clutch.foot'),
          titles.gap,
        ],
        rows: curve.points
          .filter((_p, k) => k % 12 === 0)
          .map((p) => [
            formatNumber(x(p), numbers.system === 'si' ? 0 : 2),
            formatNumber(clamp(p), 0),
            formatNumber(bearing(p), 0),
            formatNumber(numbers.toDisplay(Math.max(0, p.pedalForce), 'force'), 0),
            formatNumber(gap(p), numbers.system === 'si' ? 2 : 3),
          ]),
      }}
    />
  );
}
