import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { fingerReach } from './fingerReach';
import { padPath } from './padPath';
import { useElementSize } from './useElementSize';
import './HandlePad.css';

interface Props {
  /** Name of the curve, also written in the pad's corner. */
  label: string;
  /** Where the handles stand along the bottom, rising. */
  at: readonly number[];
  xTitle: string;
  xText: (x: number) => string;
  values: readonly number[];
  /** Left out once nothing may be changed any more. */
  onValues?: ((values: number[]) => void) | undefined;
  /** Height of the pad, what an arrow key changes, and the lines across. */
  most: number;
  step: number;
  marks: readonly number[];
  markText: (value: number) => string;
  /** The line through the handles. */
  line: (x: number) => number;
  handleName: (x: number) => string;
  /** Smaller, without a title below. */
  compact?: boolean;
  /** Corner of its name, where the curve leaves room. */
  nameAt?: 'start' | 'end';
  className?: string;
  /** More to draw: the places of a number across and of a value. */
  children?: (x: (v: number) => number, y: (v: number) => number) => ReactNode;
}

/** A number beside the pad keeps clear of the handle that may stand at its line. */
const ROOMY = { left: 72, right: 24, top: 22, bottom: 52, clear: 18 } as const;
const COMPACT = { left: 60, right: 14, top: 12, bottom: 24, clear: 14 } as const;

/** A curve drawn by its handles: dragged by pointer, or moved with the arrow keys. */
export function HandlePad(props: Props) {
  const { label, at, values, onValues, most, step, line, compact = false } = props;
  const sheet = useRef<SVGSVGElement>(null);
  const { width, height } = useElementSize(sheet);
  const held = useRef<number | null>(null);
  const box = compact ? COMPACT : ROOMY;
  const [from, to] = [at[0]!, at.at(-1)!];
  const x = (v: number) => box.left + ((v - from) / (to - from)) * (width - box.left - box.right);
  const y = (v: number) =>
    box.top + (1 - Math.min(v, most * 1.05) / most) * (height - box.top - box.bottom);
  const set = (k: number, value: number) => {
    const next = Number(Math.min(most, Math.max(0, value)).toFixed(3));
    onValues?.(values.map((v, j) => (j === k ? next : v)));
  };
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current === null) return;
    const where = event.clientY - event.currentTarget.getBoundingClientRect().top;
    set(held.current, most * (1 - (where - box.top) / (height - box.top - box.bottom)));
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
  return (
    <svg
      ref={sheet}
      className={`handle-pad ${compact ? 'handle-pad-compact' : ''} ${props.className ?? ''}`}
      role="group"
      aria-label={label}
      {...fingerReach}
      onPointerMove={drag}
      onPointerUp={() => (held.current = null)}
    >
      {width > 0 && (
        <>
          <Grid
            {...props}
            x={x}
            y={y}
            bottom={height - 8}
            nameTop={box.top + (compact ? 20 : 16)}
          />
          <path className="sketch-line" d={padPath(line, [from, to], x, y)} />
          {props.children?.(x, y)}
          {onValues &&
            at.map((v, k) => (
              <circle
                key={v}
                className="sketch-handle"
                cx={x(v)}
                cy={y(values[k]!)}
                r={compact ? 8 : 12}
                role="slider"
                tabIndex={0}
                aria-label={props.handleName(v)}
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
        </>
      )}
    </svg>
  );
}

interface GridProps extends Props {
  readonly x: (v: number) => number;
  readonly y: (v: number) => number;
  /** Where the bottom's title stands. */
  readonly bottom: number;
  readonly nameTop: number;
}

/** The lines across and along with their numbers, and what they are of. */
function Grid(props: GridProps) {
  const { label, at, most, marks, compact = false, x, y, bottom, nameTop } = props;
  const { nameAt = compact ? 'end' : 'start' } = props;
  const [from, to] = [at[0]!, at.at(-1)!];
  return (
    <g className="sketch-grid" aria-hidden="true">
      {marks.map((v) => (
        <g key={v}>
          <path d={`M${x(from)} ${y(v)}H${x(to)}`} />
          <text x={x(from) - (compact ? COMPACT : ROOMY).clear} y={y(v) + 5} textAnchor="end">
            {props.markText(v)}
          </text>
        </g>
      ))}
      {at.map((v) => (
        <g key={v}>
          <path d={`M${x(v)} ${y(0)}V${y(most)}`} />
          <text x={x(v)} y={y(0) + (compact ? 23 : 26)} textAnchor="middle">
            {props.xText(v)}
          </text>
        </g>
      ))}
      {!compact && (
        <text className="sketch-axis" x={x((from + to) / 2)} y={bottom} textAnchor="middle">
          {props.xTitle}
        </text>
      )}
      <text
        className="sketch-axis"
        x={nameAt === 'end' ? x(to) - 8 : x(from) + 8}
        y={nameTop}
        textAnchor={nameAt}
      >
        {label}
      </text>
    </g>
  );
}
