import type { Range, Unit } from '../../core/geartrain';

/** Names of a unit's parts as a person says them. */
export const memberName = (unit: Unit, id: string): string =>
  unit.members.find((m) => m.id === id)?.name ?? id;

/** "D 2", or "R" where lever and gear are the same. */
export const gearName = ({ lever, gear }: Range): string =>
  lever === gear ? lever : `${lever} ${gear}`;

export function rangeName(unit: Unit, id: string): string {
  const range = unit.ranges.find((r) => r.id === id);
  return range ? gearName(range) : id;
}
