import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { leverRatio, type Clutch } from '../../core/clutch';
import {
  clutchSection,
  STRETCH,
  type ClutchLayout,
  type ClutchPartName,
  type ClutchSection,
  type Place,
} from '../../core/drawing';
import { formatNumber, useNumbers } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import { FINGERTIP } from '../shared/fingertip';
import { fittedScale, leastLetters } from '../shared/leastLetters';
import { useElementSize } from '../shared/useElementSize';
import type { ClutchModel } from './useClutchModel';
import { useGapText } from '../shared/useGapText';
import './ClutchDrawing.css';

interface Props {
  clutch: Clutch;
  model: ClutchModel;
  /** Share of the pedal's travel; left out where nothing may be moved. */
  onPedal?: (share: number) => void;
  /** Readings that a question asks for are not written. */
  hideReadings?: boolean;
}

const STEP = 0.02;
/** Height over width from which the pedal stands below the clutch. */
const TALL_FROM = 0.75;

/** The clutch cut open, moving with its pedal: drag the pedal, or use the arrow keys on it. */
export function ClutchDrawing({ clutch, model, onPedal, hideReadings = false }: Props) {
  const { t } = useTranslation();
  const { state, curve, point } = model;
  const sheet = useRef<SVGSVGElement>(null);
  const size = useElementSize(sheet);
  const layout: ClutchLayout = size.height > TALL_FROM * size.width ? 'tall' : 'wide';
  const drawing = useMemo(
    () => clutchSection(clutch, state, curve, point, layout),
    [clutch, state, curve, point, layout],
  );
  return (
    <Sheet label={t('clutch.drawing')}>
      <svg
        ref={sheet}
        className="clutch-section"
        viewBox={`-4 -6 ${drawing.width + 8} ${drawing.height + 8}`}
        style={leastLetters(size, drawing)}
        role="group"
        aria-label={t('clutch.drawing')}
      >
        <Parts drawing={drawing} touching={point.clamp > 0} />
        {!hideReadings && <Readings drawing={drawing} model={model} clutch={clutch} />}
        <text
          className="clutch-note"
          {...(layout === 'tall'
            ? { y: drawing.base, dy: NEXT_LINE }
            : { x: drawing.width, y: drawing.height - 1, textAnchor: 'end' })}
        >
          {t('clutch.stretched', { times: STRETCH })}
        </text>
        {onPedal && (
          <Pedal
            drawing={drawing}
            model={model}
            reach={FINGERTIP / 2 / fittedScale(size, drawing)}
            onPedal={onPedal}
          />
        )}
      </svg>
    </Sheet>
  );
}

/** Below a line of text, and above one, however large letters come to be. */
const NEXT_LINE = '1.3em';
const LINE_BEFORE = '-1em';

const path = (points: readonly Place[]): string =>
  `M${points.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L')}`;

/** Who drives, who is driven, who only moves: the same four roles as in every drawing. */
const ROLE: Readonly<Record<ClutchPartName, 'drives' | 'driven' | 'idle'>> = {
  crank: 'drives',
  flywheel: 'drives',
  'ring-gear': 'drives',
  bolt: 'drives',
  cover: 'drives',
  strap: 'drives',
  plate: 'drives',
  spring: 'drives',
  'pivot-ring': 'drives',
  disc: 'driven',
  facing: 'driven',
  cushion: 'driven',
  retainer: 'driven',
  hub: 'driven',
  shaft: 'driven',
  race: 'idle',
  bearing: 'idle',
  ball: 'idle',
  sleeve: 'idle',
  tube: 'idle',
  fork: 'idle',
  pedal: 'idle',
};

function Parts({ drawing, touching }: { drawing: ClutchSection; touching: boolean }) {
  return (
    <g aria-hidden="true">
      <path
        className="clutch-axis"
        d={`M-2 ${drawing.base}H${Math.min(drawing.width - 20, 400)}`}
      />
      {drawing.shapes.map(({ part, points, open }, k) => (
        <path
          key={k}
          className={`clutch-part clutch-${part} clutch-${ROLE[part]} ${open ? 'clutch-line' : ''}`}
          d={`${path(points)}${open ? '' : 'Z'}`}
        />
      ))}
      {drawing.gaps.map((g, k) => (
        <rect key={k} className="clutch-gap" {...g} data-open={g.width > 0 && !touching} />
      ))}
      {drawing.rivets.map(({ x, y, below }, k) => (
        <circle key={k} className="clutch-rivet" cx={x} cy={y} r={2.2} data-out={below <= 0} />
      ))}
      {drawing.coils.map(({ from, to, width }, k) => (
        <path key={k} className="clutch-coil" d={coil(from, to, width)} />
      ))}
      <path className="clutch-pipe" d={path(drawing.line)} />
      {drawing.cylinders.map(({ x, y, length, piston, rod }, k) => (
        <g key={k} className="clutch-cylinder">
          <rect x={x} y={y - 7} width={length} height={14} />
          <rect className="clutch-fluid" x={x} y={y - 6} width={piston} height={12} />
          <path d={`M${x + piston} ${y - 7}v14M${x + piston} ${y}H${rod}`} />
        </g>
      ))}
      {drawing.pivots.map((p, k) => (
        <circle key={k} className="clutch-pivot" cx={p.x} cy={p.y} r={3} />
      ))}
      <Arrow {...drawing.clampArrow} kind="clamp" />
      <Arrow {...drawing.bearingArrow} kind="push" />
    </g>
  );
}

function coil(from: Place, to: Place, width: number): string {
  const turns = 6;
  const points = Array.from({ length: turns * 2 + 1 }, (_v, k) => ({
    x: from.x + ((to.x - from.x) * k) / (turns * 2),
    y: from.y + (k % 2 === 0 ? -width / 2 : width / 2),
  }));
  return path(points);
}

function Arrow({ at, by, kind }: { at: Place; by: number; kind: string }) {
  if (Math.abs(by) < 1.5) return null;
  const head = Math.sign(by) * Math.min(5, Math.abs(by));
  return (
    <path
      className={`clutch-arrow clutch-arrow-${kind}`}
      d={`M${at.x - by} ${at.y}H${at.x}m${-head} -4l${head} 4l${-head} 4`}
    />
  );
}

function Readings({ drawing, model, clutch }: Omit<Props, 'onPedal'> & { drawing: ClutchSection }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { point } = model;
  const { anchors } = drawing;
  const open = point.leastGap > 0;
  return (
    <g className="clutch-readings">
      <text className="clutch-big" data-open={open} x={anchors.gap.x} y={anchors.gap.y}>
        {point.clamp > 0
          ? t('clutch.clampIs', { force: numbers.quantity(point.clamp, 'force') })
          : t('clutch.gapIs', { gap: gapText(point.leastGap) })}
      </text>
      <text x={anchors.bearing.x} y={anchors.bearing.y}>
        {point.bearingLoad > 1
          ? t('clutch.bearingIs', { force: numbers.quantity(point.bearingLoad, 'force') })
          : t('clutch.bearingFree')}
      </text>
      <text x={anchors.bearing.x} y={anchors.bearing.y} dy={NEXT_LINE} className="clutch-note">
        {t(
          clutch.cover.spring.kind === 'diaphragm' ? 'clutch.parts.fingers' : 'clutch.parts.levers',
          { ratio: formatNumber(leverRatio(clutch.cover), 1) },
        )}
      </text>
      <text x={drawing.pads.pivot.x + 14} y={drawing.pads.pivot.y - 10}>
        {t('clutch.footForce', { force: numbers.quantity(Math.max(0, point.pedalForce), 'force') })}
      </text>
      <text
        transform={`translate(${anchors.flywheel.x + 3} ${anchors.flywheel.y}) rotate(-90)`}
        textAnchor="middle"
      >
        {t('clutch.parts.flywheel')}
      </text>
      <text x={anchors.fork.x - 7} y={anchors.fork.y - 4} textAnchor="end">
        {t('clutch.parts.fork')}
      </text>
      <text x={anchors.disc.x} y={anchors.disc.y} textAnchor="middle">
        {t('clutch.parts.disc')}
      </text>
    </g>
  );
}

interface PedalProps extends Pick<Props, 'model'> {
  drawing: ClutchSection;
  /** Round the pad that a finger may come down. */
  reach: number;
  onPedal: (share: number) => void;
}

function Pedal({ drawing, model, reach, onPedal }: PedalProps) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const held = useRef(false);
  const { curve, point } = model;
  const { pivot, pad, rest, floor } = drawing.pads;
  const share = curve.floor > 0 ? point.pedal / curve.floor : 0;
  const set = (next: number) => onPedal(Math.min(1, Math.max(0, Number(next.toFixed(4)))));
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!held.current) return;
    const svg = event.currentTarget.ownerSVGElement;
    const matrix = svg?.getScreenCTM();
    if (!svg || !matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const angle = (p: Place) => Math.atan2(p.x - pivot.x, p.y - pivot.y);
    set((angle(rest) - angle(at)) / (angle(rest) - angle(floor)));
  };
  const keys = (event: KeyboardEvent) => {
    const by = {
      ArrowDown: STEP,
      ArrowRight: STEP,
      ArrowUp: -STEP,
      ArrowLeft: -STEP,
      PageDown: 5 * STEP,
      PageUp: -5 * STEP,
      Home: -1,
      End: 1,
    }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    set(share + by);
  };
  return (
    <g
      className="clutch-pedal-grip"
      role="slider"
      tabIndex={0}
      aria-label={t('clutch.pedal')}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(100 * share)}
      aria-valuetext={t('clutch.pedalAt', {
        share: formatNumber(100 * share, 0),
        travel: gapText(point.pedal),
      })}
      onKeyDown={keys}
      onPointerDown={(event) => {
        held.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={drag}
      onPointerUp={() => (held.current = false)}
    >
      <path className="clutch-floor" d={`M${floor.x - 26} ${floor.y + 15}H${rest.x + 20}`} />
      <path className="clutch-pad" d={padShape(pivot, pad)} />
      <circle className="clutch-grip" cx={pad.x} cy={pad.y} r={Math.max(19, reach)} />
      <text
        x={floor.x - 30}
        y={floor.y + 22}
        dy={LINE_BEFORE}
        textAnchor="end"
        className="clutch-big"
      >
        {formatNumber(100 * share, 0)} %
      </text>
      <text x={floor.x - 30} y={floor.y + 22} textAnchor="end" className="clutch-note">
        {gapText(point.pedal)}
      </text>
    </g>
  );
}

/** The pad lies across the end of the arm. */
function padShape(pivot: Place, pad: Place): string {
  const length = Math.hypot(pad.x - pivot.x, pad.y - pivot.y);
  const [ux, uy] = [(pad.x - pivot.x) / length, (pad.y - pivot.y) / length];
  const corner = (along: number, across: number): Place => ({
    x: pad.x + ux * along - uy * across,
    y: pad.y + uy * along + ux * across,
  });
  return `${path([corner(-12, 5), corner(9, 5), corner(9, 10), corner(-12, 10)])}Z`;
}
