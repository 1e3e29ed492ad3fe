import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { PartsNow } from './PartList';
import { partName } from './partName';
import { stackOf, STACK } from './stackShapes';

interface Props extends PartsNow {
  /** What is off may be taken up, too: to be put in. */
  any?: boolean;
}

/** The stack drawn apart along its axis, front at the left; what is off stays as an outline. */
export function StackDrawing({ plan, unit, off, free, chosen, onPart, any = false }: Props) {
  const { t } = useTranslation();
  const { shapes, width } = useMemo(() => stackOf(plan), [plan]);
  if (shapes.length === 0) return null;
  return (
    <div className="stack-scroll" role="group" aria-label={t('stripDown.stack')} tabIndex={0}>
      <svg
        className="stack-drawing"
        viewBox={`0 0 ${width} ${STACK.height}`}
        style={{ minWidth: width }}
        aria-hidden="true"
      >
        <line className="stack-axis" x1={0} x2={width} y1={STACK.axis} y2={STACK.axis} />
        {shapes.map(({ part, path, x }, k) => (
          <g
            key={part.id}
            className="stack-part"
            data-off={off.has(part.id)}
            data-free={free.has(part.id)}
            data-chosen={chosen === part.id}
            // The list beside it is for the keyboard: the same parts, by name.
            onClick={() => (any || !off.has(part.id)) && onPart(part.id)}
          >
            <path d={path} />
            <text x={x} y={k % 2 === 0 ? STACK.height - 8 : STACK.height - 26} textAnchor="middle">
              {partName(t, unit, part)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
