import { FaultEditor } from './Editor';
import type { FamilyEditor } from '../familyEditor';
import { isCaseQuestion, kindsOf, newFaultQuestion } from '../../../../core/lesson';

export const FAULT_EDITOR: FamilyEditor<'fault'> = {
  label: 'question.ofFaults',
  kinds: ({ units, cases }) =>
    units.length > 0
      ? kindsOf('fault').filter((kind) => cases.length > 0 || !isCaseQuestion({ kind }))
      : [],
  fresh(kind, { units: [unit = null], cases: [faultCase = null] }) {
    const subject = isCaseQuestion({ kind })
      ? { unit: null, faultCase }
      : { unit, faultCase: null };
    const model = subject.unit ?? subject.faultCase;
    return model && { question: newFaultQuestion(kind, subject), models: [model] };
  },
  Editor: FaultEditor,
};
