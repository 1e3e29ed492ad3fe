import type { FamilySubject } from '../../family';
import type { OwnTypes } from './types';

export const OWN_SUBJECT: FamilySubject<OwnTypes> = {
  subject: () => ({ kind: 'own' }),
  // The question is all there is: nothing is ever missing.
  missing: () => 'own-unfinished',
};
