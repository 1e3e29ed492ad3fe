import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { cascade, type BladeRow, type Cascade } from '../../core/drawing';
import type { Turning } from '../bench/useTurning';
import { leastLetters } from '../shared/leastLetters';
import { formatNumber } from '../shared/numbers';
import { useElementSize } from '../shared/useElementSize';
import { speedOf, wheelRole, wheelsInWords, WHEELS, type DrawingProps } from './wheelRoles';
import './CascadeView.css';

/** Blades that are drawn; fewer and larger on a sheet narrower than so many px. */
const BLADES = { wide: 9, narrow: 5 } as const;
const NARROW = 420;
const PITCH = 54;
const LEFT = 120;
/** Beside the rows: the velocity triangles. */
const RIGHT = 154;
/** Room for the buttons under the drawing. */
const FOOT = 30;

/** Pump, turbine and stator unrolled: blades, how fast each row moves, and the fluid's way through them. */
export function CascadeView({ converter, point, mode, turning }: DrawingProps) {
  const { t } = useTranslation();
  const sheet = useRef<SVGSVGElement>(null);
  const size = useElementSize(sheet);
  if (converter.model.kind !== 'streamline') return <MemberStrip point={point} mode={mode} />;
  const drawing = cascade(converter.model, point);
  const roleOf = (row: BladeRow) => wheelRole(row.wheel, point, mode);
  const spinOf = (row: BladeRow) => speedOf(row.wheel, point, mode) ?? 0;
  const flowing = mode === 'fluid';
  const rowWidth = PITCH * (size.width > NARROW || size.width === 0 ? BLADES.wide : BLADES.narrow);
  const middle = LEFT + rowWidth / 2;
  const box = { width: LEFT + rowWidth + RIGHT, height: drawing.height + FOOT };
  return (
    <svg
      ref={sheet}
      className="cascade"
      viewBox={`0 0 ${box.width} ${box.height}`}
      style={leastLetters(size, box)}
      role="img"
      aria-label={`${t('converter.cascadeShows')} ${wheelsInWords(t, point, mode)}`}
    >
      <defs>
        <clipPath id="cascade-rows">
          <rect x={LEFT} y={0} width={rowWidth} height={drawing.height} />
        </clipPath>
        <marker
          id="flow-head"
          viewBox="0 0 10 10"
          refX="6"
          refY="5"
          markerWidth="5"
          markerHeight="5"
          orient="auto"
        >
          <path className="cascade-head" d="M0 0L10 5L0 10z" />
        </marker>
        <marker
          id="speed-head"
          viewBox="0 0 10 10"
          refX="6"
          refY="5"
          markerWidth="6"
          markerHeight="6"
          orient="auto"
        >
          <path className="cascade-speed-head" d="M0 0L10 5L0 10z" />
        </marker>
      </defs>
      {drawing.rows.map((row) => (
        <Row
          key={row.wheel}
          row={row}
          width={rowWidth}
          role={roleOf(row)}
          speed={spinOf(row)}
          turning={turning}
        />
      ))}
      {flowing && <Stream stream={drawing.stream} middle={middle} />}
      {flowing && drawing.stream.length > 0 && <TriangleLegend x={LEFT + rowWidth + 20} />}
      {flowing &&
        drawing.triangles.map((tri) => (
          <Triangle
            key={tri.wheel}
            triangle={tri}
            x={LEFT + rowWidth + TRIANGLE_IN}
            shown={drawing.stream.length > 0}
          />
        ))}
      {(!flowing || drawing.stream.length === 0) && (
        <text className="cascade-note" x={middle} y={drawing.height - 8} textAnchor="middle">
          {t(`converter.notes.${mode}`)}
        </text>
      )}
    </svg>
  );
}

interface RowProps {
  row: BladeRow;
  width: number;
  role: string;
  speed: number;
  turning: Turning;
}

/** Drawing units that a row moves for a turn of 1 rad. */
const TRAVEL = 26;

function Row({ row, width, role, speed, turning }: RowProps) {
  const { t } = useTranslation();
  const blades = useRef<SVGGElement>(null);
  const { subscribe } = turning;
  // Each frame only moves the row by less than a blade's pitch.
  useEffect(
    () =>
      subscribe((turn) => {
        const moved = (speed * turn * TRAVEL) % PITCH;
        blades.current?.setAttribute('transform', `translate(${moved.toFixed(1)} 0)`);
      }),
    [subscribe, speed],
  );
  const [a, b, c] = row.blade;
  const blade = `M${a.x} ${a.y}Q${b.x} ${b.y} ${c.x} ${c.y}`;
  return (
    <g className={`cascade-row member-${role}`}>
      <rect x={LEFT} y={row.top} width={width} height={row.bottom - row.top} />
      <g clipPath="url(#cascade-rows)">
        <g ref={blades}>
          {Array.from({ length: width / PITCH + 6 }, (_, k) => (
            <path
              key={k}
              className="cascade-blade"
              d={blade}
              transform={`translate(${LEFT + (k - 2.5) * PITCH} 0)`}
            />
          ))}
        </g>
      </g>
      <text
        className={`cascade-name text-${role}`}
        x={LEFT - 12}
        y={(row.top + row.bottom) / 2 - 4}
        textAnchor="end"
      >
        {t(`converter.wheels.${row.wheel}`)}
      </text>
      <text
        className="cascade-detail"
        x={LEFT - 12}
        y={(row.top + row.bottom) / 2 + 16}
        textAnchor="end"
      >
        {t(`memberRoles.${role}`)} × {formatNumber(speed, 2)}
      </text>
      {role === 'held' ? (
        <path
          className="cascade-ground"
          d={`M${LEFT} ${row.bottom + 5}h${width}${Array.from({ length: Math.floor(width / 12.6) }, (_, k) => `M${LEFT + 6 + k * 12.6} ${row.bottom + 5}l-6 8`).join('')}`}
        />
      ) : (
        Math.abs(speed) > 0.02 && (
          <path
            className="cascade-speed"
            markerEnd="url(#speed-head)"
            d={`M${LEFT + 8} ${row.top - 8}h${speed * 90}`}
          />
        )
      )}
    </g>
  );
}

/** The same stream again and again, as far as the rows reach. */
function Stream({ stream, middle }: { stream: Cascade['stream']; middle: number }) {
  const first = stream[0];
  if (!first) return null;
  const d = stream.map(({ a, b, to }) => `C${a.x} ${a.y} ${b.x} ${b.y} ${to.x} ${to.y}`).join('');
  return (
    <g clipPath="url(#cascade-rows)">
      {STREAMS.map((k) => (
        <path
          key={k}
          className="cascade-flow"
          markerEnd="url(#flow-head)"
          transform={`translate(${middle + k * 2 * PITCH} 0)`}
          d={`M${first.from.x} ${first.from.y}${d}`}
        />
      ))}
    </g>
  );
}

const STREAMS = Array.from({ length: 21 }, (_, k) => k - 10);

/** Where a triangle stands beside the rows. */
const TRIANGLE_IN = 92;
const TRIANGLE_SCALE = 84;

interface TriangleProps {
  triangle: Cascade['triangles'][number];
  x: number;
  shown: boolean;
}

/** The velocity triangle where the fluid leaves a row: rim, relative, absolute. */
function Triangle({ triangle, x, shown }: TriangleProps) {
  if (!shown) return null;
  const { at, rim, relative, absolute } = triangle;
  const y = at.y - 58;
  const s = TRIANGLE_SCALE;
  return (
    <g className="cascade-triangle">
      <path className="tri-relative" d={`M${x} ${y}l${relative.x * s} ${relative.y * s}`} />
      <path
        className="tri-rim"
        markerEnd="url(#speed-head)"
        d={`M${x + relative.x * s} ${y + relative.y * s}l${rim * s} 0`}
      />
      <path
        className="tri-absolute"
        markerEnd="url(#flow-head)"
        d={`M${x} ${y}l${absolute.x * s} ${absolute.y * s}`}
      />
    </g>
  );
}

/** Which line of a triangle is which. */
function TriangleLegend({ x }: { x: number }) {
  const { t } = useTranslation();
  const lines = ['absolute', 'relative', 'rim'] as const;
  return (
    <g className="cascade-triangle">
      {lines.map((line, k) => (
        <g key={line} transform={`translate(${x} ${14 + k * 17})`}>
          <path className={`tri-${line}`} d="M0 0h24" />
          <text className="cascade-detail" x={31} y={5}>
            {t(`converter.triangle.${line}`)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** A converter known by its table only: what each wheel does, in words and bars. */
function MemberStrip({ point, mode }: Pick<DrawingProps, 'point' | 'mode'>) {
  const { t } = useTranslation();
  return (
    <div className="member-strip">
      {WHEELS.map((wheel) => {
        const role = wheelRole(wheel, point, mode);
        const speed = speedOf(wheel, point, mode);
        return (
          <div key={wheel} className={`role-${role}`}>
            <strong>{t(`converter.wheels.${wheel}`)}</strong> {t(`memberRoles.${role}`)}
            {speed !== null && ` × ${formatNumber(speed, 2)}`}
            {speed !== null && <i style={{ width: `${100 * Math.min(1, speed)}%` }} />}
          </div>
        );
      })}
      <p className="quiet">{t('converter.noBlades')}</p>
    </div>
  );
}
