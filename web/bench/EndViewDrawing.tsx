import { memo, useMemo, type RefObject } from 'react';
import { arcArrow, circlePath, closedPath, type ArcArrow, type EndView } from '../../core/drawing';
import type { Port, Role } from '../../core/geartrain';
import { useEndViewMotion, type TakeGroup } from './endViewMotion';
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

/** The end view with true teeth: React draws the shapes, and what turns them goes past it. */
export const EndViewDrawing = memo(function EndViewDrawing(props: Props) {
  const { view, roles, shown, turning, scale, centre, canvas, onPart, misfit } = props;
  const look = JSON.stringify([roles, misfit]);
  const take = useEndViewMotion({ view, shown, turning, scale, centre, canvas, look });

  const part: PartProps['part'] = (port, also = '') => ({
    className: `part part-${paintOf(roles[port])}${onPart ? ' part-active' : ''} ${also}`,
    onClick: onPart ? () => onPart(port) : undefined,
  });
  const drawn: PartProps = {
    view,
    shown,
    take,
    part,
    held: (port) => paintOf(roles[port]) === 'held',
  };
  const misfits = misfit ? 'misfit' : '';
  return (
    <g
      ref={take('root')}
      transform={`translate(${centre.x} ${centre.y}) scale(${scale})`}
      data-drawing="end-view"
    >
      <HatchPattern scale={scale} />
      <RingTeeth {...drawn} misfits={misfits} />
      <CarrierBand {...drawn} />
      <Pinions {...drawn} misfits={misfits} />
      <Sun {...drawn} />
      {/* Over everything, since it stands on the rim. */}
      <g className={`part-${paintOf(roles.ring)}`}>
        <RingMarks {...drawn} />
      </g>
    </g>
  );
});

interface PartProps {
  readonly view: EndView;
  readonly shown: Record<Port, number> | null;
  readonly take: TakeGroup;
  /** What a part's group has in common with the others. */
  readonly part: (
    port: Port,
    also?: string,
  ) => { className: string; onClick: (() => void) | undefined };
  readonly held: (port: Port) => boolean;
}

function RingTeeth({ view, take, part, misfits }: PartProps & { misfits: string }) {
  const teeth = useMemo(() => circlePath(view.ring.rim) + closedPath(view.ring.hole), [view]);
  return (
    <g {...part('ring')}>
      <g ref={take('ring')} className="turns">
        <path d={teeth} fillRule="evenodd" className={misfits || undefined} />
      </g>
    </g>
  );
}

function RingMarks({ view, shown, held }: PartProps) {
  const { rim } = view.ring;
  return (
    <>
      {shown && shown.ring !== 0 && (
        <Arrow
          arrow={arcArrow(rim + 2.2, -0.9, 0.5 * spanOf(shown.ring, shown), shown.ring > 0, 2.6)}
        />
      )}
      {held('ring') && <Ground at={rim} angle={Math.PI / 2} size={view.extent * 0.13} />}
    </>
  );
}

function CarrierBand({ view, shown, take, part, held }: PartProps) {
  const { inner, outer } = view.carrier;
  const band = useMemo(() => circlePath(outer) + circlePath(inner), [outer, inner]);
  const { stations } = view.layout;
  // The open stretch of the band, from the last pinion of one station to the first of the next.
  const apart = (2 * Math.PI) / Math.max(1, stations.length);
  const lastSeat = stations[0]?.at(-1)?.angle ?? 0;
  const between = (lastSeat + apart) / 2;
  const middle = (inner + outer) / 2;
  return (
    <g ref={take('carrier')} {...part('carrier', 'turns')}>
      <path d={band} fillRule="evenodd" className="carrier-band" />
      {shown && shown.carrier !== 0 && (
        <Arrow arrow={carrierArrow(middle, between, apart - lastSeat, shown.carrier > 0)} />
      )}
      {held('carrier') && <Ground at={middle} angle={between} size={view.extent * 0.085} />}
    </g>
  );
}

function Pinions({ view, take, part, misfits }: PartProps & { misfits: string }) {
  const outlines = useMemo(
    () => new Map(view.pinions.map((p) => [p.teeth, closedPath(p.outline) + circlePath(p.bore)])),
    [view],
  );
  return view.pinions.map((pinion, k) => (
    <g key={`${pinion.station}-${pinion.seat}`} className="turns" ref={take(k)}>
      <path
        d={outlines.get(pinion.teeth)}
        fillRule="evenodd"
        className={`pinion ${misfits}`.trim()}
      />
      <g {...part('carrier')}>
        <circle r={pinion.pin} className="carrier-pin" />
      </g>
    </g>
  ));
}

function Sun({ view, shown, take, part, held }: PartProps) {
  const { bore, root, outline } = view.sun;
  const teeth = useMemo(() => closedPath(outline) + circlePath(bore), [outline, bore]);
  return (
    <g {...part('sun')}>
      <g ref={take('sun')} className="turns">
        <path d={teeth} fillRule="evenodd" />
        <path d={circlePath(bore)} className="hit" />
        <path d={shaftKey(bore)} className="shaft" />
      </g>
      {shown && shown.sun !== 0 && (
        <Arrow
          arrow={arcArrow(
            (root + bore) / 2,
            -0.6,
            spanOf(shown.sun, shown),
            shown.sun > 0,
            Math.min(2.6, root * 0.2),
          )}
        />
      )}
      {held('sun') && <Ground at={0} angle={Math.PI / 2} size={bore * 0.8} />}
    </g>
  );
}

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
