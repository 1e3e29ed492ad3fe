import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import { SKETCHED, type StallChange } from './kinds';
import type { ConverterTypes } from './types';

/** Another point of the same converter and engine. What an instructor wrote of one would be wrong of another. */
export const vary: Family<ConverterTypes>['vary'] = {
  operate: (question, _subject, random) => ({
    ...question,
    prompt: '',
    target: rounded(question.target * (0.7 + 0.6 * random.next())),
  }),
  'read-match': (question, _subject, random) => ({
    ...question,
    prompt: '',
    throttle: random.whole(4, 10) / 10,
    turbineRpm: Math.round((question.turbineRpm * (0.6 + 0.8 * random.next())) / 50) * 50,
  }),
  'sketch-curve': (question, _subject, random) => ({
    ...question,
    prompt: '',
    curve: random.pick(SKETCHED),
  }),
  'predict-change': (question, _subject, random) => ({
    ...question,
    prompt: '',
    change: otherChange(question.change, random),
  }),
  'launch-order': (question, _subject, random) => ({
    ...question,
    prompt: '',
    throttle: random.whole(3, 10) / 10,
    grade: random.whole(0, 6) / 50,
  }),
};

/** A number as an instructor would set it: two figures. */
const rounded = (value: number): number => Number(value.toPrecision(2));

/** More or less of the same change. */
function otherChange(change: StallChange, random: Random): StallChange {
  switch (change.kind) {
    case 'engine':
      return { kind: 'engine', share: random.pick([0.5, 0.6, 0.7, 0.8, 1.2, 1.3, 1.4]) };
    case 'altitude':
      return { kind: 'altitude', metres: random.whole(2, 16) * 250 };
    case 'size':
      return { kind: 'size', factor: random.pick([0.8, 0.85, 0.9, 1.1, 1.15, 1.2]) };
    case 'stator':
      return { kind: 'stator', fault: change.fault === 'slips' ? 'seized' : 'slips' };
  }
}
