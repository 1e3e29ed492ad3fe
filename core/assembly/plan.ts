import type { ShiftElement, Unit } from '../geartrain';
import { axisOf } from './axis';
import { Bill } from './bill';
import { gearboxParts } from './gearbox';
import { elementLoadsOf } from './loads';
import type { Sort, StripPlan } from './parts';
import { stackParts } from './stack';

const OIL_APPLIED: readonly ShiftElement['kind'][] = ['clutch', 'brake', 'band'];

export function sortOf(unit: Unit): Sort {
  const planetary = unit.gearsets.some((g) => g.kind !== 'mesh');
  const oil = unit.elements.filter((e) => OIL_APPLIED.includes(e.kind));
  // One clutch before a box of gear pairs is the driver's, dry and worked by a pedal.
  return { planetary, hydraulic: planetary || oil.length > 1 };
}

/** Every part of a unit, and what may leave before what. */
export function planOf(unit: Unit): StripPlan {
  const bill = new Bill();
  const sort = sortOf(unit);
  outsideParts(bill, sort);
  const loads = elementLoadsOf(unit);
  const places = sort.planetary ? stackParts(bill, unit, axisOf(unit), loads) : {};
  gearboxParts(bill, unit, sort, loads);
  bill.part('case', 'case', []);
  bill.rule(
    'case',
    'all-out',
    bill.parts.map((p) => p.id),
  );
  return { unit: unit.id, parts: bill.parts, rules: bill.rules, places };
}

/** What every unit of its sort has round its gears: fittings, pan, valve body, pump, rear end. */
function outsideParts(bill: Bill, { planetary, hydraulic }: Sort): void {
  bill.part('fluid', 'fluid', ['below']);
  bill.part('speed-pickup', 'fitting', ['side']);
  if (planetary) bill.part('converter', 'converter', ['front']);
  if (hydraulic) {
    bill.part('solenoid-plug', 'fitting', ['side']);
    bill.part('cable', 'fitting', ['side']);
    bill.part('pan', 'cover', ['below']);
    bill.part('filter', 'filter', ['below']);
    bill.part('valve-body', 'valve-body', ['below']);
    bill.part('park-rod', 'rod', ['below']);
    bill.part('pump', 'pump', ['front']);
    bill.rule('pan', 'drain-first', ['fluid']);
    bill.rule('pan', 'outside-first', ['solenoid-plug', 'cable', 'speed-pickup', 'converter']);
    bill.rule('filter', 'pan-first', ['pan']);
    bill.rule('valve-body', 'pan-first', ['pan', 'filter']);
    bill.rule('valve-body', 'outside-first', ['solenoid-plug', 'cable']);
    bill.rule('park-rod', 'linkage-with-body', ['valve-body']);
    bill.rule('pump', 'converter-first', ['converter']);
    bill.rule('pump', 'body-before-pump', ['valve-body']);
  }
  bill.part('selector-pin', 'pin', ['side']);
  bill.part('selector-shaft', 'shaft', ['side']);
  bill.rule('selector-shaft', 'selector-pin', ['selector-pin']);
  bill.rule('selector-shaft', 'linkage-with-body', ['valve-body', 'park-rod']);
  bill.part('extension', 'cover', ['rear']);
  bill.rule('extension', 'outside-first', ['speed-pickup']);
  if (!hydraulic) bill.rule('extension', 'drain-first', ['fluid']);
  bill.part('output-shaft', 'shaft', ['rear']);
  bill.rule('output-shaft', 'rear-open', ['extension']);
}
