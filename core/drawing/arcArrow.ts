import { polar, type Point } from '../geartrain';

/** An arrow along a circle that says which way a part turns. */
export interface ArcArrow {
  readonly from: Point;
  /** Where the line ends and the head begins. */
  readonly to: Point;
  readonly radius: number;
  readonly counterClockwise: boolean;
  readonly large: boolean;
  readonly head: readonly [Point, Point, Point];
}

/**
 * @param middle angle of the arrow's middle, rad
 * @param span   angle it covers, rad, head included
 * @param head   length of its head
 */
export function arcArrow(
  radius: number,
  middle: number,
  span: number,
  counterClockwise: boolean,
  head: number,
): ArcArrow {
  const way = counterClockwise ? 1 : -1;
  const start = middle - (way * span) / 2;
  const tip = middle + (way * span) / 2;
  const base = tip - (way * head) / radius;
  return {
    from: polar(radius, start),
    to: polar(radius, base),
    radius,
    counterClockwise,
    large: span - head / radius > Math.PI,
    head: [
      polar(radius - head * 0.55, base),
      polar(radius, tip),
      polar(radius + head * 0.55, base),
    ],
  };
}
