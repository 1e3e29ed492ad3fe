import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { SKETCH_AT, type Sketched } from '../../../core/lesson';
import { monotoneCurve } from '../../../core/numerics';
import { formatNumber } from '../../shared/numbers';
import { useElementSize } from '../../shared/useElementSize';
import { PAPER } from './sketchPaper';
import './SketchPad.css';

interface Props {
  curve: Sketched;
  values: readonly number[];
  /** Left out once the sketch is committed. */
  onValues: ((values: number[]) => void) | undefined;
  /** The true curve, drawn over the sketch. */
  truth: ((speedRatio: number) => number) | null;
}

const BOX = { left: 64, right: 24, top: 22, bottom: 52 } as const;
const FINE = Array.from({ length: 101 }, (_, k) => k / 100);

/** A curve drawn by its handles: dragged by pointer, or moved with the arrow keys. */
export function SketchPad({ curve, values, onValues, truth }: Props) {
  const { t } = useTranslation();
  const sheet = useRef<SVGSVGElement>(null);
  const { width, height } = useElementSize(sheet);
  const held = useRef<number | null>(null);
  const { most, step, marks } = PAPER[curve];
  const x = (sr: number) => BOX.left + sr * (width - BOX.left - BOX.right);
  const y = (v: number) =>
    BOX.top + (1 - Math.min(v, most * 1.05) / most) * (height - BOX.top - BOX.bottom);
  const line = (f: (sr: number) => number) =>
    `M${FINE.map((sr) => `${x(sr).toFixed(1)} ${y(f(sr)).toFixed(1)}`).join('L')}`;
  const set = (k: number, value: number) => {
    const next = Number(Math.min(most, Math.max(0, value)).toFixed(3));
    onValues?.(values.map((v, j) => (j === k ? next : v)));
  };
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current === null) return;
    const at = event.clientY - event.currentTarget.getBoundingClientRect().top;
    set(held.current, most * (1 - (at - BOX.top) / (height - BOX.top - BOX.bottom)));
  };
  const keys = (k: number) => (event: KeyboardEvent) => {
    const by = { ArrowUp: step, ArrowDown: -step, PageUp: 5 * step, PageDown: -5 * step }[
      event.key
    ];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    set(k, values[k]! + by);
  };
  const title = t(`sketch.curves.${curve}`);
  return (
    <svg
      ref={sheet}
      className="sketch-pad"
      role="group"
      aria-label={title}
      onPointerMove={drag}
      onPointerUp={() => (held.current = null)}
    >
      <g className="sketch-grid" aria-hidden="true">
        {marks.map((v) => (
          <g key={v}>
            <path d={`M${x(0)} ${y(v)}H${x(1)}`} />
            <text x={x(0) - 10} y={y(v) + 5} textAnchor="end">
              {curve === 'torque-ratio' ? formatNumber(v, 1) : `${formatNumber(100 * v, 0)} %`}
            </text>
          </g>
        ))}
        {SKETCH_AT.map((sr) => (
          <g key={sr}>
            <path d={`M${x(sr)} ${y(0)}V${y(most)}`} />
            <text x={x(sr)} y={y(0) + 20} textAnchor="middle">
              {formatNumber(sr, 1)}
            </text>
          </g>
        ))}
        <text className="sketch-axis" x={x(0.5)} y={height - 8} textAnchor="middle">
          {t('converter.speedRatio')}
        </text>
        <text className="sketch-axis" x={x(0) + 8} y={BOX.top + 16}>
          {title}
        </text>
      </g>
      <path className="sketch-line" d={line(monotoneCurve(SKETCH_AT, values).at)} />
      {truth && <path className="sketch-truth" d={line(truth)} />}
      {truth && (
        <g className="sketch-legend" aria-hidden="true">
          <path className="sketch-truth" d={`M${x(0.62)} ${BOX.top + 12}h34`} />
          <text x={x(0.62) + 42} y={BOX.top + 17}>
            {t('reveal.model')}
          </text>
          <path className="sketch-line" d={`M${x(0.62)} ${BOX.top + 34}h34`} />
          <text x={x(0.62) + 42} y={BOX.top + 39}>
            {t('reveal.yours')}
          </text>
        </g>
      )}
      {onValues &&
        SKETCH_AT.map((sr, k) => (
          <circle
            key={sr}
            className="sketch-handle"
            cx={x(sr)}
            cy={y(values[k]!)}
            r={12}
            role="slider"
            tabIndex={0}
            aria-label={t('sketch.handle', { curve: title, ratio: formatNumber(sr, 1) })}
            aria-valuenow={values[k]}
            aria-valuemin={0}
            aria-valuemax={most}
            aria-orientation="vertical"
            onKeyDown={keys(k)}
            onPointerDown={(event) => {
              held.current = k;
              event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
            }}
          />
        ))}
    </svg>
  );
}
