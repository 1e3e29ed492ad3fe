import { sleeveWith, withSleeveAt, type Unit } from '../../core/geartrain';
import { toggled } from './applySlice';

/** What is on once an element is pressed. One sleeve can't be at both of its sides: in at one, it is out at the other. */
export function pressed(unit: Unit, applied: readonly string[], id: string): string[] {
  const at = applied.includes(id) ? null : sleeveWith(unit, id);
  return at ? withSleeveAt(at.sleeve, at.side, applied) : toggled(applied, id);
}
