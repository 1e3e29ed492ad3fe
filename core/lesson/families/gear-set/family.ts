import { noneTwice, type Family } from '../../family';
import { judge } from './grade';
import { setKey } from './key';
import { reasons } from './reasons';
import { SMALLER_SET_QUESTIONS } from './smaller';
import type { GearSetTypes } from './types';
import { vary } from './vary';

export const GEAR_SET_FAMILY: Family<GearSetTypes> = {
  key: (question, { setup }) => setKey(question, setup),
  judge,
  reasons,
  vary,
  dear: [],
  smaller: SMALLER_SET_QUESTIONS,
  fits: {
    number: ({ question, answer: { value, direction } }) =>
      Number.isFinite(value) && (direction !== undefined) === question.direction,
    choice: ({ key, answer }) => key.kind === 'choice' && key.options.includes(answer.choice),
    roles: ({ answer: { drives, driven, held } }) => noneTwice([drives, driven, held]),
  },
};
