import { partsOf } from '../../../hydraulics';
import type { Family } from '../../family';
import { within } from '../../questionParts';
import { boltsAs, boltsKept } from './bolts';
import { drawnTo } from './drawn';
import type { ShiftLimits } from './kinds';
import { keeps, shiftedWith, type ShiftedAs } from './runs';
import type { OilPart, OilTypes } from './types';

const kept = (limits: ShiftLimits, comes: ShiftedAs): { part: OilPart; right: boolean }[] => {
  const { jerk, flare, dip, kelvin } = keeps(limits, comes);
  return [
    { part: 'jerk-kept', right: jerk },
    { part: 'flare-kept', right: flare },
    { part: 'pull-kept', right: dip },
    { part: 'heat-kept', right: kelvin },
  ];
};

export const judge: Family<OilTypes>['judge'] = {
  'trace-oil': ({ key, answer }) => {
    const { parts } = key;
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
    const { up } = key;
    return {
      parts: partsOf(rig.plan, 'shift-valve').map(({ id }) => ({
        part: 'spool' as const,
        right: answer.up.includes(id) === up.includes(id),
        of: id,
      })),
    };
  },
  'shift-speed': ({ question, key, answer }) => {
    const { up, down } = key;
    return {
      parts: [
        { part: 'speed-up', right: within(question.tolerance, up, answer.up) },
        { part: 'speed-down', right: within(question.tolerance, down, answer.down) },
      ],
    };
  },
  'oil-fault-row': ({ key, answer }) => ({
    parts: key.row.map((moment, k) => ({
      part: 'moment' as const,
      right: answer.row[k] === moment,
      of: `${k + 1}–${k + 2}`,
    })),
  }),
  'which-ball': ({ key, answer }) => ({
    parts: [{ part: 'ball', right: key.balls.includes(answer.ball) }],
  }),
  'set-shift': ({ question, subject: { rig }, answer }) => {
    return { parts: kept(question, shiftedWith(rig, question, answer.setting)) };
  },
  'draw-pressures': ({ question, subject: { rig }, answer }) => {
    const comes = drawnTo(rig, question, answer);
    // A shift that does not come about keeps within nothing.
    const parts = kept(question, comes).map((p) => ({ ...p, right: p.right && comes.taken }));
    return { parts: [{ part: 'gear-taken', right: comes.taken }, ...parts] };
  },
  'bolt-order': ({ question, subject: { rig }, answer }) => {
    const { whole, as } = boltsKept(question, boltsAs(rig, question, answer));
    return {
      parts: [
        { part: 'bolts-whole', right: whole },
        { part: question.job === 'off' ? 'comes-level' : 'clamped-evenly', right: as },
      ],
    };
  },
  'kick-down': ({ question, key, answer }) => {
    const { gear, engineRpm } = key;
    return {
      parts: [
        { part: 'kicked', right: answer.gear === gear },
        { part: 'engine-then', right: within(question.tolerance, engineRpm, answer.engineRpm) },
      ],
    };
  },
};
