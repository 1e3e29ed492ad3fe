import { noneTwice, type Family } from '../../family';
import { numberGuess } from '../../guessing';
import { judge } from './grade';
import { HELD_ARRANGEMENTS, setKey } from './key';
import { reasons } from './reasons';
import { SMALLER_SET_QUESTIONS } from './smaller';
import type { GearSetTypes } from './types';
import { vary } from './vary';

export const GEAR_SET_FAMILY: Family<GearSetTypes> = {
  key: (question, { setup }) => setKey(question, setup),
  judge,
  reasons,
  vary,
  guess: {
    number: ({ question, key }) =>
      numberGuess(key.value, question.tolerance) / (question.direction ? 2 : 1),
    choice: ({ key }) => key.right.length / key.options.length,
    roles: ({ key }) => key.right.length / HELD_ARRANGEMENTS.length,
  },
  dear: [],
  smaller: SMALLER_SET_QUESTIONS,
  fits: {
    number: ({ question, answer: { value, direction } }) =>
      Number.isFinite(value) && (direction !== undefined) === question.direction,
    choice: ({ key, answer }) => key.options.includes(answer.choice),
    roles: ({ answer: { drives, driven, held } }) => noneTwice([drives, driven, held]),
  },
};
