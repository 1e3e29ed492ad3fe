import type { Arithmetic } from './arithmetic';

/**
 * A cone as what generates it, by the double description method (published: T. S. Motzkin and others, Contributions to
 * the Theory of Games II, 1953; K. Fukuda and A. Prodon, 1996). A space of directions is cut by one half-space after
 * the other; what is left is always  { sums of the lines, and of the rays times numbers ≥ 0 }.
 *
 * A direction is a list of numbers, each a linear function of the motion; the half-spaces are "entry k ≥ 0".
 * Rays that others already generate are kept: harmless for what is asked here, and with a handful of half-spaces few.
 */
export interface Cone<T> {
  /** Directions that can be gone both ways. */
  readonly lines: readonly (readonly T[])[];
  readonly rays: readonly (readonly T[])[];
}

/**
 * @param directions that span the space, each an equally long list
 * @param halfSpaces entries that must not be negative
 */
export function coneOf<T>(
  directions: readonly (readonly T[])[],
  halfSpaces: readonly number[],
  arithmetic: Arithmetic<T>,
): Cone<T> {
  let cone: Cone<T> = { lines: directions.filter((d) => !isNothing(d, arithmetic)), rays: [] };
  for (const k of halfSpaces) cone = cut(cone, k, arithmetic);
  return cone;
}

const isNothing = <T>(direction: readonly T[], { sign }: Arithmetic<T>): boolean =>
  direction.every((v) => sign(v) === 0);

function cut<T>({ lines, rays }: Cone<T>, k: number, arithmetic: Arithmetic<T>): Cone<T> {
  const { sign, less, divide, negate } = arithmetic;
  const crossing = lines.find((line) => sign(line[k]!) !== 0);
  if (!crossing) return { lines, rays: cutRays(rays, k, arithmetic) };
  // One line crosses the border: all else is moved along it into the border, and half of it stays.
  const intoBorder = (d: readonly T[]): readonly T[] => {
    if (sign(d[k]!) === 0) return d;
    const share = divide(d[k]!, crossing[k]!);
    return d.map((v, c) => less(v, share, crossing[c]!));
  };
  const kept = (list: readonly (readonly T[])[]) =>
    list.map(intoBorder).filter((d) => !isNothing(d, arithmetic));
  const inward = sign(crossing[k]!) > 0 ? crossing : crossing.map(negate);
  return { lines: kept(lines.filter((l) => l !== crossing)), rays: [...kept(rays), inward] };
}

/** Rays inside stay; each inside and each outside one together give one on the border. */
function cutRays<T>(
  rays: readonly (readonly T[])[],
  k: number,
  arithmetic: Arithmetic<T>,
): (readonly T[])[] {
  const { sign, less, divide } = arithmetic;
  const outside = rays.filter((r) => sign(r[k]!) < 0);
  if (outside.length === 0) return [...rays];
  const border = rays
    .filter((r) => sign(r[k]!) > 0)
    .flatMap((inside) =>
      outside.map((out) => {
        const share = divide(out[k]!, inside[k]!);
        return out.map((v, c) => less(v, share, inside[c]!));
      }),
    );
  return [
    ...rays.filter((r) => sign(r[k]!) >= 0),
    ...border.filter((d) => !isNothing(d, arithmetic)),
  ];
}
