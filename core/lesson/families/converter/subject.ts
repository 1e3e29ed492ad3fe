import type { FamilySubject } from '../../family';
import { rigOf } from '../../carried';
import type { ConverterTypes } from './types';

export const CONVERTER_SUBJECT: FamilySubject<ConverterTypes> = {
  subject(lesson, question) {
    const rig = rigOf(lesson, question);
    return rig && { kind: 'converter', rig };
  },
  missing: () => 'converter-missing',
};
