import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { useTranslation } from 'react-i18next';
import { kOfCoefficient, type Characteristic, type ConverterPoint } from '../../core/converter';
import { useAppSelector } from '../app/hooks';
import { formatNumber } from '../shared/numbers';
import { inkOf, lineOptions, registerLines } from './lineOptions';

registerLines();

const STEPS = 50;

interface Props {
  characteristic: Characteristic;
  point: ConverterPoint;
}

/** Torque ratio, efficiency and capacity over the speed ratio, with the operating point riding on them. */
export function ConverterCurves({ characteristic, point }: Props) {
  const { t } = useTranslation();
  const paper = useAppSelector((state) => state.settings.paper);
  const points = useMemo(
    () => Array.from({ length: STEPS + 1 }, (_, k) => characteristic.at(k / STEPS)),
    [characteristic],
  );
  const most = Math.max(...points.map((p) => p.coefficient));
  const line = (y: (p: ConverterPoint) => number) =>
    points.map((p) => ({ x: p.speedRatio, y: y(p) }));
  const capacity = (p: ConverterPoint) => p.coefficient / most;
  const now = (y: number) => [{ x: point.speedRatio, y }];
  const mark = { pointRadius: 7, pointBorderWidth: 2, showLine: false };
  return (
    <>
      <div className="curve-box" aria-hidden="true">
        <Line
          key={paper}
          data={{
            datasets: [
              {
                label: t('converter.torqueRatio'),
                data: line((p) => p.torqueRatio),
                borderColor: inkOf('--drives'),
                backgroundColor: inkOf('--drives'),
              },
              {
                label: t('converter.efficiencyCurve'),
                data: line((p) => p.efficiency),
                borderColor: inkOf('--driven'),
                backgroundColor: inkOf('--driven'),
                borderDash: [9, 5],
              },
              {
                label: t('converter.capacityCurve'),
                data: line(capacity),
                borderColor: inkOf('--idle'),
                backgroundColor: inkOf('--idle'),
                borderDash: [2, 4],
              },
              {
                label: t('converter.nowPoint'),
                data: [
                  ...now(point.torqueRatio),
                  ...now(point.efficiency),
                  ...now(capacity(point)),
                ],
                borderColor: inkOf('--ink'),
                backgroundColor: inkOf('--sheet'),
                ...mark,
              },
            ],
          }}
          options={lineOptions(
            { title: t('converter.speedRatio'), min: 0, max: 1 },
            { title: '', min: 0 },
          )}
        />
      </div>
      <details className="curve-table">
        <summary>{t('converter.figures')}</summary>
        <table className="plain">
          <thead>
            <tr>
              {['speedRatio', 'torqueRatio', 'efficiencyCurve', 'capacityFactor'].map((key) => (
                <th key={key} scope="col" className="num">
                  {t(`converter.${key}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {points
              .filter((_p, k) => k % 5 === 0)
              .map((p) => (
                <tr key={p.speedRatio}>
                  <td className="num">{formatNumber(p.speedRatio, 1)}</td>
                  <td className="num">{formatNumber(p.torqueRatio, 2)}</td>
                  <td className="num">{formatNumber(100 * p.efficiency, 0)} %</td>
                  <td className="num">
                    {p.coefficient > 0 ? formatNumber(kOfCoefficient(p.coefficient), 0) : '∞'}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </>
  );
}
