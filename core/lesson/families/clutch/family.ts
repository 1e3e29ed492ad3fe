import { adjustmentsOf, NOISE_TESTS, selectiveChoices, UPGRADE_LIMITS } from '../../../clutch';
import { FEET_AT } from '../../../shift';
import { allOf, among, ids, type Family } from '../../family';
import { numberGuess } from '../../guessing';
import { judge } from './grade';
import { reasons } from './reasons';
import { clutchKey, SAME_PART } from './key';
import { SMALLER_CLUTCH_QUESTIONS } from './smaller';
import type { ClutchTypes } from './types';
import { vary } from './vary';

export const CLUTCH_FAMILY: Family<ClutchTypes> = {
  key: (question, { rig }) => clutchKey(question, rig),
  judge,
  reasons,
  vary,
  guess: {
    'set-free-play': null,
    'will-it-hold': ({ question, key }) =>
      key.kind === 'will-it-hold' ? numberGuess(key.value, question.tolerance) : null,
    'adjust-order': null,
    'noise-test': null,
    'draw-start': null,
    'choose-selective': null,
    'upgrade-limit': ({ question, key }) =>
      key.kind === 'carried'
        ? numberGuess(key.value, question.tolerance)
        : key.limits.length / UPGRADE_LIMITS.length,
  },
  dear: ['draw-start'],
  smaller: SMALLER_CLUTCH_QUESTIONS,
  fits: {
    'set-free-play': ({ answer: { forkRod, turnbuckle } }) =>
      [forkRod, turnbuckle].every(Number.isFinite),
    'will-it-hold': ({ question, subject, answer: { holds, value, range } }) =>
      question.ask === 'slips-first'
        ? range !== undefined && ids(subject.rig.unit?.ranges ?? []).includes(range)
        : holds !== undefined && Number.isFinite(value) && range === undefined,
    'adjust-order': ({ subject: { rig }, answer }) =>
      rig.clutch !== null && allOf(answer.order, adjustmentsOf(rig.clutch)),
    'noise-test': ({ answer }) => among([answer.test], ids(NOISE_TESTS)),
    'draw-start': ({ answer }) =>
      [answer.pedal, answer.throttle].every(
        (foot) => foot.length === FEET_AT.length && foot.every((v) => v >= 0 && v <= 1),
      ),
    'choose-selective': ({ subject: { rig }, answer }) =>
      rig.pack !== null &&
      selectiveChoices(rig.pack).some((c) => Math.abs(c.thickness - answer.thickness) < SAME_PART),
    'upgrade-limit': ({ question, answer: { limit, value } }) =>
      question.ask === 'limit'
        ? limit !== undefined && value === undefined
        : Number.isFinite(value) && limit === undefined,
  },
};
