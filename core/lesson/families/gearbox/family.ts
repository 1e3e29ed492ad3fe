import { gearsInOrder, RAMP_LIMITS, WAITING_MARKS } from '../../../shift';
import { among, ids, type Family } from '../../family';
import { judge } from './grade';
import { BIND_REASONS } from './kinds';
import { gearboxKey } from './key';
import { reasons } from './reasons';
import type { GearboxTypes } from './types';
import { vary } from './vary';

const within = (value: number, [least, most]: readonly [number, number]): boolean =>
  value >= least && value <= most;

export const GEARBOX_FAMILY: Family<GearboxTypes> = {
  key: (question, { rig }) => gearboxKey(question, rig),
  judge,
  reasons,
  vary,
  guess: {
    'which-side': null,
    'two-gears': () => 1 / (2 * BIND_REASONS.length),
    'set-waiting': null,
    'draw-crossing': null,
  },
  dear: ['draw-crossing'],
  fits: {
    'which-side': ({ key, answer: { part, side } }) =>
      part === 'clutch'
        ? side === undefined
        : side !== undefined && key.told.some((g) => g.side === side),
    'two-gears': () => true,
    'set-waiting': ({ subject: { rig }, answer: { gears } }) =>
      gears.length === WAITING_MARKS.length && among(gears, ids(gearsInOrder(rig.unit))),
    'draw-crossing': ({ answer: { ramps } }) =>
      [ramps.off, ramps.on].every(
        ({ at, over }) => within(at, RAMP_LIMITS.at) && within(over, RAMP_LIMITS.over),
      ),
  },
};
