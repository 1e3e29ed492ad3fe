import { ClutchEditor } from './Editor';
import type { FamilyEditor } from '../familyEditor';
import { isOf, kindsOf, newClutchQuestion } from '../../../../core/lesson';
import { firstClutchRig, modelsNamed } from '../../builder/firstRig';

export const CLUTCH_EDITOR: FamilyEditor<'clutch'> = {
  label: 'question.ofClutch',
  kinds: ({ clutches, clutchPacks }) =>
    clutches.length > 0 && clutchPacks.length > 0 ? kindsOf('clutch') : [],
  fresh(kind, shelf, now) {
    const rig = firstClutchRig(shelf, isOf('clutch', now) ? now : {});
    const question = newClutchQuestion(kind, rig);
    return { question, models: modelsNamed(rig, { ...question }) };
  },
  Editor: ClutchEditor,
};
