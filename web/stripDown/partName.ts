import type { TFunction } from 'i18next';
import type { Part } from '../../core/assembly';
import type { Unit } from '../../core/geartrain';
import { memberName } from '../shared/unitNames';

/** What stands on the end of a shaft bears its name. */
const ON_A_SHAFT: readonly Part['kind'][] = ['nut', 'shaft-bearing', 'shim'];

/** A part by what it belongs to and what it is: `C1 drum`, `Sun shell`, `Pump`, `Thrust washer 3`. */
export function partName(t: TFunction, unit: Unit | null, part: Part): string {
  const { id, kind, of } = part;
  const [which] = /\d+$/.exec(id.slice(Math.max(id.lastIndexOf('.'), id.lastIndexOf('-')))) ?? [];
  if (kind === 'thrust-washer' || kind === 'thrust-bearing')
    return [t(`stripDown.thrusts.${kind}`), which].filter(Boolean).join(' ');
  if (of === 'unit') return t(`stripDown.fixed.${id}`, { defaultValue: id });
  if (kind === 'gear') return t('stripDown.gearOn', { of, member: memberOfGear(unit, of, id) });
  if (ON_A_SHAFT.includes(kind))
    return t('stripDown.onShaft', {
      shaft: unit ? memberName(unit, of) : of,
      part: t(`stripDown.kinds.${kind}`),
    });
  const sides = (part.sides ?? []).filter((side) => side !== null);
  if (kind === 'sleeve' && sides.length > 1)
    return t('stripDown.sleeveOf', { of, sides: sides.join(' – ') });
  if (kind !== 'shell' && kind !== 'shaft') return `${of} ${t(`stripDown.kinds.${kind}`)}`;
  // A member's own parts bear its name; where it has more than one, they are counted.
  return [unit ? memberName(unit, of) : of, which].filter(Boolean).join(' ');
}

/** The two gears of a pair are told apart by what they turn with. */
function memberOfGear(unit: Unit | null, of: string, id: string): string {
  const set = unit?.gearsets.find((g) => g.id === of);
  if (!unit || set?.kind !== 'mesh') return '';
  return memberName(unit, id.endsWith('.first') ? set.first : set.second);
}
