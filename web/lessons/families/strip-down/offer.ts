import { kindsOf, newStripQuestion } from '../../../../core/lesson';
import type { FamilyEditor } from '../familyEditor';
import { StripEditor } from './Editor';

export const STRIP_EDITOR: FamilyEditor<'strip-down'> = {
  label: 'question.ofJobs',
  kinds: ({ jobs }) => (jobs.length > 0 ? kindsOf('strip-down') : []),
  fresh(kind, { jobs }, now) {
    const job = jobs.find((j) => 'job' in now && j.id === now.job) ?? jobs[0];
    return job ? { question: newStripQuestion(kind, job), models: [job] } : null;
  },
  Editor: StripEditor,
};
