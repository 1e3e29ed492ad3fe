import { kindsOf, newOwnQuestion } from '../../../../core/lesson';
import type { FamilyEditor } from '../familyEditor';
import { OwnEditor } from './Editor';

export const OWN_EDITOR: FamilyEditor<'own'> = {
  label: 'question.ofYourOwn',
  kinds: () => kindsOf('own'),
  fresh: (kind) => ({ question: newOwnQuestion(kind), models: [] }),
  Editor: OwnEditor,
};
