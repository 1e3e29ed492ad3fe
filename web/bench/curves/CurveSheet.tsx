import { Button, Segmented } from 'antd';
import type { Chart } from 'chart.js';
import { useRef, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { useTranslation } from 'react-i18next';
import { figuresCsv } from '../../../core/formats';
import { useAppSelector } from '../../state/hooks';
import { download, fileName } from '../../shared/download';
import { DownloadOutlined } from '../../shared/icons';
import { inkOf, lineOptions, registerLines, type Axis } from './lineOptions';
import { pngOf } from './pngOf';
import './CurveSheet.css';

registerLines();

export interface Curve {
  readonly label: string;
  /** Name of the colour on the paper, such as `--drives`. */
  readonly ink: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly look?: 'line' | 'dashed' | 'dotted' | 'thin' | 'marks';
  /** Belongs to the axis at the right. */
  readonly right?: boolean;
}

export interface Figures {
  readonly titles: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

interface Props {
  /** What the curves are of: the name of the files that are handed out. */
  title: string;
  x: Axis;
  y: Axis;
  right?: Axis;
  curves: readonly Curve[];
  /** The same in numbers. */
  figures: Figures;
  /** What the curves show now, in a sentence. */
  spoken?: string;
}

/** Curves with the table of the same figures, and both to take away. */
export function CurveSheet({ title, x, y, right, curves, figures, spoken }: Props) {
  const { t } = useTranslation();
  const paper = useAppSelector((state) => state.settings.paper);
  const [shown, setShown] = useState<'curves' | 'figures'>('curves');
  const chart = useRef<Chart<'line'>>(null);
  const savePng = () => {
    if (chart.current)
      void pngOf(chart.current, title).then((bytes) =>
        download(fileName(title, 'png'), bytes, 'image/png'),
      );
  };
  return (
    <div className="curve-sheet">
      <div className="curve-tools">
        <Segmented
          size="small"
          aria-label={t('curves.as')}
          value={shown}
          onChange={setShown}
          options={(['curves', 'figures'] as const).map((v) => ({
            value: v,
            label: t(`curves.${v}`),
          }))}
        />
        <Button
          size="small"
          icon={<DownloadOutlined />}
          disabled={shown === 'figures'}
          onClick={savePng}
        >
          PNG
        </Button>
        <Button
          size="small"
          icon={<DownloadOutlined />}
          onClick={() =>
            download(fileName(title, 'csv'), figuresCsv(figures.titles, figures.rows), 'text/csv')
          }
        >
          CSV
        </Button>
      </div>
      {shown === 'curves' ? (
        <div className="curve-box">
          {spoken && <p className="visually-hidden">{spoken}</p>}
          <Line
            ref={chart}
            aria-hidden="true"
            key={paper}
            data={{ datasets: curves.map(datasetOf) }}
            options={lineOptions(x, y, right)}
          />
        </div>
      ) : (
        <FigureTable title={title} figures={figures} />
      )}
    </div>
  );
}

function FigureTable({ title, figures }: { title: string; figures: Figures }) {
  return (
    <div className="curve-figures" tabIndex={0} role="region" aria-label={title}>
      <table className="plain">
        <thead>
          <tr>
            {figures.titles.map((name) => (
              <th key={name} scope="col" className="num">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {figures.rows.map((row, k) => (
            <tr key={k}>
              {row.map((cell, j) => (
                <td key={j} className="num">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
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
