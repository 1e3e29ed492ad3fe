import { memo, useEffect, useMemo, useRef, type RefObject } from 'react';
import { arcArrow, circlePath, closedPath, type ArcArrow, type EndView } from '../../core/drawing';
import { poseSet, type Port, type Role } from '../../core/geartrain';
import { paintPart, type PaintedPart } from '../shared/paintedPart';
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
  /** Lies under the drawing, as large: while it turns, the parts are drawn there. */
  canvas: RefObject<HTMLCanvasElement | null>;
  onPart?: ((port: Port) => void) | undefined;
  /** The set can't be built: what doesn't fit is drawn in dashes. */
  misfit: boolean;
}

/**
 * The end view with true teeth. React draws the shapes; standing, they have their transforms. Turning, each part was
 * painted once and is laid on the canvas at its angle, while the shapes stay for pointer and names.
 */
export const EndViewDrawing = memo(function EndViewDrawing(props: Props) {
  const { view, roles, shown, turning, scale, centre, canvas, onPart, misfit } = props;
  const root = useRef<SVGGElement>(null);
  const sun = useRef<SVGGElement>(null);
  const carrier = useRef<SVGGElement>(null);
  const ring = useRef<SVGGElement>(null);
  const pinions = useRef<(SVGGElement | null)[]>([]);
  const { subscribe, playing } = turning;
  const sunShare = shown?.sun ?? 0;
  const carrierShare = shown?.carrier ?? 0;
  const { x, y } = centre;
  const look = JSON.stringify([roles, misfit]);

  useEffect(() => {
    const poseAt = (inputTurn: number) =>
      poseSet(view.layout, sunShare * inputTurn, carrierShare * inputTurn);
    const surface = canvas.current?.getContext('2d');
    if (!playing || !surface) {
      root.current?.removeAttribute('data-turning');
      surface?.clearRect(0, 0, surface.canvas.width, surface.canvas.height);
      return subscribe((inputTurn) => {
        const pose = poseAt(inputTurn);
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
      });
    }
    root.current?.setAttribute('data-turning', '');
    const density = surface.canvas.width / surface.canvas.clientWidth;
    let theme: string | undefined;
    let painted: (PaintedPart | null)[] = [];
    return subscribe((inputTurn) => {
      const now = document.documentElement.dataset['theme'] ?? '';
      if (now !== theme) {
        theme = now;
        painted = [ring.current, carrier.current, ...pinions.current, sun.current].map((group) =>
          group ? paintPart(group, scale, density) : null,
        );
      }
      const pose = poseAt(inputTurn);
      surface.setTransform(1, 0, 0, 1, 0, 0);
      surface.clearRect(0, 0, surface.canvas.width, surface.canvas.height);
      painted[0]?.draw(surface, x, y, pose.ring);
      painted[1]?.draw(surface, x, y, pose.carrier);
      view.pinions.forEach(({ station, seat }, k) => {
        const placed = pose.stations[station]?.[seat];
        if (placed)
          painted[2 + k]?.draw(
            surface,
            x + placed.centre.x * scale,
            y + placed.centre.y * scale,
            placed.turn,
          );
      });
      painted[2 + view.pinions.length]?.draw(surface, x, y, pose.sun);
    });
    // oxlint-disable-next-line react/exhaustive-deps -- `look` stands for what is painted
  }, [subscribe, playing, view, sunShare, carrierShare, look, scale, x, y, canvas]);

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
  const part = (port: Port, also = '') => ({
    className: `part part-${paint[port]}${onPart ? ' part-active' : ''} ${also}`,
    onClick: onPart ? () => onPart(port) : undefined,
  });
  const stationCount = Math.max(1, view.layout.stations.length);
  // The open stretch of the band, from the last pinion of one station to the first of the next.
  const lastSeat = view.layout.stations[0]?.at(-1)?.angle ?? 0;
  const between = (lastSeat + (2 * Math.PI) / stationCount) / 2;
  const open = (2 * Math.PI) / stationCount - lastSeat;
  const bandMiddle = (view.carrier.inner + view.carrier.outer) / 2;

  return (
    <g
      ref={root}
      transform={`translate(${centre.x} ${centre.y}) scale(${scale})`}
      data-drawing="end-view"
    >
      <HatchPattern scale={scale} />
      <g {...part('ring')}>
        <g ref={ring} className="turns">
          <path d={paths.ring} fillRule="evenodd" className={misfit ? 'misfit' : undefined} />
        </g>
      </g>
      <g ref={carrier} {...part('carrier', 'turns')}>
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
          className="turns"
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
        <g ref={sun} className="turns">
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
