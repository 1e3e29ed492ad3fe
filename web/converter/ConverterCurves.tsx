import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  kOfCoefficient,
  powerNumber,
  type Characteristic,
  type Converter,
  type ConverterPoint,
} from '../../core/converter';
import type { Figures } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf } from '../bench/curves/figures';
import { formatShare, useNumbers } from '../shared/numbers';

const STEPS = 50;

interface Props {
  converter: Converter;
  characteristic: Characteristic;
  /** Left out where nothing runs. */
  point?: ConverterPoint;
}

/** Torque ratio, efficiency and capacity over the speed ratio, with the operating point riding on them. */
export function ConverterCurves({ converter, characteristic, point }: Props) {
  const { t } = useTranslation();
  const points = useMemo(
    () => Array.from({ length: STEPS + 1 }, (_, k) => characteristic.at(k / STEPS)),
    [characteristic],
  );
  const figures = useFigures(converter, points);
  const most = Math.max(...points.map((p) => p.coefficient));
  const line = (y: (p: ConverterPoint) => number) =>
    points.map((p) => ({ x: p.speedRatio, y: y(p) }));
  const capacity = (p: ConverterPoint) => p.coefficient / most;
  const now = point
    ? [point.torqueRatio, point.efficiency, capacity(point)].map((y) => ({
        x: point.speedRatio,
        y,
      }))
    : [];
  return (
    <CurveSheet
      title={converter.name}
      x={{ title: t('converter.speedRatio'), min: 0, max: 1 }}
      y={{ title: '', min: 0 }}
      figures={figures}
      curves={[
        { label: t('converter.torqueRatio'), ink: '--drives', points: line((p) => p.torqueRatio) },
        {
          label: t('converter.efficiencyCurve'),
          ink: '--driven',
          look: 'dashed',
          points: line((p) => p.efficiency),
        },
        {
          label: t('converter.capacityCurve'),
          ink: '--idle',
          look: 'dotted',
          points: line(capacity),
        },
        ...(point
          ? [{ label: t('converter.nowPoint'), ink: '--ink', look: 'marks' as const, points: now }]
          : []),
      ]}
    />
  );
}

/** Every tenth: torque ratio, efficiency, K, and the power-law coefficient where the size is known. */
function useFigures({ diameter, model }: Converter, points: readonly ConverterPoint[]): Figures {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const density = model.kind === 'streamline' ? model.density : USUAL_DENSITY;
  return figuresOf(
    numbers,
    points,
    [
      { title: t('converter.speedRatio'), of: (p) => p.speedRatio, places: 1 },
      { title: t('converter.torqueRatio'), of: (p) => p.torqueRatio, places: 2 },
      { title: t('converter.efficiencyCurve'), text: (p) => formatShare(p.efficiency) },
      {
        title: numbers.headed(t('converter.capacityFactor'), 'capacity'),
        text: (p) =>
          p.coefficient > 0 ? numbers.value(kOfCoefficient(p.coefficient), 'capacity') : '∞',
      },
      ...(diameter === undefined
        ? []
        : [
            {
              title: t('converter.powerNumber'),
              of: (p: ConverterPoint) => 1000 * powerNumber(p.coefficient, density, diameter),
              places: 2,
            },
          ]),
    ],
    5,
  );
}

/** kg/m³ of transmission fluid when warm (memory). */
const USUAL_DENSITY = 840;
