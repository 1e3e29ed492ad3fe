import { Button, Checkbox } from 'antd';
import { useMemo, useRef, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { useKept } from '../shared/kept';
import type { PartsNow } from './PartList';
import { partName } from './partName';
import { stackOf, STACK, type StackShape } from './stackShapes';

interface Props extends PartsNow {
  /** What is off may be taken up, too: to be put in. */
  any?: boolean;
  /** A part was drawn away from the stack; left out where nothing is taken off. */
  onTake?: (id: string) => void;
}

const ZOOMS = [0.75, 1, 1.5, 2.2] as const;
/** Drawn away so far it comes off, in pixels of the screen. */
const FAR = 50;
const BALLOON = { radius: 11, y: 16 } as const;

/**
 * The stack drawn apart along its axis, front at the left; what is off stays as an outline. A part is chosen with a click and
 * taken off by drawing it away. Numbers stand in balloons; the list below has the same ones.
 */
export function StackDrawing(props: Props) {
  const { plan, chosen } = props;
  const { t } = useTranslation();
  const { shapes, width } = useMemo(() => stackOf(plan), [plan]);
  const [zoom, setZoom] = useKept<number>('Stack zoom', 1);
  const [named, setNamed] = useKept('Stack named', true);
  if (shapes.length === 0) return null;
  return (
    <div className="stack">
      <div className="stack-scroll" role="group" aria-label={t('stripDown.stack')} tabIndex={0}>
        <svg
          className="stack-drawing"
          viewBox={`0 0 ${width} ${STACK.height}`}
          style={{ width: width * ZOOMS[zoom]!, height: STACK.height * ZOOMS[zoom]! }}
          aria-hidden="true"
        >
          <line className="stack-axis" x1={0} x2={width} y1={STACK.axis} y2={STACK.axis} />
          {shapes.map((shape, k) => (
            <StackPart
              key={shape.part.id}
              {...props}
              shape={shape}
              number={k + 1}
              named={named || chosen === shape.part.id}
            />
          ))}
        </svg>
      </div>
      <div className="strip-tools row">
        <Button
          size="small"
          aria-label={t('stripDown.smaller')}
          disabled={zoom === 0}
          onClick={() => setZoom(zoom - 1)}
        >
          −
        </Button>
        <Button
          size="small"
          aria-label={t('stripDown.larger')}
          disabled={zoom === ZOOMS.length - 1}
          onClick={() => setZoom(zoom + 1)}
        >
          +
        </Button>
        <Checkbox checked={named} onChange={(e) => setNamed(e.target.checked)}>
          {t('stripDown.names')}
        </Checkbox>
        {props.onTake && <span className="quiet">{t('stripDown.dragHow')}</span>}
      </div>
    </div>
  );
}

interface PartProps extends Props {
  shape: StackShape;
  number: number;
  named: boolean;
}

function StackPart({
  shape,
  number,
  named,
  unit,
  off,
  free,
  chosen,
  any,
  onPart,
  onTake,
}: PartProps) {
  const { t } = useTranslation();
  const { part, path, x } = shape;
  const group = useRef<SVGGElement>(null);
  const from = useRef<readonly [number, number] | null>(null);
  const isOff = off.has(part.id);
  const active = any === true || !isOff;
  const away = (event: PointerEvent) => {
    const [x0, y0] = from.current!;
    return [event.clientX - x0, event.clientY - y0] as const;
  };
  // Moved on the drawing itself: nothing else is drawn again while it is dragged.
  const place = (dx: number, dy: number, scale = 1) => {
    group.current!.style.transform =
      dx === 0 && dy === 0 ? '' : `translate(${dx / scale}px, ${dy / scale}px)`;
  };
  const scaleOf = () => group.current!.ownerSVGElement!.getScreenCTM()?.a ?? 1;
  const down = (event: PointerEvent) => {
    if (!active || event.button !== 0) return;
    from.current = [event.clientX, event.clientY];
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent) => {
    if (from.current && onTake && !isOff) place(...away(event), scaleOf());
  };
  const up = (event: PointerEvent) => {
    if (!from.current) return;
    const [dx, dy] = away(event);
    from.current = null;
    place(0, 0);
    onPart(part.id);
    if (onTake && !isOff && Math.hypot(dx, dy) > FAR) onTake(part.id);
  };
  return (
    <g
      ref={group}
      className="stack-part"
      data-off={isOff}
      data-free={free.has(part.id)}
      data-chosen={chosen === part.id}
      data-drags={onTake !== undefined && !isOff}
      // The list below is for the keyboard: the same parts, by name.
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        from.current = null;
        place(0, 0);
      }}
    >
      <path d={path} />
      <circle className="stack-balloon" cx={x} cy={BALLOON.y} r={BALLOON.radius} />
      <text className="stack-number" x={x} y={BALLOON.y + 4} textAnchor="middle">
        {number}
      </text>
      {named && (
        <text x={x} y={STACK.height - (number % 2 === 1 ? 8 : 26)} textAnchor="middle">
          {partName(t, unit, part)}
        </text>
      )}
    </g>
  );
}
