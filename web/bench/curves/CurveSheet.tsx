import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useAppSelector } from '../../state/hooks';
import { download, fileName } from '../../shared/download';
import { DownloadOutlined } from '../../shared/icons';
import { lazyPart } from '../../shared/lazyPart';
import type { Curve, CurveTools, Figures } from './curve';
import type { Axis } from './lineOptions';
import './CurveSheet.css';

/** What is asked stands there before what draws a curve is fetched. */
const CurveCanvas = lazyPart(async () => (await import('./CurveCanvas')).CurveCanvas);

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
  const [tools, setTools] = useState<CurveTools | null>(null);
  const savePng = async ({ png }: CurveTools) =>
    download(fileName(title, 'png'), await png(title), 'image/png');
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
          disabled={shown === 'figures' || !tools}
          onClick={() => tools && void savePng(tools)}
        >
          PNG
        </Button>
        <Button
          size="small"
          icon={<DownloadOutlined />}
          disabled={!tools}
          onClick={() => tools && download(fileName(title, 'csv'), tools.csv(figures), 'text/csv')}
        >
          CSV
        </Button>
      </div>
      {shown === 'curves' ? (
        <div className="curve-box">
          {spoken && <p className="visually-hidden">{spoken}</p>}
          <CurveCanvas
            key={paper}
            x={x}
            y={y}
            {...(right ? { right } : {})}
            curves={curves}
            onTools={setTools}
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
