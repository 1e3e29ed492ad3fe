import { partsOf, SHIFT_MOMENTS } from '../../../hydraulics';
import { among, ids, noneTwice, type Family } from '../../family';
import { ballsOf } from './balls';
import { bodyFor } from './bolts';
import { numberGuess } from '../../guessing';
import { judge } from './grade';
import { lineIn } from './drawn';
import { DRAWN_AT, SETTING_LIMITS, SHIFT_SETTINGS } from './kinds';
import { oilKey } from './key';
import { reasons } from './reasons';
import { exchangeIn, gearsFor } from './runs';
import type { OilTypes } from './types';
import { vary } from './vary';

/** What is drawn is kept in so many digits. */
const ROUNDED = 1 + 1e-6;

export const OIL_FAMILY: Family<OilTypes> = {
  key: (question, { rig }) => oilKey(question, rig),
  judge,
  reasons,
  vary,
  guess: {
    'trace-oil': null,
    'spool-places': ({ key }) => 2 ** -Math.max(1, key.up.length),
    'shift-speed': ({ question: { tolerance }, key }) =>
      numberGuess(key.up, tolerance) * numberGuess(key.down, tolerance),
    'oil-fault-row': ({ key }) => SHIFT_MOMENTS.length ** -key.row.length,
    'which-ball': null,
    'kick-down': ({ question, key }) => numberGuess(key.engineRpm, question.tolerance),
    'set-shift': null,
    'draw-pressures': null,
    'bolt-order': null,
  },
  dear: ['set-shift', 'draw-pressures', 'bolt-order'],
  fits: {
    'trace-oil': ({ subject: { rig }, answer: { parts } }) =>
      noneTwice(parts) && among(parts, ids(rig.plan.parts)),
    'spool-places': ({ subject: { rig }, answer: { up } }) =>
      noneTwice(up) && among(up, ids(partsOf(rig.plan, 'shift-valve'))),
    'shift-speed': () => true,
    'oil-fault-row': ({ key, answer: { row } }) => row.length === key.row.length,
    'which-ball': ({ subject: { rig }, answer: { ball } }) => ballsOf(rig).includes(ball),
    'set-shift': ({ answer: { setting } }) =>
      SHIFT_SETTINGS.every((k) => {
        const [least, most] = SETTING_LIMITS[k];
        return setting[k] >= least && setting[k] <= most;
      }),
    'draw-pressures': ({ question, subject: { rig }, answer: { coming, going } }) => {
      const most = lineIn(rig, question);
      const goes = exchangeIn(rig, question.gear).going.length > 0;
      return (
        coming.length === DRAWN_AT.length &&
        going.length === (goes ? DRAWN_AT.length : 0) &&
        [...coming, ...going].every((p) => p >= 0 && p <= most * ROUNDED)
      );
    },
    'bolt-order': ({ question, subject: { rig }, answer: { order } }) => {
      const bolts = ids(bodyFor(rig, question).bolts);
      return noneTwice(order) && among(order, bolts) && order.length === bolts.length;
    },
    'kick-down': ({ subject: { rig }, answer: { gear } }) =>
      gear >= 1 && gear <= gearsFor(rig).forward.length,
  },
};
