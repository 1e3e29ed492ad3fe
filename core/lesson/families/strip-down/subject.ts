import { jobOf } from '../../carried';
import type { FamilySubject } from '../../family';
import type { StripTypes } from './types';

export const STRIP_SUBJECT: FamilySubject<StripTypes> = {
  subject(lesson, question) {
    const job = jobOf(lesson, question);
    return job && { kind: 'strip-down', subject: { job } };
  },
  missing: () => 'job-missing',
};
