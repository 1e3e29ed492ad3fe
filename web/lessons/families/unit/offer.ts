import { UnitEditor } from './Editor';
import type { FamilyEditor } from '../familyEditor';
import { isOf, kindsOf, newUnitQuestion } from '../../../../core/lesson';

export const UNIT_EDITOR: FamilyEditor<'unit'> = {
  label: 'question.ofUnit',
  kinds: ({ units }) => (units.length > 0 ? kindsOf('unit') : []),
  fresh(kind, { units }, now) {
    const unit = units.find((u) => isOf('unit', now) && u.id === now.unit) ?? units[0];
    return unit ? { question: newUnitQuestion(kind, unit), models: [unit] } : null;
  },
  Editor: UnitEditor,
};
