import type { Chart } from 'chart.js';
import { useEffect, useRef } from 'react';
import { Line } from 'react-chartjs-2';
import { figuresCsv } from '../../../core/formats';
import type { Curve, CurveTools } from './curve';
import { inkOf, lineOptions, registerLines, type Axis } from './lineOptions';
import { pngOf } from './pngOf';

registerLines();

interface Props {
  x: Axis;
  y: Axis;
  right?: Axis;
  curves: readonly Curve[];
  onTools: (tools: CurveTools) => void;
}

/** The chart of a curve sheet; the table beside it says the same in numbers. */
export function CurveCanvas({ x, y, right, curves, onTools }: Props) {
  const chart = useRef<Chart<'line'>>(null);
  useEffect(() => {
    const drawn = chart.current;
    if (drawn)
      onTools({
        png: (title) => pngOf(drawn, title),
        csv: ({ titles, rows }) => figuresCsv(titles, rows),
      });
  }, [onTools]);
  return (
    <Line
      ref={chart}
      aria-hidden="true"
      data={{ datasets: curves.map(datasetOf) }}
      options={lineOptions(x, y, right)}
    />
  );
}

const DASHES = { dashed: [9, 5], dotted: [2, 4] } as const;

function datasetOf({ label, ink, points, look = 'line', right = false }: Curve) {
  const colour = inkOf(ink);
  return {
    label,
    data: [...points],
    borderColor: colour,
    backgroundColor: look === 'marks' ? inkOf('--sheet') : colour,
    ...(look === 'dashed' || look === 'dotted' ? { borderDash: [...DASHES[look]] } : {}),
    ...(look === 'thin' ? { borderWidth: 1.6 } : {}),
    // A mark on the edge of the sheet is drawn whole.
    ...(look === 'marks' ? { pointRadius: 7, pointBorderWidth: 2, showLine: false, clip: 9 } : {}),
    ...(right ? { yAxisID: 'right' } : {}),
  };
}
