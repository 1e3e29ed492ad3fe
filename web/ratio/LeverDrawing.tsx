import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { leverOf } from '../../core/drawing';
import { roleOf, type GearSetSetup, type Port } from '../../core/geartrain';
import { useNumbers } from '../shared/numbers';
import { useElementSize } from '../shared/useElementSize';
import { paintOf } from '../bench/paint';
import '../bench/LeverDrawing.css';

interface Props {
  setup: GearSetSetup;
  shown: Record<Port, number>;
}

const LEFT = 66;
const RIGHT = 70;
const TOP = 16;
const BOTTOM = 30;

/** The lever diagram: parts down the lever, speeds across; a straight line joins them. */
export function LeverDrawing({ setup, shown }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(box);
  const points = leverOf(setup.set, { sun: null, carrier: null, ring: null });
  const speeds = points.map((p) => shown[p.port]);
  const [low, high] = [Math.min(0, ...speeds), Math.max(0, ...speeds)];
  const x = (speed: number) => LEFT + ((speed - low) / (high - low || 1)) * (width - LEFT - RIGHT);
  const y = (place: number) => TOP + place * (height - TOP - BOTTOM);
  const speedText = (speed: number) => numbers.value(speed * setup.inputSpeedRpm, 'speed');
  const words = points
    .map((p) => `${t(`parts.${p.port}`)} ${speedText(shown[p.port])} ${numbers.unit('speed')}`)
    .join(', ');
  return (
    <div ref={box} className="lever">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={t('bench.leverShows', { words })}>
          <path className="lever-zero" d={`M${x(0)} ${TOP - 10}V${height - BOTTOM + 12}`} />
          {!speeds.includes(0) && (
            <text className="lever-zero-mark" x={x(0)} y={height - 4} textAnchor="middle">
              0
            </text>
          )}
          <path
            className="lever-line"
            d={`M${points.map((p) => `${x(shown[p.port])} ${y(p.place)}`).join('L')}`}
          />
          {points.map((p) => {
            const paint = paintOf(roleOf(setup.roles, p.port));
            const speed = shown[p.port];
            return (
              <g key={p.port} className={`lever-${paint}`}>
                <path className="lever-bar" d={`M${x(0)} ${y(p.place)}H${x(speed)}`} />
                <circle cx={x(speed)} cy={y(p.place)} r={6.5} />
                <text className="lever-part" x={LEFT - 16} y={y(p.place) + 5} textAnchor="end">
                  {t(`parts.${p.port}`)}
                </text>
                <text className="lever-speed" x={Math.max(x(speed), x(0)) + 13} y={y(p.place) + 5}>
                  {speedText(speed)}
                </text>
                {paint === 'held' && (
                  <path
                    className="lever-ground"
                    d={`M${x(0) - 13} ${y(p.place) + 11}h26m-4 0l-5 8m-4 -8l-5 8m-4 -8l-5 8`}
                  />
                )}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
