import { GearSetEditor } from './Editor';
import type { FamilyEditor } from '../familyEditor';
import { isOf, kindsOf, newSetQuestion } from '../../../../core/lesson';

export const GEAR_SET_EDITOR: FamilyEditor<'gear-set'> = {
  label: 'question.ofSet',
  kinds: () => kindsOf('gear-set'),
  fresh: (kind, _shelf, now) => ({
    question: newSetQuestion(kind, isOf('gear-set', now) ? now.setup : undefined),
    models: [],
  }),
  Editor: GearSetEditor,
};
