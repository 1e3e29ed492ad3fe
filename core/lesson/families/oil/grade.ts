import { partsOf } from '../../../hydraulics';
import { keyAs, type Family } from '../../family';
import { within } from '../../questionParts';
import { shiftedWith } from './runs';
import type { OilTypes } from './types';

export const judge: Family<OilTypes>['judge'] = {
  'trace-oil': ({ key, answer }) => {
    const { parts } = keyAs(key, 'trace-oil');
    const beside = answer.parts.filter((p) => !parts.includes(p));
    return {
      parts: [
        ...parts.map((of) => ({
          part: 'on-path' as const,
          right: answer.parts.includes(of),
          of,
        })),
        ...beside.map((of) => ({ part: 'off-path' as const, right: false, of })),
      ],
    };
  },
  'spool-places': ({ subject: { rig }, key, answer }) => {
    const { up } = keyAs(key, 'spool-places');
    return {
      parts: partsOf(rig.plan, 'shift-valve').map(({ id }) => ({
        part: 'spool' as const,
        right: answer.up.includes(id) === up.includes(id),
        of: id,
      })),
    };
  },
  'shift-speed': ({ question, key, answer }) => {
    const { up, down } = keyAs(key, 'shift-speed');
    return {
      parts: [
        { part: 'speed-up', right: within(question.tolerance, up, answer.up) },
        { part: 'speed-down', right: within(question.tolerance, down, answer.down) },
      ],
    };
  },
  'oil-fault-row': ({ key, answer }) => ({
    parts: keyAs(key, 'oil-fault-row').row.map((moment, k) => ({
      part: 'moment' as const,
      right: answer.row[k] === moment,
      of: `${k + 1}–${k + 2}`,
    })),
  }),
  'which-ball': ({ key, answer }) => ({
    parts: [{ part: 'ball', right: keyAs(key, 'which-ball').balls.includes(answer.ball) }],
  }),
  'set-shift': ({ question, subject: { rig }, answer }) => {
    const { jerk, flare, dip, kelvin } = shiftedWith(rig, question, answer.setting);
    return {
      parts: [
        { part: 'jerk-kept', right: jerk <= question.jerk },
        { part: 'flare-kept', right: flare <= question.flare },
        { part: 'pull-kept', right: dip >= question.dip },
        { part: 'heat-kept', right: kelvin <= question.kelvin },
      ],
    };
  },
  'kick-down': ({ question, key, answer }) => {
    const { gear, engineRpm } = keyAs(key, 'kick-down');
    return {
      parts: [
        { part: 'kicked', right: answer.gear === gear },
        { part: 'engine-then', right: within(question.tolerance, engineRpm, answer.engineRpm) },
      ],
    };
  },
};
