import { Checkbox } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { placeAfter, RAILS, sleeveRails, type Rail, type RailGear } from '../../core/drawing';
import {
  binds,
  isSleeveSide,
  placeOf,
  sleeveClashes,
  withSleeveAt,
  type MemberRole,
  type Side,
  type Solution,
  type Unit,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { meeting, type Meeting } from '../../core/shift';
import { fingerReach } from '../shared/fingerReach';
import { useKept } from '../shared/kept';
import { formatRatio } from '../shared/numbers';
import { memberName } from '../shared/unitNames';
import { pressable } from './pressKey';
import { SynchroStrip } from './SynchroStrip';
import './SectionView.css';
import './SleevesView.css';

interface Props {
  unit: Unit;
  solution: Solution;
  roles: ReadonlyMap<string, MemberRole>;
  applied: readonly string[];
  /** Left out where nothing can be moved. */
  onApplied?: ((applied: string[]) => void) | undefined;
}

/** The road turns the output so fast while sleeves are moved. */
const OUTPUT_RPM = 600;
const HEIGHT = 350;
const NAMES_AT = 314;
const GEAR_WIDTH = 30;
const SLEEVE = { width: 40, reach: 24 } as const;
const OFFSET: Readonly<Record<string, number>> = { 0: -RAILS.travel, 1: RAILS.travel };

/** Every sleeve with its two sides and its three places, moved by hand; the interlock lets one out at a time. */
export function SleevesView({ unit, solution, roles, applied, onApplied }: Props) {
  const { t } = useTranslation();
  const { width, rails, shafts } = useMemo(() => sleeveRails(unit), [unit]);
  const [locked, setLocked] = useKept('SleevesView interlock', true);
  const [refused, setRefused] = useState<string | null>(null);
  const [met, setMet] = useState<{ meeting: Meeting | null; move: number } | null>(null);
  const lastIn = useRef<string | null>(firstIn(unit, applied));
  const moves = useRef(0);
  const hasInterlock = rails.some((r) => r.sleeve.interlock !== undefined);
  const move = (rail: Rail, place: Side | 'neutral') => {
    const next = withSleeveAt(rail.sleeve, place, applied);
    const clash = sleeveClashes(unit, next).find((c) => c.code === 'interlocked');
    const held = locked && clash !== undefined;
    setRefused(
      held ? t('sleeves.heldBack', { sleeve: rail.sleeve.id, other: otherOf(clash, rail) }) : null,
    );
    if (held) return;
    onApplied?.(next);
    const side = place === 'neutral' ? null : (rail.sleeve.sides[place] ?? null);
    // What was in before on another sleeve of the same shaft set the speed of the gears.
    const before = lastIn.current;
    if (side !== null) {
      lastIn.current = side;
      const stuck = binds(
        unit,
        next.filter((id) => isSide(unit, id)),
      );
      const met = stuck ? null : meeting(unit, before, side, OUTPUT_RPM);
      setMet({ meeting: met, move: moves.current++ });
    }
  };
  const words = rails.map((r) => `${r.sleeve.id}: ${placeText(t, unit, r, applied)}`).join(', ');
  return (
    <div className="section-scroll sleeves-scroll" tabIndex={0} role="region" aria-label={words}>
      <svg
        className="sleeves-view"
        {...fingerReach}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        style={{ minWidth: width * 0.68 }}
        role="group"
        aria-label={t('sleeves.shows')}
      >
        {shafts.map(({ member, x1, x2 }) => (
          <g key={member}>
            <path
              className={`section-line member-${roles.get(member) ?? 'idle'}`}
              d={`M${x1} ${RAILS.axis}H${x2}`}
            />
            <text className="sleeves-shaft" x={x2 + 8} y={RAILS.axis + 5}>
              {memberName(unit, member)}
            </text>
          </g>
        ))}
        {rails.map((rail) => (
          <OneRail
            key={rail.sleeve.id}
            rail={rail}
            unit={unit}
            solution={solution}
            roles={roles}
            applied={applied}
            onPlace={onApplied && ((place) => move(rail, place))}
          />
        ))}
      </svg>
      {onApplied && (
        <div className="sleeves-foot">
          {hasInterlock && (
            <Checkbox checked={locked} onChange={(e) => setLocked(e.target.checked)}>
              {t('sleeves.interlock')}
            </Checkbox>
          )}
          <span role="status">{refused ?? t('sleeves.how')}</span>
        </div>
      )}
      {met?.meeting && (
        <SynchroStrip unit={unit} meeting={met.meeting} outputRpm={OUTPUT_RPM} move={met.move} />
      )}
    </div>
  );
}

const isSide = (unit: Unit, id: string): boolean =>
  unit.elements.some((e) => e.id === id && isSleeveSide(e));

/** A side that is in. */
const firstIn = (unit: Unit, applied: readonly string[]): string | null =>
  applied.find((id) => isSide(unit, id)) ?? null;

type Translate = ReturnType<typeof useTranslation>['t'];

const otherOf = (
  clash: { readonly sleeve: string; readonly other: string },
  { sleeve }: Rail,
): string => (clash.sleeve === sleeve.id ? clash.other : clash.sleeve);

function placeText(t: Translate, unit: Unit, { sleeve, gears }: Rail, applied: readonly string[]) {
  const place = placeOf(sleeve, applied);
  if (place === 'neutral' || place === 'both') return t(`sleeves.${place}`);
  const gear = gears.find((g) => g.side === place);
  return t('sleeves.at', { gear: gear ? memberName(unit, gear.member) : '' });
}

interface RailProps extends Omit<Props, 'onApplied'> {
  rail: Rail;
  onPlace?: ((place: Side | 'neutral') => void) | undefined;
}

function OneRail({ rail, unit, solution, roles, applied, onPlace }: RailProps) {
  const { t } = useTranslation();
  const { sleeve, x, y, gears } = rail;
  const place = placeOf(sleeve, applied);
  const offset = OFFSET[place] ?? 0;
  const role = roles.get(sleeve.hub) ?? 'idle';
  return (
    <g className={`sleeve-rail member-${role}`}>
      {gears.map((gear) => (
        <OneGear
          key={gear.element}
          gear={gear}
          name={memberName(unit, gear.member)}
          role={roles.get(gear.member) ?? 'idle'}
          carries={place === gear.side || place === 'both'}
          waits={waitsIn(solution, gear.element)}
          speed={speedOf(solution, gear.member)}
          onPress={onPlace && (() => onPlace(place === gear.side ? 'neutral' : gear.side))}
        />
      ))}
      <rect
        className="sleeve-hub"
        x={x - 9}
        y={RAILS.axis - SLEEVE.reach + 8}
        width={18}
        height={2 * SLEEVE.reach - 16}
      />
      <MovedSleeve
        rail={rail}
        place={place}
        words={placeText(t, unit, rail, applied)}
        onPlace={onPlace}
      />
      <path
        className="sleeve-rail-line"
        d={`M${x - RAILS.slot / 2 + 12 + offset} ${y}H${x + RAILS.slot / 2 - 12 + offset}`}
      />
      <path
        className="sleeve-detent"
        d={[-1, 0, 1].map((k) => `M${x + 64 + k * 8} ${y - 5}l4 5l4 -5`).join('')}
      />
      <text className="sleeve-id" x={x - RAILS.slot / 2 + 14} y={y - 6}>
        {sleeve.id}
      </text>
    </g>
  );
}

interface MovedProps {
  readonly rail: Rail;
  readonly place: ReturnType<typeof placeOf>;
  /** Where it is, in words. */
  readonly words: string;
  readonly onPlace: RailProps['onPlace'];
}

/** The sleeve with its fork: drawn along its rail, or moved by the arrow keys. */
function MovedSleeve({ rail, place, words, onPlace }: MovedProps) {
  const { sleeve, x, y } = rail;
  const offset = OFFSET[place] ?? 0;
  const from = useRef<number | null>(null);
  const step = (by: -1 | 1) => onPlace?.(placeAfter(sleeve, place, by * RAILS.travel));
  const name = `${sleeve.id}: ${words}`;
  return (
    <g
      className="sleeve-moved"
      {...(onPlace
        ? {
            role: 'slider',
            tabIndex: 0,
            'aria-valuemin': -1,
            'aria-valuemax': 1,
            'aria-valuenow': Math.sign(offset),
            'aria-valuetext': words,
            onPointerDown: (event: React.PointerEvent) => {
              from.current = event.clientX;
              event.currentTarget.setPointerCapture(event.pointerId);
            },
            onPointerUp: (event: React.PointerEvent<SVGGElement>) => {
              const scale = event.currentTarget.getScreenCTM()?.a ?? 1;
              const began = from.current;
              from.current = null;
              if (began !== null)
                onPlace(placeAfter(sleeve, place, (event.clientX - began) / scale));
            },
            onKeyDown: (event: React.KeyboardEvent) => {
              if (event.key === 'ArrowLeft') step(-1);
              else if (event.key === 'ArrowRight') step(1);
              else return;
              event.preventDefault();
              event.stopPropagation();
            },
          }
        : { role: 'img' })}
      aria-label={name}
      transform={`translate(${offset} 0)`}
    >
      <title>{name}</title>
      <path
        className="sleeve-fork"
        d={`M${x} ${y}V${RAILS.axis - SLEEVE.reach - 8}m-12 10v-10h24v10`}
      />
      <rect
        className="sleeve-body"
        x={x - SLEEVE.width / 2}
        y={RAILS.axis - SLEEVE.reach}
        width={SLEEVE.width}
        height={12}
      />
      <rect
        className="sleeve-body"
        x={x - SLEEVE.width / 2}
        y={RAILS.axis + SLEEVE.reach - 12}
        width={SLEEVE.width}
        height={12}
      />
      <rect className="sleeve-hit" x={x - 34} y={y - 14} width={68} height={RAILS.axis - y + 50} />
    </g>
  );
}

interface GearProps {
  gear: RailGear;
  name: string;
  role: MemberRole;
  carries: boolean;
  /** It is in while another gear drives: nothing goes through it. */
  waits: boolean;
  speed: string | null;
  onPress?: (() => void) | undefined;
}

/** A gear that carries is filled and firm; one that turns free on its needles is hatched and open. */
function OneGear({ gear, name, role, carries, waits, speed, onPress }: GearProps) {
  const { t } = useTranslation();
  const { x, reach, teeth } = gear;
  const words = t(waits ? 'sleeves.isWaiting' : carries ? 'sleeves.carries' : 'sleeves.turnsFree', {
    gear: name,
  });
  return (
    <g
      className={`section-gear member-${carries ? role : 'idle'} sleeve-gear`}
      data-carries={carries}
    >
      <g className="sleeve-press" {...pressable(onPress, carries)} aria-label={words}>
        <title>{words}</title>
        <rect x={x - GEAR_WIDTH / 2} y={RAILS.axis - reach} width={GEAR_WIDTH} height={reach - 7} />
        <rect x={x - GEAR_WIDTH / 2} y={RAILS.axis + 7} width={GEAR_WIDTH} height={reach - 7} />
        <path
          className="sleeve-hit"
          d={`M${x - GEAR_WIDTH / 2} ${RAILS.axis - reach}h${GEAR_WIDTH}v${2 * reach}h${-GEAR_WIDTH}z`}
        />
      </g>
      {teeth !== null && (
        <text x={x} y={RAILS.axis - reach / 2} textAnchor="middle">
          {teeth}
        </text>
      )}
      <text className="sleeve-gear-name" x={x} y={NAMES_AT} textAnchor="middle">
        {name}
      </text>
      <text
        className="sleeve-gear-speed"
        data-waits={waits}
        x={x}
        y={NAMES_AT + 20}
        textAnchor="middle"
      >
        {waits ? t('sleeves.waits') : speed === null ? t('apply.floats') : `× ${speed}`}
      </text>
    </g>
  );
}

/** The unit drives, and of all that torque none goes through this side. */
function waitsIn({ outcome, elements }: Solution, side: string): boolean {
  const result = elements.get(side);
  return outcome === 'drives' && result?.state === 'applied' && result.torque?.num === 0n;
}

function speedOf(solution: Solution, member: string): string | null {
  const speed = solution.speeds.get(member);
  return speed ? formatRatio(toNumber(speed)) : null;
}
