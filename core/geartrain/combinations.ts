import { maskOf, oneWaysOf, outcomeTable } from './outcomeTable';
import type { Outcome } from './solve';
import type { Unit } from './unit';

/**
 * What else a gear train could do: every combination of its clutches, dogs, brakes and bands, classified.
 * One-way clutches settle themselves in each. Rows that differ only by elements that change nothing are kept
 * apart, so that counts are true; `ratioGroups` puts equal ratios together.
 */
export interface Combination {
  readonly apply: readonly string[];
  readonly outcome: Outcome;
  /** NaN unless it drives. */
  readonly ratio: number;
}

/** With more controlled elements than this, only combinations of up to `MOST_TOGETHER` are tried. */
export const MOST_COMBINED = 14;
const MOST_TOGETHER = 4;

/** @throws Error when the unit has more elements than `outcomeTable` takes */
export function combinations(unit: Unit): Combination[] {
  const table = outcomeTable(unit);
  const ways = oneWaysOf(unit);
  const controlled = unit.elements.filter((e) => e.kind !== 'one-way').map((e) => e.id);
  return choices(controlled).map((apply) => {
    const { outcome, ratio } = table.settle(maskOf(unit, apply), 'drive', ways).motion;
    return { apply, outcome, ratio };
  });
}

function choices(ids: readonly string[]): string[][] {
  if (ids.length <= MOST_COMBINED)
    return Array.from({ length: 2 ** ids.length }, (_, mask) =>
      ids.filter((_id, k) => mask & (1 << k)),
    );
  const grow = (from: number, chosen: string[]): string[][] => [
    chosen,
    ...(chosen.length === MOST_TOGETHER
      ? []
      : ids.slice(from).flatMap((id, k) => grow(from + k + 1, [...chosen, id]))),
  ];
  return grow(0, []);
}

/** One ratio and the smallest combinations that give it. */
export interface RatioGroup {
  readonly ratio: number;
  readonly ways: readonly (readonly string[])[];
}

/** Ratios from the lowest gear to the highest, reverse last, each with its combinations of fewest elements. */
export function ratioGroups(all: readonly Combination[]): RatioGroup[] {
  const sorted = all.filter((c) => c.outcome === 'drives').sort((a, b) => b.ratio - a.ratio);
  const groups: { ratio: number; ways: (readonly string[])[] }[] = [];
  for (const { ratio, apply } of sorted) {
    const last = groups.at(-1);
    if (last && Math.abs(last.ratio - ratio) < 1e-7 * Math.abs(ratio)) last.ways.push(apply);
    else groups.push({ ratio, ways: [apply] });
  }
  return groups.map(({ ratio, ways }) => {
    const fewest = ways.filter(
      (w) => !ways.some((v) => v !== w && v.every((id) => w.includes(id))),
    );
    return { ratio, ways: fewest.sort((a, b) => a.length - b.length) };
  });
}

/** All that a gear train could do, put together. */
export interface Combined {
  readonly count: number;
  readonly counts: Readonly<Partial<Record<Outcome, number>>>;
  readonly groups: readonly RatioGroup[];
}

/** @throws as `combinations` */
export function combined(unit: Unit): Combined {
  const all = combinations(unit);
  const counts: Partial<Record<Outcome, number>> = {};
  for (const { outcome } of all) counts[outcome] = (counts[outcome] ?? 0) + 1;
  return { count: all.length, counts, groups: ratioGroups(all) };
}
