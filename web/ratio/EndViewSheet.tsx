import {
  type CSSProperties,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type ReactNode,
  type RefObject,
} from 'react';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import {
  PORTS,
  roleOf,
  type GearSetSetup,
  type Point,
  type Port,
  type Role,
} from '../../core/geartrain';
import { useNumbers } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import { useElementSize, type Size } from '../shared/useElementSize';
import { Balloon } from './Balloon';
import { EndViewPicture } from '../bench/EndViewPicture';
import { RoleStrip } from './RoleStrip';
import type { SetModel } from './useSetModel';
import type { Turning } from '../bench/useTurning';
import './EndViewSheet.css';

/**
 * live: turns and reads out · sealed: a prediction is open, so it stands still and tells nothing ·
 * assign: the student gives the parts their roles on the drawing
 */
export type SheetMode = 'live' | 'sealed' | 'assign';

export type GivenRoles = Readonly<Record<Port, Role | null>>;

interface Props {
  setup: GearSetSetup;
  model: SetModel;
  turning: Turning;
  mode: SheetMode;
  /** Roles given so far, in `assign`; in other modes they follow from the setup. */
  given?: GivenRoles | undefined;
  selected?: Port | null;
  onRole?: ((port: Port, role: Role) => void) | undefined;
  /** Lower edge: transport at the left, title block at the right; nothing at all where it is left out. */
  footer?: ReactNode;
}

const CORNERS = { sun: 'top-left', carrier: 'top-right', ring: 'bottom-left' } as const;

/** The drawing sheet with the end view of one set; the parts and their balloons are the controls. */
export function EndViewSheet(props: Props) {
  const { setup, model, turning, mode, given, selected = null, onRole, footer } = props;
  const { t } = useTranslation();
  const field = useRef<HTMLDivElement>(null);
  const size = useElementSize(field);
  const foot = useRef<HTMLDivElement>(null);
  const below = useFooter(foot);
  const place = placeDrawing(size, model.view.extent, onRole !== undefined, below);
  const role = (port: Port) =>
    mode === 'assign' ? (given?.[port] ?? null) : roleOf(setup.roles, port);
  const roles = { sun: role('sun'), carrier: role('carrier'), ring: role('ring') };
  const states = usePartStates(setup, model, mode);
  useLeaders(field, place, model);
  const description = PORTS.map((port) => {
    const r = roles[port];
    return `${t(`parts.${port}`)}: ${r ? `${t(`roles.${r}`)} ${states[port]}` : t('bench.noRole')}`;
  }).join('. ');
  const next = (port: Port): Role =>
    ({ drives: 'driven', driven: 'held', held: 'drives', locked: 'held', free: 'held' } as const)[
      roles[port] ?? 'held'
    ];

  return (
    <Sheet label={t('bench.endView')}>
      <div
        ref={field}
        className="end-view-field"
        data-mode={mode}
        style={{ '--footer': `${below.height}px` } as CSSProperties}
      >
        {size.width > 0 && (
          <EndViewPicture
            width={size.width}
            height={size.height}
            label={description}
            view={model.view}
            roles={roles}
            shown={mode === 'live' ? model.shown : null}
            turning={turning}
            scale={place.scale}
            centre={place.centre}
            onPart={onRole ? (port) => onRole(port, next(port)) : undefined}
            misfit={model.findings.length > 0}
          >
            {PORTS.map((port) => (
              <g key={port} className="leader" data-leader={port}>
                <path />
                <circle r={3.6} />
              </g>
            ))}
          </EndViewPicture>
        )}
        {PORTS.map((port, k) => (
          <Balloon
            key={port}
            number={k + 1}
            port={port}
            corner={CORNERS[port]}
            detail={partDetail(t, port, setup)}
            role={roles[port]}
            state={states[port]}
            selected={selected === port}
          >
            {onRole && <RoleStrip port={port} role={roles[port]} onRole={(r) => onRole(port, r)} />}
          </Balloon>
        ))}
        <div className="end-view-footer" ref={foot}>
          {footer}
        </div>
      </div>
    </Sheet>
  );
}

function partDetail(t: TFunction, port: Port, setup: GearSetSetup): string {
  const { set } = setup;
  if (port !== 'carrier') return t('bench.teeth', { count: set.teeth[port] });
  const n = set.pinions ?? 3;
  if (set.kind === 'double-pinion')
    return t('bench.pairs', { n, inner: set.teeth.inner ?? '?', outer: set.teeth.outer ?? '?' });
  return t('bench.pinions', { n, teeth: set.teeth.pinion ?? '?' });
}

function usePartStates(
  setup: GearSetSetup,
  model: SetModel,
  mode: SheetMode,
): Record<Port, string> {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const state = (port: Port): string => {
    if (mode !== 'live') return '';
    const role = roleOf(setup.roles, port);
    const { speedRpm, torqueNm } = model.readings[port];
    if (role === 'held')
      return torqueNm === null
        ? ''
        : t('bench.takes', { torque: numbers.quantity(Math.abs(torqueNm), 'torque') });
    if (speedRpm === null) return role === 'driven' ? t('bench.stands') : t('bench.runsFree');
    const shown = numbers.quantity(Math.abs(speedRpm), 'speed');
    const backwards = speedRpm * setup.inputSpeedRpm < 0;
    return backwards ? t('bench.otherWay', { speed: shown }) : shown;
  };
  return { sun: state('sun'), carrier: state('carrier'), ring: state('ring') };
}

interface Place {
  readonly scale: number;
  readonly centre: { readonly x: number; readonly y: number };
}

/** Narrower than this, px, the parts stand in rows: as in Balloon.css. */
const NARROW = 500;

/** How far apart the parts' rows stand on a narrow sheet, px, plain and with their roles to choose: as in Balloon.css. */
const ROW = { plain: 30, worked: 48 };
/** Over the first row, and between the last one and the footer, px: as in Balloon.css. */
const [ROWS_TOP, ROWS_FOOT] = [26, 10];

/** Balloons keep the corners, the footer keeps the lower edge. */
function placeDrawing(
  { width, height }: Size,
  extent: number,
  worked: boolean,
  below: Footer,
): Place {
  const footer = 62;
  if (width < NARROW) {
    // Two parts stand over the drawing and one under it.
    const row = worked ? ROW.worked : ROW.plain;
    const [top, bottom] = [ROWS_TOP + 2 * row, ROWS_FOOT + row + below.height];
    const radius = Math.min(width * 0.46, (height - top - bottom) / 2);
    const y = top + (height - top - bottom) / 2;
    return { scale: Math.max(48, radius) / (extent + 2.6), centre: { x: width / 2, y } };
  }
  const tall = height > width;
  // A tall sheet has room for the balloons above and below, a wide one in its corners.
  const y = tall ? height / 2 : (height - footer) / 2 + 6;
  const room = tall
    ? Math.min(width * 0.46, (height - 2 * 118) * 0.5)
    : Math.min(width * 0.36, (height - footer) * 0.455);
  const radius = Math.min(room, clearOf(below.last, { width, height }, y));
  return { scale: Math.max(60, radius) / (extent + 2.6), centre: { x: width / 2, y } };
}

/** How far it is from the middle of the drawing to what stands in the lower right corner, px. */
function clearOf(corner: Size, { width, height }: Size, y: number): number {
  if (corner.width === 0) return Infinity;
  const across = Math.max(0, width - corner.width - width / 2);
  const down = Math.max(0, height - corner.height - y);
  return Math.hypot(across, down);
}

interface Footer {
  readonly height: number;
  /** The size of what stands last in it, at the right: the crank, or a title block. */
  readonly last: Size;
}
const NO_FOOTER: Footer = { height: 0, last: { width: 0, height: 0 } };

function useFooter(foot: RefObject<HTMLElement | null>): Footer {
  const [footer, setFooter] = useState(NO_FOOTER);
  useEffect(() => {
    const element = foot.current;
    if (!element) return undefined;
    // The footer is as high as what stands in it: another child shows as another size.
    const observer = new ResizeObserver(() => {
      const last = element.children.length > 1 ? element.lastElementChild : null;
      const { width = 0, height = 0 } = last?.getBoundingClientRect() ?? {};
      const now: Footer = { height: element.offsetHeight, last: { width, height } };
      setFooter((old) =>
        old.height === now.height && old.last.width === width && old.last.height === height
          ? old
          : now,
      );
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [foot]);
  return footer;
}

/** Where a part's leader ends: on the part, on the side of its balloon. */
function leaderEnd(port: Port, from: Point, place: Place, { view }: SetModel): Point {
  const radius = {
    sun: view.sun.root * 0.86,
    carrier: (view.carrier.inner + view.carrier.outer) / 2,
    ring: (view.ring.root + view.ring.rim) / 2,
  }[port];
  const { centre, scale } = place;
  const angle = Math.atan2(from.y - centre.y, from.x - centre.x);
  return {
    x: centre.x + radius * scale * Math.cos(angle),
    y: centre.y + radius * scale * Math.sin(angle),
  };
}

/** Draws the leaders from wherever the balloons' marks have come to stand, after each layout. */
function useLeaders(field: RefObject<HTMLElement | null>, place: Place, model: SetModel): void {
  useLayoutEffect(() => {
    const box = field.current?.getBoundingClientRect();
    if (!box) return;
    for (const port of PORTS) {
      const mark = field.current?.querySelector(`[data-mark="${port}"]`)?.getBoundingClientRect();
      const leader = field.current?.querySelector(`[data-leader="${port}"]`);
      if (!mark || !leader) continue;
      const middle = {
        x: mark.x - box.x + mark.width / 2,
        y: mark.y - box.y + mark.height / 2,
      };
      const end = leaderEnd(port, middle, place, model);
      const edge = mark.width / 2 / Math.hypot(end.x - middle.x, end.y - middle.y);
      const start = {
        x: middle.x + (end.x - middle.x) * edge,
        y: middle.y + (end.y - middle.y) * edge,
      };
      leader.querySelector('path')?.setAttribute('d', `M${start.x} ${start.y}L${end.x} ${end.y}`);
      leader.querySelector('circle')?.setAttribute('cx', String(end.x));
      leader.querySelector('circle')?.setAttribute('cy', String(end.y));
    }
  });
}
