import type { Unit } from '../geartrain';
import type { Gears } from './gears';

/**
 * How oil has to come to each element: from a port of the manual valve that is open in some lever places, past shift valves that
 * must stand up and down. An element that is on in gears which do not follow each other gets several paths.
 */
export interface OilPath {
  readonly element: string;
  readonly levers: readonly string[];
  /** Gears in which it is fed, both ends in. */
  readonly from: number;
  readonly to: number;
}

/** Elements that oil works: all but those that hold by themselves and sleeves. */
export const oiled = (unit: Unit): string[] =>
  unit.elements.filter((e) => e.kind !== 'one-way' && e.kind !== 'dog').map((e) => e.id);

/** Whether an upshift of a unit brings in what oil works: a gearbox that is shifted by hand has nothing to plan. */
export function shiftsByOil(unit: Unit, { forward }: Gears): boolean {
  const oil = oiled(unit);
  return forward.some(({ range }, k) => {
    const before = forward[k - 1]?.range.apply;
    return (
      before !== undefined && oil.some((id) => range.apply.includes(id) && !before.includes(id))
    );
  });
}

/** @param gears the gears that the shift valves tell apart */
export function pathsOf(element: string, { forward, levers, mainLever, on }: Gears): OilPath[] {
  const most = Math.max(1, forward.length);
  const isOn = (lever: string, gear: number) => on(lever, gear).includes(element);
  const open = new Set<string>();
  const name = (lever: string, gear: number) => `${lever} ${gear}`;
  const order = [...levers].sort((a, b) => Number(b === mainLever) - Number(a === mainLever));
  for (const lever of order)
    for (let gear = 1; gear <= most; gear++) if (isOn(lever, gear)) open.add(name(lever, gear));
  const paths: OilPath[] = [];
  for (const lever of order)
    for (let gear = 1; gear <= most; gear++) {
      if (!open.has(name(lever, gear))) continue;
      // As far as it stays on, either way: a longer path needs fewer valves.
      let [from, to] = [gear, gear];
      while (from > 1 && isOn(lever, from - 1)) from--;
      while (to < most && isOn(lever, to + 1)) to++;
      const fits = order.filter((l) =>
        Array.from({ length: to - from + 1 }, (_v, k) => from + k).every((g) => isOn(l, g)),
      );
      for (const l of fits) for (let g = from; g <= to; g++) open.delete(name(l, g));
      paths.push({ element, levers: levers.filter((l) => fits.includes(l)), from, to });
    }
  return paths;
}
