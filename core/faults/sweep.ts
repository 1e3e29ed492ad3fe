import {
  maskOf,
  oneWayChoices,
  oneWayMask,
  outcomeTable,
  settle,
  type Load,
  type Outcome,
  type OutcomeTable,
  type Unit,
} from '../geartrain';
import { FAULTS_OF, portTargets, withFaults, type Fault } from './applyFault';

/**
 * What every range does under every single fault, on drive and on coast, in floating point. Faults of elements
 * only change which rows are on, so they share one table of outcomes; a broken link is a unit of its own.
 */
export interface SweepCase {
  readonly fault: Fault | null;
  readonly range: string;
  readonly load: Load;
  readonly outcome: Outcome;
  /** NaN unless it drives. */
  readonly ratio: number;
}

export const LOADS: readonly Load[] = ['drive', 'coast'];

/** Every single fault that can befall a unit. */
export const singleFaults = (unit: Unit): Fault[] => [
  ...unit.elements.flatMap(({ id, kind }) => FAULTS_OF[kind].map((k) => ({ target: id, kind: k }))),
  ...portTargets(unit).map((target) => ({ target, kind: 'broken' as const })),
];

/**
 * @param faults cases to go through; `null` is the unit as it should be
 * @throws Error when a fault does not fit the unit
 */
export function faultSweep(
  unit: Unit,
  faults: readonly (Fault | null)[] = [null, ...singleFaults(unit)],
): SweepCase[] {
  const sound = outcomeTable(unit);
  return faults.flatMap((fault) => sweepOne(unit, sound, fault));
}

function sweepOne(unit: Unit, sound: OutcomeTable, fault: Fault | null): SweepCase[] {
  const table = fault?.kind === 'broken' ? outcomeTable(brokenUnit(unit, fault)) : sound;
  const target = fault && fault.kind !== 'broken' ? maskOf(unit, [fault.target]) : 0;
  const gone = fault?.kind === 'will-not-apply' || fault?.kind === 'will-not-hold' ? target : 0;
  const always = fault?.kind === 'stuck-on' || fault?.kind === 'seized' ? target : 0;
  const ways = oneWayChoices(
    oneWayMask(unit) & ~gone & ~always,
    fault?.kind === 'reversed' ? target : 0,
  );
  return unit.ranges.flatMap((range) => {
    const applied = (maskOf(unit, range.apply) | always) & ~gone;
    return LOADS.map((load) => {
      const { outcome, ratio } = table.motion(settle(table, applied, load, ways));
      return { fault, range: range.id, load, outcome, ratio };
    });
  });
}

function brokenUnit(unit: Unit, fault: Fault): Unit {
  const result = withFaults(unit, [fault]);
  if (!result.ok)
    throw new Error(`faultSweep: fault ${fault.kind} of "${fault.target}": ${result.problem}`);
  return result.unit;
}
