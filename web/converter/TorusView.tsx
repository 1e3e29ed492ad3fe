import { useEffect, useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { usualBlades, type ConverterPoint } from '../../core/converter';
import { torus, type Torus, type TorusPlace, type TorusWheel } from '../../core/drawing';
import type { Turning } from '../bench/useTurning';
import { formatNumber } from '../shared/numbers';
import { fittedScale, leastLetters } from '../shared/leastLetters';
import { useElementSize } from '../shared/useElementSize';
import {
  speedOf,
  wheelRole,
  wheelsInWords,
  type DrawingProps,
  type DrawnMode,
  type Wheel,
} from './wheelRoles';
import './TorusView.css';

/** The cut: where the axis lies, and px for the pump's radius. */
const AXIS = 344;
const CUT_X = 226;
const CUT = 304;
/** Beside each other on a wide sheet, one below the other on a tall one; the eye looks along the axis. */
const WIDE = { width: 800, height: 390, eye: { x: 622, y: 178, r: 142 } } as const;
const TALL = { width: 460, height: 760, eye: { x: 230, y: 556, r: 160 } } as const;

type Eye = (typeof WIDE | typeof TALL)['eye'];
/** Half the gap between two wheels, rad; the core's size on the circuit. */
const GAP = 0.045;
const CORE = 0.36;
const DOTS = 5;

/** The wheels cut open, and the fluid's way as it is seen along the shaft. */
export function TorusView({ converter, point, mode, turning }: DrawingProps) {
  const { t } = useTranslation();
  const sheet = useRef<SVGSVGElement>(null);
  const size = useElementSize(sheet);
  const layout = fittedScale(size, TALL) > fittedScale(size, WIDE) ? TALL : WIDE;
  const blades = converter.model.kind === 'streamline' ? converter.model : null;
  const drawing = useMemo(
    () => torus(blades ?? SHAPE, blades && mode === 'fluid' ? point : null),
    [blades, point, mode],
  );
  const flows = drawing.vortex === null ? '' : t(flowKey(drawing.vortex));
  return (
    <svg
      ref={sheet}
      className="torus"
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      style={leastLetters(size, layout)}
      role="img"
      aria-label={`${t('torus.shows')} ${wheelsInWords(t, point, mode)}. ${flows}`}
    >
      <Cut drawing={drawing} point={point} mode={mode} />
      <AlongAxis
        eye={layout.eye}
        drawing={drawing}
        turning={turning}
        note={noteKey(blades !== null, mode)}
      />
    </svg>
  );
}

/** A converter known by its table is drawn in usual proportions. */
const SHAPE = usualBlades(0.11);

/** Times round the circuit for a turn from which the flow is called vortex. */
const VORTEX = 1;
const flowKey = (vortex: number) => (vortex > VORTEX ? 'torus.vortex' : 'torus.rotary');
const NOTES = {
  overrun: 'torus.overrun',
  locked: 'torus.locked',
  stalled: 'torus.stalled',
} as const;
const noteKey = (blades: boolean, mode: DrawnMode) =>
  mode !== 'fluid' ? NOTES[mode] : blades ? 'torus.still' : 'torus.tableOnly';

const cutAt = ({ x, y }: TorusPlace): string =>
  `${(CUT_X + CUT * x).toFixed(1)} ${(AXIS - CUT * y).toFixed(1)}`;

/** The outline of a wheel: along the shell, back along the core. */
function sector(drawing: Torus, { from, to }: TorusWheel): string {
  const angles = Array.from(
    { length: 25 },
    (_, k) => from + GAP + ((to - from - 2 * GAP) * k) / 24,
  );
  const shell = angles.map((a) => cutAt(drawing.at(a, 1)));
  const core = [...angles].reverse().map((a) => cutAt(drawing.at(a, CORE)));
  return `M${[...shell, ...core].join('L')}Z`;
}

function Cut({ drawing, point, mode }: { drawing: Torus; point: ConverterPoint; mode: DrawnMode }) {
  const { t } = useTranslation();
  const role = (wheel: Wheel) => wheelRole(wheel, point, mode);
  const side = CUT * drawing.circuit;
  const middle = AXIS - CUT * drawing.centre;
  const statorHeld = role('stator') === 'held';
  const hub = AXIS - CUT * (drawing.centre - drawing.circuit);
  return (
    <g>
      <path className="torus-axis" d={`M50 ${AXIS}H416`} />
      {/* Cover from the crankshaft round the turbine to the pump, and the pump's hub. */}
      <path
        className={`torus-member line-${role('pump')}`}
        d={`M54 ${AXIS - 12}H${CUT_X - side - 26}V${middle}A${side + 26} ${side + 14} 0 0 1 ${CUT_X} ${middle - side - 14}L${CUT_X + 10} ${middle - side - 2}`}
      />
      <path
        className={`torus-member line-${role('pump')}`}
        d={`M${CUT_X + side * 0.75} ${middle + side * 0.72}L${CUT_X + side + 6} ${hub + 12}H416`}
      />
      <path
        className={`torus-member line-${role('turbine')}`}
        d={`M${CUT_X - side * 0.8} ${middle + side * 0.62}L${CUT_X - side * 0.62} ${AXIS - 14}H416`}
      />
      <path
        className={`torus-member line-${role('stator')}`}
        d={`M${CUT_X - side * 0.1} ${middle + side}V${AXIS - 62}`}
      />
      <OneWay x={CUT_X - side * 0.1} y={AXIS - 48} held={statorHeld} />
      {drawing.wheels.map((wheel) => (
        <g key={wheel.wheel} className={`torus-wheel wheel-${role(wheel.wheel)}`}>
          <path d={sector(drawing, wheel)} />
          {[0.25, 0.5, 0.75].map((share) => {
            const angle = wheel.from + share * (wheel.to - wheel.from);
            return (
              <path
                key={share}
                d={`M${cutAt(drawing.at(angle, CORE))}L${cutAt(drawing.at(angle, 1))}`}
              />
            );
          })}
        </g>
      ))}
      {drawing.path.length > 0 && <RoundArrows drawing={drawing} flow={point.flow ?? 0} />}
      <Label x={CUT_X + side + 18} y={middle - 8} wheel="pump" {...{ point, mode }} />
      <Label x={CUT_X - side - 4} y={middle - side - 24} end wheel="turbine" {...{ point, mode }} />
      <Label x={CUT_X + side + 18} y={AXIS - 74} wheel="stator" {...{ point, mode }} />
      <text className="torus-note" x={54} y={AXIS - 22}>
        {t('torus.engine')}
      </text>
      <text className="torus-note" x={421} y={AXIS - 9}>
        {t('torus.input')}
      </text>
    </g>
  );
}

interface LabelProps {
  x: number;
  y: number;
  end?: boolean;
  wheel: Wheel;
  point: ConverterPoint;
  mode: DrawnMode;
}

function Label({ x, y, end = false, wheel, point, mode }: LabelProps) {
  const { t } = useTranslation();
  const role = wheelRole(wheel, point, mode);
  const speed = speedOf(wheel, point, mode);
  return (
    <text x={x} y={y} textAnchor={end ? 'end' : 'start'}>
      <tspan className={`cascade-name text-${role}`}>{t(`converter.wheels.${wheel}`)}</tspan>
      <tspan className="cascade-detail" x={x} dy="1.25em">
        {t(`memberRoles.${role}`)}
        {speed !== null && ` × ${formatNumber(speed, 2)}`}
      </tspan>
    </text>
  );
}

/** The stator's one-way clutch on its fixed tube: rollers wedged or running. */
function OneWay({ x, y, held }: { x: number; y: number; held: boolean }) {
  return (
    <g className={held ? 'one-way one-way-held' : 'one-way'}>
      <rect x={x - 20} y={y - 14} width={40} height={18} />
      {[-12, 0, 12].map((dx) => (
        <circle key={dx} cx={x + dx} cy={y - 5 + (held ? 2 : 0)} r={4.6} />
      ))}
      <path className="torus-member line-ground" d={`M${x - 24} ${y + 10}H416`} />
      <path
        className="torus-hatch"
        d={Array.from({ length: 9 }, (_, k) => `M${355 + 7 * k} ${y + 13}l-6 8`).join('')}
      />
    </g>
  );
}

/** Arrows once round the circuit; the faster it flows, the longer they are. */
function RoundArrows({ drawing, flow }: { drawing: Torus; flow: number }) {
  const reach = Math.min(0.95, 14 * flow);
  const arrows = Array.from({ length: 6 }, (_, k) => {
    const from = (k * Math.PI) / 3 + 0.3;
    const points = Array.from({ length: 9 }, (_p, j) =>
      cutAt(drawing.at(from + (j * reach) / 8, ARROWS_AT)),
    );
    return `M${points.join('L')}`;
  });
  return (
    <g className="torus-round">
      <defs>
        <marker
          id="round-head"
          viewBox="0 0 10 10"
          refX="5"
          refY="5"
          markerWidth="4.4"
          markerHeight="4.4"
          orient="auto"
        >
          <path className="cascade-head" d="M0 0L10 5L0 10z" />
        </marker>
      </defs>
      {arrows.map((d, k) => (
        <path key={k} d={d} markerEnd="url(#round-head)" />
      ))}
    </g>
  );
}

/** Between core and shell. */
const ARROWS_AT = 0.68;

const seenBy =
  (eye: Eye) =>
  ({ x, y }: TorusPlace): TorusPlace => ({ x: eye.x + eye.r * x, y: eye.y - eye.r * y });

interface AlongProps {
  eye: Eye;
  drawing: Torus;
  turning: Turning;
  note: string;
}

/** Rims of the wheels and the way of one bit of fluid between them, with drops that run along it. */
function AlongAxis({ eye, drawing, turning, note }: AlongProps) {
  const { t } = useTranslation();
  const { path, vortex, centre, circuit } = drawing;
  const drops = useRef<(SVGCircleElement | null)[]>([]);
  const { subscribe } = turning;
  useEffect(() => {
    const places = path.flatMap((p) => p.points.slice(0, -1)).map(seenBy(eye));
    if (places.length === 0) return;
    return subscribe((turn) => {
      for (let k = 0; k < DOTS; k++) {
        const at = (turn * DROPS_A_TURN + (k * places.length) / DOTS) % places.length;
        const place = places[Math.floor(Math.abs(at))]!;
        drops.current[k]?.setAttribute('cx', place.x.toFixed(1));
        drops.current[k]?.setAttribute('cy', place.y.toFixed(1));
      }
    });
  }, [path, eye, subscribe]);
  const ring = (r: number) => <circle cx={eye.x} cy={eye.y} r={eye.r * r} />;
  return (
    <g className="torus-along">
      <g className="torus-rims">
        {ring(1)}
        {ring(centre - circuit)}
      </g>
      {path.map(({ wheel, points }, k) => (
        <path
          key={k}
          className={`torus-path path-${wheel}`}
          d={`M${points
            .map(seenBy(eye))
            .map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`)
            .join('L')}`}
        />
      ))}
      {path.length > 0 &&
        Array.from({ length: DOTS }, (_, k) => (
          <circle
            key={k}
            ref={(element) => {
              drops.current[k] = element;
            }}
            className="torus-drop"
            r={5.5}
          />
        ))}
      <text
        className={vortex === null ? 'torus-flow torus-still' : 'torus-flow'}
        x={eye.x}
        y={eye.y + 5}
        textAnchor="middle"
      >
        {vortex === null ? t(note) : t(flowKey(vortex))}
      </text>
      {vortex !== null && (
        <text className="cascade-detail" x={eye.x} y={eye.y + 27} textAnchor="middle">
          {t('torus.rounds', { count: Number(vortex.toFixed(1)) })}
        </text>
      )}
      <text className="torus-note" x={eye.x} y={eye.y - eye.r - 22} textAnchor="middle">
        {t('torus.along')}
      </text>
    </g>
  );
}

/** Points of the path that a drop passes for a turn of the pump by 1 rad. */
const DROPS_A_TURN = 9;
