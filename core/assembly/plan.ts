import { drivingOf, rigOfUnit } from '../faults';
import type { Unit } from '../geartrain';
import { mainClutchOf } from '../shift';
import { Bill } from './bill';
import { fineParts } from './fineParts';
import { gearboxParts } from './gearbox';
import type { Sort, StripPlan } from './parts';
import { stackParts } from './stack';

const OIL_APPLIED = ['clutch', 'brake', 'band'];

const known = { main: new WeakMap<Unit, StripPlan>(), all: new WeakMap<Unit, StripPlan>() };

/** The plan of a unit that somebody else has worked out, a worker for example; `null` while nobody has. */
export const knownPlan = (unit: Unit, parts: 'main' | 'all'): StripPlan | null =>
  known[parts].get(unit) ?? null;
export const rememberPlan = (unit: Unit, parts: 'main' | 'all', plan: StripPlan): StripPlan => {
  known[parts].set(unit, plan);
  return plan;
};

function sortOf(unit: Unit): Sort {
  const planetary = unit.gearsets.some((g) => g.kind !== 'mesh');
  // Before gear pairs a clutch alone on the input is the driver's, dry and worked by a pedal.
  const dry = planetary ? null : (mainClutchOf(unit)?.id ?? null);
  const oil = unit.elements.some((e) => OIL_APPLIED.includes(e.kind) && e.id !== dry);
  return { planetary, hydraulic: planetary || oil, dry };
}

/**
 * Every part of a unit, and what may leave before what.
 * @param parts `main`: without bolts, gaskets, needles and the like
 */
export function planOf(unit: Unit, parts: 'main' | 'all' = 'all'): StripPlan {
  const bill = new Bill(unit.id);
  const sort = sortOf(unit);
  const { loads, sound } = drivingOf(rigOfUnit(unit));
  // What each was made to hold, N·m: as the desk has it.
  const madeFor = (element: string) => loads.madeFor(sound.worstOf(element)) * loads.engineNm;
  outsideParts(bill, sort);
  if (sort.planetary) stackParts(bill, unit, madeFor);
  else gearboxParts(bill, unit, sort, madeFor);
  if (parts === 'all') fineParts(bill);
  const there = bill.all().map((p) => p.id);
  bill.part('case', 'case', []);
  bill.rule('case', 'all-out', there);
  return bill.plan();
}

/** What every unit of its sort has round its gears: fittings, pan, valve body, pump, rear end. */
function outsideParts(bill: Bill, { planetary, hydraulic }: Sort): void {
  bill.part('fluid', 'fluid', ['below']);
  bill.part('speed-pickup', 'fitting', ['side']);
  if (planetary) bill.part('converter', 'converter', ['front']);
  if (hydraulic) {
    bill.part('solenoid-plug', 'fitting', ['side']);
    bill.part('cable', 'fitting', ['side']);
    bill.part('pan', 'pan', ['below']);
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
  bill.part('selector-shaft', 'rod', ['side']);
  bill.rule('selector-shaft', 'selector-pin', ['selector-pin']);
  bill.rule('selector-shaft', 'linkage-with-body', ['valve-body', 'park-rod']);
  bill.part('extension', 'extension', ['rear']);
  bill.rule('extension', 'outside-first', ['speed-pickup']);
  if (!hydraulic) bill.rule('extension', 'drain-first', ['fluid']);
  bill.part('output-shaft', 'output-shaft', ['rear']);
  bill.rule('output-shaft', 'rear-open', ['extension']);
}
