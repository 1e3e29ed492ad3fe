import { partsOf } from '../../../hydraulics';
import { among, ids, noneTwice, type Family } from '../../family';
import { ballsOf } from './balls';
import { judge } from './grade';
import { SETTING_LIMITS, SHIFT_SETTINGS } from './kinds';
import { oilKey } from './key';
import { reasons } from './reasons';
import { gearsFor } from './runs';
import type { OilTypes } from './types';
import { vary } from './vary';

export const OIL_FAMILY: Family<OilTypes> = {
  key: (question, { rig }) => oilKey(question, rig),
  judge,
  reasons,
  vary,
  dear: ['set-shift'],
  fits: {
    'trace-oil': ({ subject: { rig }, answer: { parts } }) =>
      noneTwice(parts) && among(parts, ids(rig.plan.parts)),
    'spool-places': ({ subject: { rig }, answer: { up } }) =>
      noneTwice(up) && among(up, ids(partsOf(rig.plan, 'shift-valve'))),
    'shift-speed': () => true,
    'oil-fault-row': ({ key, answer: { row } }) =>
      key.kind === 'oil-fault-row' && row.length === key.row.length,
    'which-ball': ({ subject: { rig }, answer: { ball } }) => ballsOf(rig).includes(ball),
    'set-shift': ({ answer: { setting } }) =>
      SHIFT_SETTINGS.every((k) => {
        const [least, most] = SETTING_LIMITS[k];
        return setting[k] >= least && setting[k] <= most;
      }),
    'kick-down': ({ subject: { rig }, answer: { gear } }) =>
      gear >= 1 && gear <= gearsFor(rig).forward.length,
  },
};
