import { solveUnit, type ElementResult, type Load, type Solution, type Unit } from '../geartrain';
import { ZERO } from '../numerics';
import { appliedWithFaults, withFaults } from './applyFault';
import type { Fault } from './fault';

const OPEN: ElementResult = { state: 'open', torque: ZERO };

/**
 * What a unit with these faults of its constraints does with these elements applied, exactly, told in the parts of the
 * sound unit: an element that is gone stands open.
 * @throws Error when a fault does not fit the unit
 */
export function faultySolution(
  unit: Unit,
  applied: readonly string[],
  load: Load,
  faults: readonly Fault[],
): Solution {
  const faulty = withFaults(unit, faults);
  if (!faulty.ok) throw new Error(`faultySolution: ${faulty.problem}: ${faulty.target}`);
  const on = appliedWithFaults(applied, faulty).filter((id) =>
    faulty.unit.elements.some((e) => e.id === id && e.kind !== 'one-way'),
  );
  const solution = solveUnit(faulty.unit, on, load);
  return {
    ...solution,
    elements: new Map(unit.elements.map((e) => [e.id, solution.elements.get(e.id) ?? OPEN])),
  };
}
