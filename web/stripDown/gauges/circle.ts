/** A point on a circle. @param turn from the top, clockwise, in turns */
export const onCircle = (
  x: number,
  y: number,
  radius: number,
  turn: number,
): readonly [number, number] => [
  x + radius * Math.sin(2 * Math.PI * turn),
  y - radius * Math.cos(2 * Math.PI * turn),
];

const at = ([x, y]: readonly [number, number]): string => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** Path of an arc, clockwise. @param from @param to in turns from the top, less than a whole turn apart */
export const arc = (x: number, y: number, radius: number, from: number, to: number): string =>
  `M${at(onCircle(x, y, radius, from))}A${radius} ${radius} 0 ${to - from > 0.5 ? 1 : 0} 1 ${at(onCircle(x, y, radius, to))}`;

/** A piece of a ring. */
export function sector(
  [x, y]: readonly [number, number],
  inner: number,
  outer: number,
  from: number,
  to: number,
): string {
  const large = to - from > 0.5 ? 1 : 0;
  return (
    `${arc(x, y, outer, from, to)}L${at(onCircle(x, y, inner, to))}` +
    `A${inner} ${inner} 0 ${large} 0 ${at(onCircle(x, y, inner, from))}Z`
  );
}

export const circlePath = (x: number, y: number, r: number): string =>
  `M${x} ${y - r}A${r} ${r} 0 1 1 ${x - 0.01} ${y - r}Z`;

/** A whole ring, to be filled by the even-odd rule. */
export const ringPath = (x: number, y: number, inner: number, outer: number): string =>
  circlePath(x, y, outer) + circlePath(x, y, inner);

/** A wheel's outline with teeth between two radii. */
export function toothedPath(
  [x, y]: readonly [number, number],
  root: number,
  tip: number,
  teeth: number,
): string {
  const points = Array.from({ length: 4 * teeth }, (_, k) => {
    const r = k % 4 < 2 ? tip : root;
    return at(onCircle(x, y, r, (k + 0.5) / (4 * teeth)));
  });
  return `M${points.join('L')}Z`;
}
