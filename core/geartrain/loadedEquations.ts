import { isZero } from '../numerics';
import { gearSetTerms } from './constraints';
import type { Solution } from './solve';
import { CASE, portsOf, type GearSet, type ShiftElement, type Unit } from './unit';

/**
 * What a ratio really depends on: the gear sets and elements that carry torque. By virtual work their rows
 * alone, weighted with λ, leave only the input's and the output's speed; all others drop out.
 */
export interface LoadedTrain {
  /** Elements that hold or transmit, in the unit's order. */
  readonly ties: readonly ShiftElement[];
  readonly sets: readonly GearSet[];
  /** The member that speaks for all that turn with it; the case for all that stand. */
  readonly speaker: (member: string) => string;
}

/** @param solution of this unit; its outcome must be `drives` */
export function loadedTrain(unit: Unit, solution: Solution): LoadedTrain {
  const ties = unit.elements.filter(({ id }) => {
    const result = solution.elements.get(id);
    if (!result || result.state === 'open' || result.state === 'overrunning') return false;
    return result.torque === null || !isZero(result.torque);
  });
  const sets = unit.gearsets.filter(({ id }) => {
    const torque = solution.setTorques.get(id);
    return !torque || !isZero(torque);
  });
  const order = [CASE, unit.input, unit.output, ...unit.members.map((m) => m.id)];
  const group = new Map<string, string>(order.map((id) => [id, id]));
  for (const { between } of ties) {
    const [a, b] = [group.get(between[0])!, group.get(between[1])!];
    const [keep, drop] = order.indexOf(a) <= order.indexOf(b) ? [a, b] : [b, a];
    for (const [member, speaker] of group) if (speaker === drop) group.set(member, keep);
  }
  return { ties, sets, speaker: (member) => group.get(member) ?? member };
}

/** Coefficient of each speaker's speed in a set's equation; those of the case drop out. */
export function termsBySpeaker<T>(
  set: GearSet,
  speaker: (member: string) => string,
  values: readonly T[],
  add: (a: T, b: T) => T,
): Map<string, T> {
  const sums = new Map<string, T>();
  portsOf(set).forEach(({ member }, k) => {
    const name = speaker(member);
    if (name === CASE) return;
    const before = sums.get(name);
    sums.set(name, before === undefined ? values[k]! : add(before, values[k]!));
  });
  return sums;
}

/** The whole coefficients of a set, in the order of `portsOf`. */
export const coefficientsOf = (set: GearSet): number[] =>
  gearSetTerms(set).map((term) => term.coefficient);

/**
 * What to eliminate next: the equation with fewest unknown members, and the one of them that stands in most
 * other equations.
 * @param termsOf the members of an equation
 * @param kept members that are not eliminated
 */
export function nextToEliminate<E>(
  equations: readonly E[],
  termsOf: (equation: E) => ReadonlyMap<string, unknown>,
  kept: readonly string[],
): { readonly equation: E; readonly member: string } | null {
  const open = (e: E) => [...termsOf(e).keys()].filter((m) => !kept.includes(m));
  const candidates = equations.filter((e) => open(e).length > 0);
  if (candidates.length === 0) return null;
  const equation = candidates.reduce((a, b) => (open(b).length < open(a).length ? b : a));
  const uses = (member: string) => equations.filter((e) => termsOf(e).has(member)).length;
  const member = open(equation).reduce((a, b) => (uses(b) > uses(a) ? b : a));
  return { equation, member };
}
