import { isZero, signOf } from '../numerics';
import type { Solution } from './solve';
import { CASE, portsOf, type Unit } from './unit';

/**
 * What each member of a unit does now, in the four roles that everything is told by: it drives (turns with
 * the input), is driven (turns with the output), is held, or is idle. Members between the two that carry
 * torque count to the side whose speed they share, else to the input's.
 */
export type MemberRole = 'drives' | 'driven' | 'held' | 'idle';

export function memberRoles(unit: Unit, solution: Solution): Map<string, MemberRole> {
  const roles = new Map<string, MemberRole>([[CASE, 'held']]);
  const output = solution.speeds.get(unit.output);
  const carries = carrying(unit, solution);
  for (const { id } of unit.members) {
    const speed = solution.speeds.get(id);
    if (id === unit.input && solution.outcome !== 'input-held' && solution.outcome !== 'tied-up')
      roles.set(id, 'drives');
    else if (speed && isZero(speed)) roles.set(id, 'held');
    else if (solution.outcome !== 'drives' || !speed || !carries.has(id)) roles.set(id, 'idle');
    else if (id === unit.output || (output && same(speed, output))) roles.set(id, 'driven');
    else roles.set(id, 'drives');
  }
  return roles;
}

const same = (a: { num: bigint; den: bigint }, b: { num: bigint; den: bigint }): boolean =>
  a.num === b.num && a.den === b.den;

/** Members that some torque acts on: through a gear set, or an element that is not idle. */
function carrying(unit: Unit, solution: Solution): Set<string> {
  const members = new Set<string>([unit.input, unit.output]);
  for (const set of unit.gearsets) {
    const lambda = solution.setTorques.get(set.id);
    if (lambda && signOf(lambda) === 0) continue;
    for (const { member } of portsOf(set)) members.add(member);
  }
  for (const element of unit.elements) {
    const result = solution.elements.get(element.id);
    if (!result || result.state === 'open' || result.state === 'overrunning') continue;
    if (result.torque && signOf(result.torque) === 0) continue;
    for (const member of element.between) members.add(member);
  }
  return members;
}
