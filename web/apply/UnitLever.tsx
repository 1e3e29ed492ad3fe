import { useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { coupledLevers, type CoupledLever } from '../../core/drawing';
import { CASE, type MemberRole, type Solution, type Unit } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { formatRatio } from '../shared/numbers';
import { useElementSize } from '../shared/useElementSize';
import '../bench/LeverDrawing.css';
import './UnitLever.css';
import { memberName } from '../shared/unitNames';

interface Props {
  unit: Unit;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
}

const TOP = 42;
const BOTTOM = 26;
/** Room for names and numbers beside each lever. */
const NAMES = 128;
const NUMBERS = 62;
/** Below this a lever's words would lie over one another: the drawing scrolls instead. */
const LEAST_SLOT = NAMES + NUMBERS + 50;

/** The lever diagram of a whole unit: one lever where the sets share enough members, else one each, linked. */
export function UnitLever({ unit, solution, roles }: Props) {
  const { t } = useTranslation();
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(box);
  const levers = useMemo(() => coupledLevers(unit), [unit]);
  const speedOf = (member: string): number | null => {
    if (member === CASE) return 0;
    const speed = solution.speeds.get(member);
    return speed ? toNumber(speed) : null;
  };
  const nameOf = (member: string) => (member === CASE ? t('apply.case') : memberName(unit, member));
  const shown = levers.flatMap((l) => l.points.map((p) => speedOf(p.member) ?? 0));
  const [low, high] = [Math.min(0, ...shown), Math.max(1, ...shown)];
  const words = levers
    .map((l) =>
      l.points
        .map((p) => `${nameOf(p.member)} ${speedText(speedOf(p.member), t('apply.floats'))}`)
        .join(', '),
    )
    .join('. ');
  const drawn = Math.max(width, levers.length * LEAST_SLOT);
  const slot = drawn / levers.length;
  const frames = levers.map((lever, k) => ({
    lever,
    left: k * slot + NAMES,
    width: Math.max(40, slot - NAMES - NUMBERS),
    y: (place: number) => TOP + place * (height - TOP - BOTTOM),
  }));
  return (
    <div
      ref={box}
      className="lever unit-lever"
      {...(drawn > width
        ? { tabIndex: 0, role: 'region', 'aria-label': t('apply.views.lever') }
        : {})}
    >
      {width > 0 && (
        <svg width={drawn} height={height} role="img" aria-label={t('bench.leverShows', { words })}>
          {linksOf(frames).map(({ from, to }, k) => (
            <path key={k} className="lever-link" d={`M${from.x} ${from.y}L${to.x} ${to.y}`} />
          ))}
          {frames.map(({ lever, left, width: wide, y }) => {
            const x = (speed: number) => left + ((speed - low) / (high - low)) * wide;
            const known = lever.points.flatMap((p) => {
              const speed = speedOf(p.member);
              return speed === null ? [] : [{ x: x(speed), y: y(p.place) }];
            });
            return (
              <g key={lever.sets.join()}>
                <text className="lever-sets" x={left} y={18}>
                  {lever.sets.join(' + ')}
                </text>
                <path className="lever-zero" d={`M${x(0)} ${TOP - 14}V${height - BOTTOM + 10}`} />
                {known.length > 1 && (
                  <path
                    className="lever-line"
                    d={`M${known.map((p) => `${p.x} ${p.y}`).join('L')}`}
                  />
                )}
                {spaced(lever, y).map(({ member, at, textY }) => {
                  const role = roles.get(member) ?? 'idle';
                  const speed = speedOf(member);
                  return (
                    <g key={member} className={`lever-${role}`}>
                      {speed !== null && (
                        <>
                          <path className="lever-bar" d={`M${x(0)} ${at}H${x(speed)}`} />
                          <circle cx={x(speed)} cy={at} r={6.5} />
                        </>
                      )}
                      <text className="lever-part" x={left - 14} y={textY + 5} textAnchor="end">
                        {nameOf(member)}
                      </text>
                      <text
                        className="lever-speed"
                        x={Math.max(x(speed ?? 0), x(0)) + 13}
                        y={textY + 5}
                      >
                        {speedText(speed, t('apply.floats'))}
                      </text>
                      {role === 'held' && (
                        <path
                          className="lever-ground"
                          d={`M${x(0) - 13} ${at + 9}h26m-4 0l-5 8m-4 -8l-5 8m-4 -8l-5 8`}
                        />
                      )}
                    </g>
                  );
                })}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}

const speedText = (speed: number | null, floats: string): string =>
  speed === null ? floats : formatRatio(speed);

interface Frame {
  lever: CoupledLever;
  left: number;
  width: number;
  y: (place: number) => number;
}

/** Points of one lever from top to bottom, their words moved apart where points lie close. */
function spaced(lever: CoupledLever, y: (place: number) => number) {
  let last = -Infinity;
  return lever.points.map(({ member, place }) => {
    const at = y(place);
    const textY = Math.max(at, last + 19);
    last = textY;
    return { member, at, textY };
  });
}

/** Members that stand on two levers, joined at the levers' left edges. */
function linksOf(frames: readonly Frame[]) {
  return frames.slice(1).flatMap((frame, k) =>
    frame.lever.points.flatMap((p) => {
      const other = frames
        .slice(0, k + 1)
        .findLast((f) => f.lever.points.some((q) => q.member === p.member && q.member !== CASE));
      const point = other?.lever.points.find((q) => q.member === p.member);
      if (!other || !point) return [];
      return [
        {
          from: { x: other.left + other.width, y: other.y(point.place) },
          to: { x: frame.left, y: frame.y(p.place) },
        },
      ];
    }),
  );
}
