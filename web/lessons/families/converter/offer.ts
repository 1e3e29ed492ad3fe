import { ConverterEditor } from './Editor';
import type { FamilyEditor } from '../familyEditor';
import { isOf, kindsOf, newConverterQuestion } from '../../../../core/lesson';
import { firstConverterRig } from '../../builder/firstRig';

export const CONVERTER_EDITOR: FamilyEditor<'converter'> = {
  label: 'question.ofConverter',
  kinds: (shelf) => (firstConverterRig(shelf, {}) ? kindsOf('converter') : []),
  fresh(kind, shelf, now) {
    const rig = firstConverterRig(shelf, isOf('converter', now) ? now : {});
    if (!rig) return null;
    const { converter, engine, vehicle, unit } = rig;
    return {
      question: newConverterQuestion(kind, rig),
      models: [converter, engine, ...(vehicle ? [vehicle] : []), ...(unit ? [unit] : [])],
    };
  },
  Editor: ConverterEditor,
};
