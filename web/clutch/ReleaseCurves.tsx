import { useTranslation } from 'react-i18next';
import type { ReleasePoint } from '../../core/clutch';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { CALIPER, useNumbers, type Places } from '../shared/numbers';
import type { ClutchModel } from './useClutchModel';
import { useGapText } from '../shared/useGapText';

type Read = (point: ReleasePoint) => number;

/** Clamp load, foot and gap over the pedal's travel, with where it stands now. */
export function ReleaseCurves({ title, model }: { title: string; model: ClutchModel }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { curve, point } = model;
  const force = (title: string, of: Read): Measured<ReleasePoint> => ({
    title,
    of,
    quantity: 'force',
    places: 0,
  });
  const length = (title: string, of: Read, places: Places): Measured<ReleasePoint> => ({
    title,
    of: (p) => 1000 * of(p),
    quantity: 'length',
    places,
  });
  const pedal = length(t('clutch.pedalTravel'), (p) => p.pedal, { si: 0, 'inch-pound': 2 });
  const clamp = force(t('clutch.clamp'), (p) => p.clamp);
  const bearing = force(t('clutch.bearingLoad'), (p) => p.bearingLoad);
  const foot = force(t('clutch.foot'), (p) => Math.max(0, p.pedalForce));
  const gap = length(t('clutch.gap'), (p) => Math.max(0, p.leastGap), CALIPER);
  const line = (y: Measured<ReleasePoint>) => lineOf(numbers, curve.points, pedal, y);
  return (
    <CurveSheet
      title={title}
      x={{
        title: headOf(numbers, pedal),
        min: 0,
        max: numbers.toDisplay(1000 * curve.floor, 'length'),
      }}
      y={{ title: numbers.headed(t('clutch.load'), 'force'), min: 0 }}
      right={{ title: headOf(numbers, gap), min: 0 }}
      curves={[
        { label: clamp.title, ink: '--drives', points: line(clamp) },
        { label: bearing.title, ink: '--ink', look: 'dashed', points: line(bearing) },
        {
          label: gap.title,
          ink: '--driven',
          look: 'dotted',
          right: true,
          points: line(gap),
        },
        {
          label: t('clutch.now'),
          ink: '--ink',
          look: 'marks',
          points: lineOf(numbers, [point], pedal, clamp),
        },
      ]}
      spoken={t('clutch.releaseShows', {
        clamp: numbers.quantity(point.clamp, 'force'),
        gap: gapText(Math.max(0, point.leastGap)),
      })}
      figures={figuresOf(numbers, curve.points, [pedal, clamp, bearing, foot, gap], 12)}
    />
  );
}
