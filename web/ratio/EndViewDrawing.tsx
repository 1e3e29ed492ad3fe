import { memo, useEffect, useMemo, useRef } from 'react';
import { arcArrow, circlePath, closedPath, type ArcArrow, type EndView } from '../../core/drawing';
import { poseSet, type Port, type Role } from '../../core/geartrain';
import { paintOf } from './paint';
import type { Turning } from './useTurning';
import './EndViewDrawing.css';

interface Props {
  view: EndView;
  /** `null`: the part has no role yet. */
  roles: Record<Port, Role | null>;
  /** Drawn speeds × input speed; arrows say which way each part turns. */
  shown: Record<Port, number> | null;
  turning: Turning;
  /** Pixels a module. */
  scale: number;
  centre: { x: number; y: number };
  onPart?: ((port: Port) => void) | undefined;
  /** The set can't be built: what doesn't fit is drawn in dashes. */
  misfit: boolean;
}

/** The end view with true teeth. React draws the shapes; each frame only sets their transforms. */
export const EndViewDrawing = memo(function EndViewDrawing(props: Props) {
  const { view, roles, shown, turning, scale, centre, onPart, misfit } = props;
  const sun = useRef<SVGGElement>(null);
  const carrier = useRef<SVGGElement>(null);
  const ring = useRef<SVGGElement>(null);
  const pinions = useRef<(SVGGElement | null)[]>([]);
  const { subscribe } = turning;
  const sunShare = shown?.sun ?? 0;
  const carrierShare = shown?.carrier ?? 0;

  useEffect(
    () =>
      subscribe((inputTurn) => {
        const pose = poseSet(view.layout, sunShare * inputTurn, carrierShare * inputTurn);
        sun.current?.setAttribute('transform', `rotate(${degrees(pose.sun)})`);
        carrier.current?.setAttribute('transform', `rotate(${degrees(pose.carrier)})`);
        ring.current?.setAttribute('transform', `rotate(${degrees(pose.ring)})`);
        view.pinions.forEach(({ station, seat }, k) => {
          const placed = pose.stations[station]?.[seat];
          if (placed)
            pinions.current[k]?.setAttribute(
              'transform',
              `translate(${placed.centre.x.toFixed(3)} ${placed.centre.y.toFixed(3)}) rotate(${degrees(placed.turn)})`,
            );
        });
      }),
    [subscribe, view, sunShare, carrierShare],
  );

  const paths = useMemo(
    () => ({
      sun: closedPath(view.sun.outline) + circlePath(view.sun.bore),
      ring: circlePath(view.ring.rim) + closedPath(view.ring.hole),
      band: circlePath(view.carrier.outer) + circlePath(view.carrier.inner),
      pinions: new Map(
        view.pinions.map((p) => [p.teeth, closedPath(p.outline) + circlePath(p.bore)]),
      ),
    }),
    [view],
  );
  const paint = {
    sun: paintOf(roles.sun),
    carrier: paintOf(roles.carrier),
    ring: paintOf(roles.ring),
  };
  const part = (port: Port) => ({
    className: `part part-${paint[port]}${onPart ? ' part-active' : ''}`,
    onClick: onPart ? () => onPart(port) : undefined,
  });
  const stationCount = Math.max(1, view.layout.stations.length);
  // The open stretch of the band, from the last pinion of one station to the first of the next.
  const lastSeat = view.layout.stations[0]?.at(-1)?.angle ?? 0;
  const between = (lastSeat + (2 * Math.PI) / stationCount) / 2;
  const open = (2 * Math.PI) / stationCount - lastSeat;
  const bandMiddle = (view.carrier.inner + view.carrier.outer) / 2;

  return (
    <g transform={`translate(${centre.x} ${centre.y}) scale(${scale})`} data-drawing="end-view">
      <HatchPattern scale={scale} />
      <g {...part('ring')}>
        <g ref={ring}>
          <path d={paths.ring} fillRule="evenodd" className={misfit ? 'misfit' : undefined} />
        </g>
      </g>
      <g ref={carrier} {...part('carrier')}>
        <path d={paths.band} fillRule="evenodd" className="carrier-band" />
        {shown && shown.carrier !== 0 && (
          <Arrow arrow={carrierArrow(bandMiddle, between, open, shown.carrier > 0)} />
        )}
        {paint.carrier === 'held' && (
          <Ground at={bandMiddle} angle={between} size={view.extent * 0.085} />
        )}
      </g>
      {view.pinions.map((pinion, k) => (
        <g
          key={`${pinion.station}-${pinion.seat}`}
          ref={(element) => {
            pinions.current[k] = element;
          }}
        >
          <path
            d={paths.pinions.get(pinion.teeth)}
            fillRule="evenodd"
            className={`pinion${misfit ? ' misfit' : ''}`}
          />
          <g {...part('carrier')}>
            <circle r={pinion.pin} className="carrier-pin" />
          </g>
        </g>
      ))}
      <g {...part('sun')}>
        <g ref={sun}>
          <path d={paths.sun} fillRule="evenodd" />
          <path d={circlePath(view.sun.bore)} className="hit" />
          <path d={shaftKey(view.sun.bore)} className="shaft" />
        </g>
        {shown && shown.sun !== 0 && (
          <Arrow
            arrow={arcArrow(
              (view.sun.root + view.sun.bore) / 2,
              -0.6,
              spanOf(shown.sun, shown),
              shown.sun > 0,
              Math.min(2.6, view.sun.root * 0.2),
            )}
          />
        )}
        {paint.sun === 'held' && <Ground at={0} angle={Math.PI / 2} size={view.sun.bore * 0.8} />}
      </g>
      <g className={`part-${paint.ring}`}>
        {shown && shown.ring !== 0 && (
          <Arrow
            arrow={arcArrow(
              view.ring.rim + 2.2,
              -0.9,
              0.5 * spanOf(shown.ring, shown),
              shown.ring > 0,
              2.6,
            )}
          />
        )}
        {paint.ring === 'held' && (
          <Ground at={view.ring.rim} angle={Math.PI / 2} size={view.extent * 0.13} />
        )}
      </g>
    </g>
  );
});

const degrees = (angle: number): string => ((angle * 180) / Math.PI).toFixed(3);

/** A quicker part carries a longer arrow. */
function spanOf(speed: number, all: Record<Port, number>): number {
  const most = Math.max(...Object.values(all).map(Math.abs));
  return 0.7 + (1.5 * Math.abs(speed)) / most;
}

function carrierArrow(radius: number, middle: number, open: number, forward: boolean): ArcArrow {
  return arcArrow(radius, middle, Math.min(0.75, 0.4 * open), forward, 2.6);
}

/** A cross in the bore, so that the sun is seen to turn. */
const shaftKey = (bore: number): string =>
  `M${-bore * 0.5} 0H${bore * 0.5}M0 ${-bore * 0.5}V${bore * 0.5}`;

function Arrow({ arrow }: { arrow: ArcArrow }) {
  const { from, to, radius, counterClockwise, large, head } = arrow;
  // The drawing's y points down, which turns the sense over.
  const sweep = counterClockwise ? 1 : 0;
  return (
    <g className="turn-arrow">
      <path
        d={`M${from.x} ${from.y}A${radius} ${radius} 0 ${large ? 1 : 0} ${sweep} ${to.x} ${to.y}`}
      />
      <path className="turn-arrow-head" d={closedPath(head)} />
    </g>
  );
}

/** Ground hatching: this part can't turn. */
function Ground({ at, angle, size }: { at: number; angle: number; size: number }) {
  const ticks = 6;
  const marks = Array.from({ length: ticks }, (_, k) => {
    const x = -size + (2 * size * (k + 0.5)) / ticks;
    return `M${x} 0l${-size * 0.22} ${size * 0.34}`;
  });
  const turn = (angle * 180) / Math.PI - 90;
  return (
    <g className="ground" transform={`rotate(${turn}) translate(0 ${at})`}>
      <path d={`M${-size} 0H${size}${marks.join('')}`} />
    </g>
  );
}

function HatchPattern({ scale }: { scale: number }) {
  const step = 9 / scale;
  return (
    <defs>
      <pattern
        id="held-hatch"
        patternUnits="userSpaceOnUse"
        width={step}
        height={step}
        patternTransform="rotate(45)"
      >
        <rect width={step} height={step} className="hatch-ground" />
        <path d={`M0 0V${step}`} className="hatch-line" strokeWidth={1.3 / scale} />
      </pattern>
    </defs>
  );
}
