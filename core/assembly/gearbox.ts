import type { GearPair, Unit } from '../geartrain';
import type { Bill } from './bill';
import { frictionsFor } from './loads';
import type { Sort } from './parts';
import { packParts } from './stack';

/**
 * Gear pairs on shafts beside each other: a gear leaves with what lies behind it on its shaft gone, a sleeve when its fork
 * has let go of it. Shafts come out of the case behind the extension; sleeves with two sides are for units that tell them.
 */
export function gearboxParts(
  bill: Bill,
  unit: Unit,
  { planetary, hydraulic }: Sort,
  loads: ReadonlyMap<string, number>,
): void {
  const pairs = unit.gearsets.filter((g): g is GearPair => g.kind === 'mesh');
  const dogs = unit.elements.filter((e) => e.kind === 'dog');
  if (pairs.length === 0 || planetary) return;
  for (const { id } of dogs) {
    const fork = bill.part(`${id}.fork`, 'fork', ['side'], { of: id });
    bill.part(`${id}.sleeve`, 'sleeve', ['rear'], { of: id });
    bill.part(`${id}.hub`, 'hub', ['rear'], { of: id });
    bill.part(`${id}.blocker-rings`, 'blocker-rings', ['rear'], { of: id });
    bill.rule(fork, 'linkage-with-body', ['selector-shaft']);
    bill.rule(`${id}.sleeve`, 'fork-first', [fork]);
    bill.rule(`${id}.hub`, 'retained', [`${id}.sleeve`]);
    bill.rule(`${id}.blocker-rings`, 'washers-held', [`${id}.hub`]);
  }
  const shaft = bill.part('input-shaft', 'shaft', ['front'], { of: unit.input });
  // From the rear: what hangs on a gear leaves before it, and each gear before the one ahead.
  const gears: string[] = [];
  for (const { id, first, second } of [...pairs].reverse())
    for (const [name, member] of [
      ['first', first],
      ['second', second],
    ] as const) {
      const gear = bill.part(`${id}.${name}`, 'gear', ['rear'], { of: id });
      const sleeves = dogs.filter((d) => d.between.includes(member)).map((d) => `${d.id}.sleeve`);
      bill.rule(gear, 'rear-open', ['extension', 'output-shaft']);
      bill.rule(gear, 'retained', sleeves);
      const behind = gears.at(-2);
      if (behind) bill.rule(gear, 'way-out', [behind]);
      gears.push(gear);
    }
  bill.rule(shaft, 'way-out', gears.slice(-1));
  clutchParts(bill, unit, hydraulic, loads);
}

/** Before the box: packs in oil that come out by the front, or one dry disc under its cover. */
function clutchParts(
  bill: Bill,
  unit: Unit,
  hydraulic: boolean,
  loads: ReadonlyMap<string, number>,
): void {
  for (const { id } of unit.elements.filter((e) => e.kind === 'clutch')) {
    const own = { of: id };
    if (hydraulic) {
      const drum = bill.part(`${id}.drum`, 'drum', ['front'], own);
      packParts(bill, id, ['front'], frictionsFor(loads.get(id) ?? 0), 4);
      bill.rule(drum, 'pump-before-drums', ['pump']);
      bill.rule(`${id}.ring`, 'in-the-drum', [drum]);
      bill.rule('input-shaft', 'way-out', [drum]);
      continue;
    }
    const bearing = bill.part(`${id}.bearing`, 'bearing', ['front'], own);
    const cover = bill.part(`${id}.cover`, 'cover', ['front'], own);
    const disc = bill.part(`${id}.disc`, 'disc', ['front'], own);
    bill.rule(cover, 'way-out', [bearing]);
    bill.rule(disc, 'retained', [cover]);
  }
}
