import { gearAt, sleevesOf, type Side, type SleeveGroup, type Unit } from '../geartrain';

/**
 * The sleeves of a gearbox in a row on their shafts: at each side of a hub the gear that it locks, above it the fork on its
 * rail. Sizes go by the teeth (derived here); a shaft with more than one sleeve is drawn once, through all of them.
 */
export interface RailGear {
  readonly element: string;
  readonly member: string;
  readonly side: Side;
  readonly x: number;
  /** Half of its height. */
  readonly reach: number;
  readonly teeth: number | null;
}

export interface Rail {
  readonly sleeve: SleeveGroup;
  /** Middle of the hub. */
  readonly x: number;
  /** Height of its rail. */
  readonly y: number;
  readonly gears: readonly RailGear[];
}

export interface SleeveRails {
  readonly width: number;
  readonly rails: readonly Rail[];
  /** Each shaft from its first hub to its last. */
  readonly shafts: readonly { readonly member: string; readonly x1: number; readonly x2: number }[];
}

/** px: a sleeve with room at both sides, how far its gears stand from it, and how far it goes to one of them; `name`: room for a
 * shaft's name behind its last hub. */
export const RAILS = {
  slot: 216,
  gear: 52,
  travel: 26,
  axis: 214,
  first: 34,
  step: 16,
  name: 120,
} as const;
const LEAST_REACH = 30;
const MOST_REACH = 78;

export function sleeveRails(unit: Unit): SleeveRails {
  // Sleeves on one shaft stand beside each other.
  const hubs = [...new Set(sleevesOf(unit).map((s) => s.hub))];
  const ordered = hubs.flatMap((hub) => sleevesOf(unit).filter((s) => s.hub === hub));
  const rails = ordered.map((sleeve, k): Rail => {
    const x = RAILS.slot * (k + 0.5) + RAILS.name * hubs.indexOf(sleeve.hub);
    return { sleeve, x, y: RAILS.first + RAILS.step * k, gears: gearsAt(unit, sleeve, x) };
  });
  const shafts = hubs.map((member) => {
    const own = rails.filter((r) => r.sleeve.hub === member).map((r) => r.x);
    return {
      member,
      x1: Math.min(...own) - RAILS.slot / 2 + 8,
      x2: Math.max(...own) + RAILS.slot / 2 - 8,
    };
  });
  const width = rails.length === 0 ? RAILS.slot : rails.at(-1)!.x + RAILS.slot / 2 + RAILS.name;
  return { width, rails, shafts };
}

function gearsAt(unit: Unit, { sides }: SleeveGroup, x: number): RailGear[] {
  return sides.flatMap((id, n): RailGear[] => {
    const member = id === null ? null : gearAt(unit, id);
    if (id === null || member === null) return [];
    const teeth = teethOf(unit, member);
    const reach = teeth === null ? LEAST_REACH : LEAST_REACH + teeth;
    return [
      {
        element: id,
        member,
        side: n as Side,
        x: x + (n === 0 ? -RAILS.gear : RAILS.gear),
        reach: Math.min(MOST_REACH, reach),
        teeth,
      },
    ];
  });
}

/** Teeth of a member's gear in the first pair that has it. */
function teethOf(unit: Unit, member: string): number | null {
  for (const set of unit.gearsets) {
    if (set.kind !== 'mesh') continue;
    if (set.second === member) return set.teeth.second;
    if (set.first === member) return set.teeth.first;
  }
  return null;
}

/** Where a sleeve goes when it is drawn so far from where it stood: to a side that it has, or between. */
export function placeAfter(
  { sides }: SleeveGroup,
  from: Side | 'neutral' | 'both',
  dx: number,
): Side | 'neutral' {
  const at = from === 0 ? -1 : from === 1 ? 1 : 0;
  const to = Math.max(-1, Math.min(1, at + Math.round(dx / RAILS.travel)));
  if (to < 0) return sides[0] === null ? 'neutral' : 0;
  return to > 0 && sides[1] !== null ? 1 : 'neutral';
}
