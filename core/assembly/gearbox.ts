import { gearAt, sleevesOf, type GearPair, type SleeveGroup, type Unit } from '../geartrain';
import type { Bill } from './bill';
import { packInDrum } from './packs';
import type { Sort } from './parts';
import { SHIM_SIZES, sizeIn } from './sizes';

/**
 * Gear pairs on shafts beside each other: a gear leaves with what lies behind it on its shaft gone, a sleeve when its fork
 * has let go of it and the bearing behind it is off. Shafts come out of the case behind the extension.
 * @param madeFor what an element was made to hold, N·m
 */
export function gearboxParts(
  bill: Bill,
  unit: Unit,
  { dry }: Sort,
  madeFor: (element: string) => number,
): void {
  const pairs = unit.gearsets.filter((g): g is GearPair => g.kind === 'mesh');
  const sleeves = sleevesOf(unit);
  for (const { id, hub, sides } of sleeves) {
    bill.part(`${id}.fork`, 'fork', ['side'], { of: id, sides });
    bill.part(`${id}.sleeve`, 'sleeve', ['rear'], { of: id, sides });
    bill.part(`${id}.hub`, 'sleeve-hub', ['rear'], { of: id, sides });
    bill.rule(`${id}.fork`, 'retained', ['selector-shaft']);
    bill.rule(`${id}.sleeve`, 'fork-first', [`${id}.fork`]);
    bill.rule(`${id}.hub`, 'retained', [`${id}.sleeve`]);
    bill.rule(`${id}.sleeve`, 'retained', [`${hub}.bearing`]);
    for (const side of sides) {
      if (side === null) continue;
      bill.part(`${side}.blocker-rings`, 'blocker-rings', ['rear'], { of: side });
      bill.rule(`${side}.blocker-rings`, 'retained', [`${id}.hub`]);
    }
  }
  if (sleeves.some((s) => s.interlock !== undefined)) {
    bill.part('interlock', 'interlock', ['side']);
    bill.rule('interlock', 'retained', ['selector-shaft']);
  }
  for (const hub of new Set(sleeves.map((s) => s.hub))) shaftEnd(bill, unit, hub);
  bill.part('input-shaft', 'shaft', ['front'], { of: unit.input });
  // From the rear: what hangs on a gear leaves before it, and each gear before the one ahead.
  const ports = ['first', 'second'] as const;
  [...pairs].reverse().forEach((pair, k, fromRear) => {
    for (const port of ports) {
      const gear = bill.part(`${pair.id}.${port}`, 'gear', ['rear'], { of: pair.id });
      const member = pair[port];
      const on = sleeves.filter((s) => s.hub === member || lockedBy(unit, s).includes(member));
      const behind = fromRear[k - 1];
      bill.rule(gear, 'rear-open', ['extension', 'output-shaft']);
      bill.rule(
        gear,
        'retained',
        on.map((s) => `${s.id}.sleeve`),
      );
      bill.rule(gear, 'way-out', behind ? [`${behind.id}.${port}`] : []);
    }
  });
  bill.rule(
    'input-shaft',
    'way-out',
    pairs.slice(0, 1).flatMap(({ id }) => ports.map((port) => `${id}.${port}`)),
  );
  for (const { id } of unit.elements.filter((e) => e.kind === 'clutch'))
    if (id === dry) dryClutch(bill, id);
    else wetClutch(bill, id, madeFor(id));
}

/** Gears that a sleeve locks to its hub. */
const lockedBy = (unit: Unit, { sides }: SleeveGroup): string[] =>
  sides.flatMap((side) => (side === null ? [] : (gearAt(unit, side) ?? [])));

/** What holds the gears on the end of a shaft with sleeves: nut, bearing, and the shim that sets its float. */
function shaftEnd(bill: Bill, unit: Unit, of: string): void {
  bill.part(`${of}.nut`, 'nut', ['rear'], { of });
  bill.part(`${of}.bearing`, 'shaft-bearing', ['rear'], { of });
  bill.part(`${of}.shim`, 'shim', ['rear'], {
    of,
    size: sizeIn(SHIM_SIZES, unit.id, `${of}.shim`),
  });
  bill.rule(`${of}.nut`, 'rear-open', ['extension', 'output-shaft']);
  bill.rule(`${of}.bearing`, 'retained', [`${of}.nut`]);
  bill.rule(`${of}.shim`, 'way-out', [`${of}.bearing`]);
}

function wetClutch(bill: Bill, id: string, madeFor: number): void {
  bill.part(`${id}.drum`, 'drum', ['front'], { of: id });
  packInDrum(bill, id, madeFor);
  bill.rule(`${id}.drum`, 'pump-before-drums', ['pump']);
  bill.rule('input-shaft', 'way-out', [`${id}.drum`]);
}

/** One disc under its cover, worked by a pedal. */
function dryClutch(bill: Bill, id: string): void {
  const own = { of: id };
  bill.part(`${id}.bearing`, 'bearing', ['front'], own);
  bill.part(`${id}.cover`, 'clutch-cover', ['front'], own);
  bill.part(`${id}.disc`, 'disc', ['front'], own);
  bill.rule(`${id}.cover`, 'way-out', [`${id}.bearing`]);
  bill.rule(`${id}.disc`, 'retained', [`${id}.cover`]);
}
