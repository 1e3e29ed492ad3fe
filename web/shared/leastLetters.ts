import type { CSSProperties } from 'react';
import type { Size } from './useElementSize';

/** How small letters on a drawing may come to the screen, px. */
export const LEAST = 9.5;

/** Screen px for a unit of a drawing that is fitted into a place; 1 before it is measured. */
export function fittedScale(place: Size, drawing: Size): number {
  const scale = Math.min(place.width / drawing.width, place.height / drawing.height);
  return scale > 0 ? scale : 1;
}

/** For a drawing that is fitted into its place: its letters take `max(their size, var(--least))`. A wall asks for more. */
export const leastLetters = (place: Size, drawing: Size): CSSProperties =>
  ({
    '--least': `calc(var(--least-letter, ${LEAST}px) / ${fittedScale(place, drawing).toFixed(3)})`,
  }) as CSSProperties;
