import { useTranslation } from 'react-i18next';
import type { PathSegment, SectionDrawing, SectionElement, SectionLine } from '../../core/drawing';
import {
  CASE,
  sleevesOf,
  type ElementState,
  type MemberRole,
  type SleeveGroup,
  type Solution,
  type Unit,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { useAfterwards } from '../shared/useAfterwards';
import { isLarge } from '../workers/unitWorker';
import { fingerReach } from '../shared/fingerReach';
import type { Turning } from '../bench/useTurning';
import { formatRatio } from '../shared/numbers';
import { linePath } from './linePath';
import { MemberTargets } from './MemberTargets';
import { pressable } from './pressKey';
import { READABLE, sectionBox } from './sectionFit';
import { PowerFlowLines, ToothStrips } from './SectionMotion';
import './SectionView.css';
import { memberName } from '../shared/unitNames';

interface Props {
  unit: Unit;
  drawing: SectionDrawing;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
  /** Where the power runs; empty while it is not to be shown. */
  path: readonly PathSegment[];
  turning: Turning;
  /** Left out where elements can't be worked. */
  onElement?: ((id: string) => void) | undefined;
  /** Left out where members can't be chosen. */
  onMember?: ((id: string) => void) | undefined;
  /** Members chosen, in order: each carries its number. */
  chosen?: readonly string[];
}

/** Lines of a drawing that still moves. */
const MOST_MOVING = 400;
const STANDS: Pick<Turning, 'subscribe'> = { subscribe: () => () => undefined };

/** The section: members in the four roles, elements as controls, brakes and bands on hatched ground. */
export function SectionView(props: Props) {
  const { unit, drawing, solution, roles, path, turning, onElement, onMember, chosen = [] } = props;
  const { t } = useTranslation();
  const { caseY, centreY, lines, gears, elements } = drawing;
  const { top, width, height } = sectionBox(drawing);
  const role = (member: string | null) =>
    member === null ? 'idle' : (roles.get(member) ?? 'idle');
  const words = unit.members.map((m) => `${m.name}: ${t(`memberRoles.${role(m.id)}`)}`).join(', ');
  // So many lines can't be followed by eye, and would cost every frame.
  const moves = lines.length <= MOST_MOVING;
  // Gears and members first, the signs on them when those stand.
  const signs = useAfterwards(isLarge(unit));
  return (
    <svg
      className="section-view"
      {...fingerReach}
      style={{
        // Where it is low it is drawn small: more width than that would stand empty beside it.
        minWidth: `min(calc(${width}px * var(--readable, ${READABLE})), ${(100 * width) / height}cqh)`,
      }}
      viewBox={`0 ${top} ${width} ${height}`}
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label={t('apply.sectionShows', { words })}
    >
      <path className="section-centre" d={`M0 ${centreY}H${width}`} />
      <Ground x1={30} x2={width - 30} y={caseY} />
      <Lines lines={lines} role={role} />
      {lines
        .filter((l) => l.member === CASE)
        .map((l, k) => (
          <Ground key={k} x1={l.x2 - 10} x2={l.x2 + 10} y={l.y2 + 9} below />
        ))}
      <PowerFlowLines path={path} roles={roles} turning={moves ? turning : STANDS} />
      {gears.map((g, k) => (
        <g key={k} className={`section-gear member-${role(g.member)}`}>
          <rect x={g.x} y={g.y} width={g.width} height={g.height} />
          {g.teeth !== null && (
            <text x={g.x + g.width / 2} y={g.y + g.height / 2 + 5} textAnchor="middle">
              {g.teeth}
            </text>
          )}
        </g>
      ))}
      {signs && (
        <ToothStrips gears={gears} solution={solution} turning={moves ? turning : STANDS} />
      )}
      {onMember && (
        <MemberTargets unit={unit} drawing={drawing} chosen={chosen} onMember={onMember} />
      )}
      {sleevesOf(unit).map((s) => (
        <SleeveFork key={s.id} sleeve={s} elements={elements} />
      ))}
      {signs &&
        elements.map((e) => (
          <ElementSign
            key={e.id}
            element={e}
            caseY={caseY}
            name={unit.elements.find((x) => x.id === e.id)?.name ?? e.id}
            state={solution.elements.get(e.id)?.state ?? 'open'}
            onElement={onElement}
          />
        ))}
      <End
        x={8}
        y={drawing.input.y - 12}
        anchor="start"
        name={memberName(unit, unit.input)}
        role={role(unit.input)}
        speed={speedText(solution, unit.input)}
      />
      <End
        x={width - 8}
        y={drawing.output.y - 12}
        anchor="end"
        name={memberName(unit, unit.output)}
        role={role(unit.output)}
        speed={speedText(solution, unit.output)}
      />
    </svg>
  );
}

interface LinesProps {
  lines: readonly SectionLine[];
  role: (member: string) => MemberRole;
}

/** Idle members lie below. */
const FROM_BELOW = ['idle', 'held', 'driven', 'drives'] as const;

/**
 * All lines of the members, those of one role in one shape: a large unit has thousands, and each shape of its own is laid out
 * anew whenever the drawing is. Each horizontal line bridges what it crosses.
 */
function Lines({ lines, role }: LinesProps) {
  const of = (upright: boolean) =>
    FROM_BELOW.map((r) => ({
      role: r,
      own: lines.filter((l) => (l.x1 === l.x2) === upright && role(l.member) === r),
    })).filter(({ own }) => own.length > 0);
  return (
    <>
      {of(true).map(({ role: r, own }) => (
        <path key={r} className={`section-line member-${r}`} d={own.map(linePath).join('')} />
      ))}
      {of(false).map(({ role: r, own }) => (
        <g key={r}>
          <path className="section-bridge" d={own.map(shortened).join('')} />
          <path className={`section-line member-${r}`} d={own.map(linePath).join('')} />
        </g>
      ))}
    </>
  );
}

/** The line without its ends, so that a bridge does not eat the corners it starts from. */
function shortened(l: SectionLine): string {
  const inset = Math.min(8, Math.abs(l.x2 - l.x1) / 2);
  const way = Math.sign(l.x2 - l.x1);
  return `M${l.x1 + way * inset} ${l.y1}L${l.x2 - way * inset} ${l.y2}`;
}

function speedText(solution: Solution, member: string): string | null {
  const speed = solution.speeds.get(member);
  return speed ? formatRatio(toNumber(speed)) : null;
}

interface EndProps {
  x: number;
  y: number;
  anchor: 'start' | 'end';
  name: string | undefined;
  role: MemberRole;
  /** `null` while it is not known. */
  speed: string | null;
}

function End({ x, y, anchor, name, role, speed }: EndProps) {
  const { t } = useTranslation();
  return (
    <text className={`section-end text-${role}`} x={x} y={y} textAnchor={anchor}>
      <tspan x={x} dy="-1.06em">
        {name}
      </tspan>
      <tspan className="section-end-speed" x={x} dy="1.06em">
        {speed !== null && `${t(`memberRoles.${role}`)} × ${speed}`}
      </tspan>
    </text>
  );
}

function Ground({
  x1,
  x2,
  y,
  below = false,
}: {
  x1: number;
  x2: number;
  y: number;
  below?: boolean;
}) {
  const step = 12;
  const ticks = Array.from({ length: Math.floor((x2 - x1) / step) }, (_, k) => {
    const x = x1 + (k + 0.5) * step;
    return below ? `M${x} ${y}l-5 7` : `M${x} ${y}l5 -8`;
  });
  return <path className="section-ground" d={`M${x1} ${y}H${x2}${ticks.join('')}`} />;
}

/** Over the signs of its two sides, the fork that moves one sleeve to either: in at one, it is out at the other. */
function SleeveFork({
  sleeve,
  elements,
}: {
  sleeve: SleeveGroup;
  elements: readonly SectionElement[];
}) {
  const [a, b] = sleeve.sides.map((id) => elements.find((e) => e.id === id));
  if (!a || !b) return null;
  const top = Math.min(a.y, b.y) - 26;
  const middle = (a.x + b.x) / 2;
  // Beside the names of its sides, not through them.
  const beside = 16 * Math.sign(b.x - a.x);
  return (
    <g className="section-sleeve">
      <path
        d={`M${a.x + beside} ${a.y - 8}V${top}H${b.x - beside}V${b.y - 8}M${middle} ${top}v-10`}
      />
      <text x={middle + 6} y={top - 4}>
        {sleeve.id}
      </text>
    </g>
  );
}

interface SignProps {
  element: SectionElement;
  caseY: number;
  name: string;
  state: ElementState;
  onElement: ((id: string) => void) | undefined;
}

/** An element's sign; clutches, dogs, brakes and bands are switched by it, one-way clutches are not. */
function ElementSign({ element, caseY, name, state, onElement }: SignProps) {
  const { t } = useTranslation();
  const { id, kind, grounded, x, y } = element;
  const movable = kind !== 'one-way' && onElement;
  const on = state !== 'open' && state !== 'overrunning';
  const words = `${id}, ${name}: ${t(`elementStates.${state}`)}`;
  return (
    <g
      className={`section-element state-${state}`}
      {...pressable(movable ? () => onElement(id) : undefined, on)}
      aria-label={words}
    >
      <title>{words}</title>
      <rect
        className="section-hit"
        x={x - 24}
        y={grounded ? caseY - 30 : y - 30}
        width={48}
        height={grounded ? y - caseY + 52 : 60}
      />
      <path className="section-sign" d={signOf(element, caseY)} />
      <text className="section-id" x={x} y={element.labelY} textAnchor="middle">
        {id}
      </text>
    </g>
  );
}

/** Plates, a dog's teeth, a band's shoe or a one-way clutch's triangle. */
function signOf({ kind, grounded, x, y, firstAtLeft }: SectionElement, caseY: number): string {
  if (kind === 'one-way') {
    if (grounded)
      return `M${x} ${caseY}V${caseY + 8}M${x} ${caseY + 8}l11 19h-22zM${x - 12} ${caseY + 8}h24M${x} ${caseY + 27}V${2 * y - caseY}`;
    const s = firstAtLeft ? 1 : -1;
    return `M${x - 13 * s} ${y}h${5 * s}v-11l${16 * s} 11l${-16 * s} 11v-11M${x + 8 * s} ${y - 12}v24M${x + 8 * s} ${y}h${5 * s}`;
  }
  if (grounded) {
    const foot = 2 * y - caseY;
    if (kind === 'band')
      return `M${x} ${caseY}v10M${x - 15} ${caseY + 18}q0 -8 15 -8q15 0 15 8M${x - 15} ${caseY + 24}h30M${x} ${caseY + 24}V${foot}`;
    const plates = [-12, -4, 4, 12].map((dx, k) =>
      k % 2 === 0 ? `M${x + dx} ${caseY}v20` : `M${x + dx} ${caseY + 6}v20`,
    );
    return `${plates.join('')}M${x - 12} ${caseY + 26}h24M${x} ${caseY + 26}V${foot}`;
  }
  if (kind === 'dog')
    return `M${x - 13} ${y}h6v-10h5v5h-5m0 10h5v5h-5v-10M${x + 13} ${y}h-6v-10h-5v5h5m0 10h-5v5h5v-10`;
  const plates = [-7, -2.3, 2.3, 7].map((dx, k) => `M${x + dx} ${y - 14 + (k % 2) * 4}v24`);
  return `${plates.join('')}M${x - 13} ${y}h6M${x + 13} ${y}h-6`;
}
