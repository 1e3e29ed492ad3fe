import type { GearPair, Unit } from '../geartrain';
import type { Bill } from './bill';
import { packInDrum } from './packs';
import type { Sort } from './parts';

/**
 * Gear pairs on shafts beside each other: a gear leaves with what lies behind it on its shaft gone, a sleeve when its fork
 * has let go of it. Shafts come out of the case behind the extension; sleeves with two sides are for units that tell them.
 * @param madeFor what an element was made to hold, N·m
 */
export function gearboxParts(
  bill: Bill,
  unit: Unit,
  { dry }: Sort,
  madeFor: (element: string) => number,
): void {
  const pairs = unit.gearsets.filter((g): g is GearPair => g.kind === 'mesh');
  const dogs = unit.elements.filter((e) => e.kind === 'dog');
  for (const { id } of dogs) {
    bill.part(`${id}.fork`, 'fork', ['side'], { of: id });
    bill.part(`${id}.sleeve`, 'sleeve', ['rear'], { of: id });
    bill.part(`${id}.hub`, 'hub', ['rear'], { of: id });
    bill.part(`${id}.blocker-rings`, 'blocker-rings', ['rear'], { of: id });
    bill.rule(`${id}.fork`, 'retained', ['selector-shaft']);
    bill.rule(`${id}.sleeve`, 'fork-first', [`${id}.fork`]);
    bill.rule(`${id}.hub`, 'retained', [`${id}.sleeve`]);
    bill.rule(`${id}.blocker-rings`, 'retained', [`${id}.hub`]);
  }
  bill.part('input-shaft', 'shaft', ['front'], { of: unit.input });
  // From the rear: what hangs on a gear leaves before it, and each gear before the one ahead.
  const ports = ['first', 'second'] as const;
  [...pairs].reverse().forEach((pair, k, fromRear) => {
    for (const port of ports) {
      const gear = bill.part(`${pair.id}.${port}`, 'gear', ['rear'], { of: pair.id });
      const on = dogs.filter((d) => d.between.includes(pair[port]));
      const behind = fromRear[k - 1];
      bill.rule(gear, 'rear-open', ['extension', 'output-shaft']);
      bill.rule(
        gear,
        'retained',
        on.map((d) => `${d.id}.sleeve`),
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
