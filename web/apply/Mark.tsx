import type { ElementKind, ElementState } from '../../core/geartrain';
import './Mark.css';

interface Props {
  state: ElementState;
  kind: ElementKind;
}

/**
 * The program's own marks: filled square, applied; upright triangle, holding by itself; dashed triangle,
 * running over; a bar beneath, the share is open; nothing, open.
 */
export function Mark({ state, kind }: Props) {
  // Most cells of a chart are open, and a drawing of nothing costs as much as any.
  if (state === 'open') return <span className="mark" aria-hidden="true" />;
  const oneWay = kind === 'one-way';
  return (
    <svg className="mark" viewBox="0 0 20 20" aria-hidden="true">
      {(state === 'applied' || (state === 'shared' && !oneWay)) && (
        <path className="mark-solid" d="M4 4h12v12h-12z" />
      )}
      {(state === 'holding' || (state === 'shared' && oneWay)) && (
        <path className="mark-solid" d="M10 3l8 14h-16z" />
      )}
      {state === 'overrunning' && <path className="mark-dashed" d="M10 3.5l7.4 13h-14.8z" />}
      {state === 'shared' && <path className="mark-shared" d="M3 19h14" />}
    </svg>
  );
}
