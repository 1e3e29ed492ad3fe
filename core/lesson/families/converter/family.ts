import { allOf, type Family } from '../../family';
import { numberGuess, orderGuess } from '../../guessing';
import { judge } from './grade';
import { reasons } from './reasons';
import { converterKey } from './key';
import { SKETCH_AT, WAYS } from './kinds';
import { SMALLER_CONVERTER_QUESTIONS } from './smaller';
import type { ConverterTypes } from './types';
import { vary } from './vary';

export const CONVERTER_FAMILY: Family<ConverterTypes> = {
  key: (question, { rig }) => converterKey(question, rig),
  judge,
  reasons,
  vary,
  guess: {
    operate: null,
    'read-match': ({ question, key }) => numberGuess(key.value, question.tolerance),
    'sketch-curve': null,
    'predict-change': ({ question, key }) =>
      numberGuess(key.after, question.tolerance) / WAYS.length,
    'launch-order': ({ key }) => orderGuess(key.events.length),
  },
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
        key.events.map((e) => e.name),
      ),
  },
};
