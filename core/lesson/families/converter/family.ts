import { allOf, keyAs, type Family } from '../../family';
import { judge } from './grade';
import { reasons } from './reasons';
import { converterKey } from './key';
import { SKETCH_AT } from './kinds';
import { SMALLER_CONVERTER_QUESTIONS } from './smaller';
import type { ConverterTypes } from './types';
import { vary } from './vary';

export const CONVERTER_FAMILY: Family<ConverterTypes> = {
  key: (question, { rig }) => converterKey(question, rig),
  judge,
  reasons,
  vary,
  dear: [],
  smaller: SMALLER_CONVERTER_QUESTIONS,
  fits: {
    operate: ({ answer: { throttle, turbineRpm } }) =>
      [throttle, turbineRpm].every(Number.isFinite),
    'read-match': ({ answer }) => Number.isFinite(answer.value),
    'sketch-curve': ({ answer: { values } }) =>
      values.length === SKETCH_AT.length && values.every(Number.isFinite),
    'predict-change': ({ answer }) => Number.isFinite(answer.value),
    'launch-order': ({ key, answer }) =>
      allOf(
        answer.order,
        keyAs(key, 'launch-order').events.map((e) => e.name),
      ),
  },
};
