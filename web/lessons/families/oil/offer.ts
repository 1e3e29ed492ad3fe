import { gearsOf, planFor, shiftsByOil } from '../../../../core/hydraulics';
import { isOf, kindsOf, newOilQuestion } from '../../../../core/lesson';
import type { Unit } from '../../../../core/geartrain';
import type { LessonShelf } from '../../builder/useLessonShelf';
import type { FamilyEditor } from '../familyEditor';
import { OilEditor } from './Editor';

const shifts = (unit: Unit): boolean => shiftsByOil(unit, gearsOf(unit));

/** A plan with its unit: one of the shelf, else one that is made for a unit. */
export function oilRigFrom({ hydraulics, units, vehicles }: LessonShelf, wanted?: string) {
  const vehicle = vehicles[0] ?? null;
  for (const plan of [...hydraulics].sort((a) => (a.id === wanted ? -1 : 0))) {
    const unit = units.find((u) => u.id === plan.unit);
    if (unit) return { plan, unit, vehicle };
  }
  const unit = units.find(shifts);
  return unit ? { plan: planFor(unit), unit, vehicle } : null;
}

/** Kinds that ask how a shift feels. */
const ROLLS: readonly string[] = ['set-shift', 'draw-pressures'];

export const OIL_EDITOR: FamilyEditor<'oil'> = {
  label: 'question.ofOil',
  kinds: (shelf) => (shelf.hydraulics.length > 0 || shelf.units.some(shifts) ? kindsOf('oil') : []),
  fresh(kind, shelf, now) {
    const rig = oilRigFrom(shelf, isOf('oil', now) ? now.hydraulics : undefined);
    return (
      rig && {
        question: newOilQuestion(kind, rig),
        models: [rig.plan, rig.unit, ...(ROLLS.includes(kind) && rig.vehicle ? [rig.vehicle] : [])],
      }
    );
  },
  Editor: OilEditor,
};
