import { useEffect, useRef } from 'react';
import type { PathSegment, SectionGear } from '../../core/drawing';
import type { MemberRole, Solution } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import type { Turning } from '../bench/useTurning';

/** What moves in a section: power along its lines, teeth past the eye. Each frame only sets offsets. */

/** Drawing units that a dash moves for a turn of 1 rad. */
const TRAVEL = 15;
const DASH = 20;

interface FlowProps {
  path: readonly PathSegment[];
  roles: ReadonlyMap<string, MemberRole>;
  turning: Pick<Turning, 'subscribe'>;
}

/** Power on its way: dots on what drives, dashes on what is driven, at each member's own speed. */
export function PowerFlowLines({ path, roles, turning }: FlowProps) {
  const lines = useRef<(SVGPathElement | null)[]>([]);
  const { subscribe } = turning;
  useEffect(
    () =>
      subscribe((turn) => {
        path.forEach(({ speed }, k) => {
          const offset = -((Math.abs(speed * turn) * TRAVEL) % DASH);
          lines.current[k]?.setAttribute('stroke-dashoffset', offset.toFixed(1));
        });
      }),
    [subscribe, path],
  );
  return (
    <g aria-hidden="true">
      {path.map((s, k) => {
        const role = roles.get(s.member) ?? 'idle';
        const d = `M${s.x1} ${s.y1}L${s.x2} ${s.y2}`;
        return (
          <g key={`${s.member} ${s.x1} ${s.y1} ${s.x2} ${s.y2}`}>
            <path
              className={`section-power member-${role}`}
              strokeWidth={5.4 + 2.6 * Math.min(s.power, 2)}
              d={d}
            />
            <path
              ref={(element) => {
                lines.current[k] = element;
              }}
              className={`section-flow flow-${role}`}
              d={d}
            />
            <Arrow segment={s} role={role} />
          </g>
        );
      })}
    </g>
  );
}

/** Shorter lines have no room for an arrowhead. */
const ARROW_ROOM = 40;

function Arrow({ segment, role }: { segment: PathSegment; role: MemberRole }) {
  const { x1, y1, x2, y2 } = segment;
  const length = Math.hypot(x2 - x1, y2 - y1);
  if (length < ARROW_ROOM) return null;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const [x, y] = [(x1 + x2) / 2 + 8 * ux, (y1 + y2) / 2 + 8 * uy];
  const back = (side: number) => `${x - 15 * ux + side * 9 * uy} ${y - 15 * uy - side * 9 * ux}`;
  return (
    <path className={`section-arrow arrow-${role}`} d={`M${x} ${y}L${back(1)}L${back(-1)}z`} />
  );
}

interface StripProps {
  gears: readonly SectionGear[];
  solution: Solution;
  turning: Pick<Turning, 'subscribe'>;
}

const TOOTH = 7;
const STRIP = 9;

/** A strip of teeth at each gear's flank, moving up when it turns the engine's way and down when not. */
export function ToothStrips({ gears, solution, turning }: StripProps) {
  const strips = useRef<(SVGPathElement | null)[]>([]);
  const { subscribe } = turning;
  const shown = gears.flatMap((gear) => {
    const speed = gear.member === null ? null : solution.speeds.get(gear.member);
    return speed ? [{ gear, speed: toNumber(speed) }] : [];
  });
  useEffect(
    () =>
      subscribe((turn) => {
        shown.forEach(({ speed }, k) => {
          const moved = (((speed * turn * TRAVEL) % TOOTH) + TOOTH) % TOOTH;
          strips.current[k]?.setAttribute('transform', `translate(0 ${(-moved).toFixed(1)})`);
        });
      }),
    // The list is made anew with each solution.
    // oxlint-disable-next-line react/exhaustive-deps
    [subscribe, solution, gears],
  );
  return (
    <g aria-hidden="true">
      {shown.map(({ gear }, k) => {
        const rungs = Array.from(
          { length: Math.ceil(gear.height / TOOTH) + 1 },
          (_, n) => `M0 ${n * TOOTH}h${STRIP}`,
        );
        return (
          <svg
            key={`${gear.set} ${gear.port}`}
            x={gear.x + 1.5}
            y={gear.y + 1.5}
            width={STRIP}
            height={gear.height - 3}
            overflow="hidden"
          >
            <path
              ref={(element) => {
                strips.current[k] = element;
              }}
              className="section-teeth"
              d={rungs.join('')}
            />
          </svg>
        );
      })}
    </g>
  );
}
