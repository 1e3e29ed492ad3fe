import { allOf, among, noneTwice, type Family } from '../../family';
import { effectsOffered, measuredGap } from './bench';
import { numberGuess, orderGuess } from '../../guessing';
import { judge, laid } from './grade';
import { stripKey } from './key';
import { rulesOffered } from './orderReasons';
import { reasons } from './reasons';
import { WORTH_TOLERANCE } from './tolerances';
import type { StripTypes } from './types';
import { vary } from './vary';

export const STRIP_FAMILY: Family<StripTypes> = {
  key: (question, { subject }) => stripKey(question, subject),
  judge,
  reasons,
  vary,
  guess: {
    'free-now': ({ question }) => 2 ** -question.offered.length,
    'strip-order': null,
    'why-first': null,
    'lay-out': ({ key }) => orderGuess(key.order.length),
    'way-round': null,
    verdict: null,
    'read-gauge': null,
    'choose-size': null,
    'worth-it': ({ key }) => numberGuess(key.value, WORTH_TOLERANCE),
    'whole-job': null,
  },
  dear: ['whole-job'],
  fits: {
    'free-now': ({ question, answer }) =>
      noneTwice(answer.parts) && among(answer.parts, question.offered),
    'strip-order': ({ question, answer }) => allOf(answer.order, question.parts),
    'why-first': ({ question, subject, answer }) =>
      rulesOffered({ question, subject }).includes(answer.rule),
    'lay-out': ({ question, answer }) => allOf(answer.order, question.parts),
    'way-round': ({ question, subject, answer }) =>
      effectsOffered(laid(question, subject), question.part).includes(answer.becomes),
    verdict: () => true,
    'read-gauge': ({ answer }) => Number.isFinite(answer.value),
    'choose-size': ({ question, subject, answer }) =>
      measuredGap(laid(question, subject), question.part)?.selective.sizes.includes(answer.size) ??
      false,
    'worth-it': ({ answer }) => Number.isFinite(answer.value),
    'whole-job': ({ question, subject, answer: { work } }) => {
      const { parts } = laid(question, subject);
      const known = [...parts.keys()];
      return (
        among(work.tried, known) &&
        among(
          work.fits.map((f) => f.part),
          known,
        ) &&
        among(Object.keys(work.judged), known) &&
        among(work.ordered, known) &&
        among(
          [...work.taken, ...work.log].map((r) => r.part),
          known,
        )
      );
    },
  },
};
