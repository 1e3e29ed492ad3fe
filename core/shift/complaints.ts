import { gearAt, isSleeveSide, sleeveWith, solveUnit, type Unit } from '../geartrain';
import { onceFor, toNumber } from '../numerics';
import { goesIn, jumpsOutAbove, SIDE_AS_NEW, sideAsMeasured, type GoesIn } from './sleeve';

/**
 * What a driver tells of every gear of a gearbox when one thing in it is worn: one side of a sleeve by what is measured of it, or
 * the clutch that drags. One gear points at the box, all of them at the clutch (common practice, no source).
 */
export const WORN_PARTS = ['tips', 'ring', 'engagement', 'clutch'] as const;
export type WornPart = (typeof WORN_PARTS)[number];

export interface Worn {
  readonly part: WornPart;
  /** The side of a sleeve; `null` of the clutch. */
  readonly side: string | null;
  /** mm of flat on the tips, mm of gap left at the ring, share of the engagement left, or N·m that the clutch drags. */
  readonly value: number;
}

/** From sound to as worn as it gets. */
export const WORN_LIMITS: Readonly<Record<WornPart, readonly [sound: number, gone: number]>> = {
  tips: [0, 0.75],
  ring: [1, 0],
  engagement: [1, 0],
  clutch: [0, 40],
};

export interface GearComplaint {
  readonly side: string;
  /** The member that the side locks. */
  readonly gear: string;
  /** Changed quickly on the move, and with a double de-clutch. */
  readonly quick: GoesIn;
  readonly matched: GoesIn;
  /** Whether it jumps out with `FULL_LOAD_NM` at the input. */
  readonly jumps: boolean;
}

/** N·m at the gearbox's input that a driver means by a hard pull (from memory). */
export const FULL_LOAD_NM = 160;

/** A side that a forward gear drives through, with what passes it for 1 at the input. */
interface ForwardSide {
  readonly side: string;
  readonly gear: string;
  readonly share: number;
}

const sidesOnce = onceFor<Unit, readonly ForwardSide[]>();

/** Sides of sleeves that forward gears drive through; reverse goes in at a standstill only. */
export const forwardSides = (unit: Unit): readonly ForwardSide[] =>
  sidesOnce(unit, '', () => forwardSidesOf(unit));

function forwardSidesOf(unit: Unit): ForwardSide[] {
  const found = new Map<string, ForwardSide>();
  for (const { apply } of unit.ranges) {
    const { ratio, elements } = solveUnit(unit, apply);
    if (!ratio || toNumber(ratio) <= 0) continue;
    for (const element of unit.elements) {
      if (!apply.includes(element.id) || !isSleeveSide(element)) continue;
      const torque = elements.get(element.id)?.torque;
      const share = torque ? Math.abs(toNumber(torque)) : 0;
      // A side that waits carries nothing here.
      if (share === 0) continue;
      const gear = gearAt(unit, element.id);
      const most = Math.max(share, found.get(element.id)?.share ?? 0);
      if (gear !== null) found.set(element.id, { side: element.id, gear, share: most });
    }
  }
  return unit.elements.flatMap((e) => found.get(e.id) ?? []);
}

export function complaintsOf(unit: Unit, { part, side, value }: Worn): GearComplaint[] {
  return forwardSides(unit).map((at): GearComplaint => {
    const own = part !== 'clutch' && at.side === side;
    const state = sideAsMeasured({
      ...SIDE_AS_NEW,
      ...(own && part === 'tips' ? { tips: value } : {}),
      ...(own && part === 'ring' ? { ringGap: value } : {}),
      ...(own && part === 'engagement' ? { engagement: value } : {}),
    });
    const drag = part === 'clutch' ? value : 0;
    return {
      side: at.side,
      gear: at.gear,
      quick: goesIn(state, false, drag),
      matched: goesIn(state, true, drag),
      jumps: at.share * FULL_LOAD_NM > jumpsOutAbove(state),
    };
  });
}

const STEPS = 20;

/** What could be worn, for the same complaints: each part of each side, at any wear from sound to gone. */
export function couldBeWorn(
  unit: Unit,
  told: readonly GearComplaint[],
): Pick<Worn, 'part' | 'side'>[] {
  const said = JSON.stringify(told);
  const sides = forwardSides(unit).map((s) => s.side);
  return WORN_PARTS.flatMap((part) => {
    const [sound, gone] = WORN_LIMITS[part];
    const values = Array.from(
      { length: STEPS },
      (_, k) => sound + ((k + 1) / STEPS) * (gone - sound),
    );
    return (part === 'clutch' ? [null] : sides)
      .filter((side) =>
        values.some((value) => JSON.stringify(complaintsOf(unit, { part, side, value })) === said),
      )
      .map((side) => ({ part, side }));
  });
}

/** The other side of the same sleeve; `null` where it has none. */
export function otherSide(unit: Unit, side: string): string | null {
  const at = sleeveWith(unit, side);
  return at ? (at.sleeve.sides[at.side === 0 ? 1 : 0] ?? null) : null;
}
