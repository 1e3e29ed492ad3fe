import { CASE, portsOf, type GearPair, type Unit } from './unit';

/**
 * Which gear pairs stand between the same two shafts, and so need one centre distance: with one module, the
 * sum of teeth of an external pair, the difference of an internal one (any machine-design text; teeth without
 * profile shift). Members joined by a planetary set, or that an element can join, turn about one axis.
 */
export interface ShaftPair {
  readonly axes: string;
  readonly pairs: readonly GearPair[];
}

export function pairsByShafts(unit: Unit): ShaftPair[] {
  const axis = new Map(unit.members.map((m) => [m.id, m.id]));
  const join = (members: readonly string[]) => {
    const [first, ...others] = members.filter((m) => m !== CASE).map((m) => axis.get(m));
    for (const other of others)
      for (const [member, name] of axis)
        if (name === other && first !== undefined) axis.set(member, first);
  };
  for (const set of unit.gearsets) if (set.kind !== 'mesh') join(portsOf(set).map((p) => p.member));
  for (const { between } of unit.elements) join(between);
  const groups = new Map<string, GearPair[]>();
  for (const set of unit.gearsets) {
    if (set.kind !== 'mesh') continue;
    const key = [axis.get(set.first), axis.get(set.second)].sort().join(' ');
    groups.set(key, [...(groups.get(key) ?? []), set]);
  }
  return [...groups].map(([axes, pairs]) => ({ axes, pairs }));
}

/** Twice the centre distance of a pair, in modules. */
export const centreTeeth = ({ teeth, internal }: Pick<GearPair, 'teeth' | 'internal'>): number =>
  internal ? Math.abs(teeth.second - teeth.first) : teeth.first + teeth.second;
