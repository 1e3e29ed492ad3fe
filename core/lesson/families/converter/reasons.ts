import { characteristicOf } from '../../../converter';
import type { Reasons } from '../../family';
import { converterClaimHolds } from './claims';
import { curveAt } from './key';
import type { Sketched } from './kinds';
import type { ConverterTypes } from './types';
import { matchFacts, matchThoughts, operateThoughts, reads, sketchThoughts } from './benchReasons';
import { changeThoughts, orderThoughts } from './changeReasons';

const ENDS: Readonly<Record<Sketched, readonly number[]>> = {
  'torque-ratio': [0, 1],
  efficiency: [0, 0.8],
  capacity: [0, 0.9],
};

export const reasons: Reasons<ConverterTypes> = {
  thoughts: {
    operate: operateThoughts,
    'read-match': matchThoughts,
    'sketch-curve': sketchThoughts,
    'predict-change': changeThoughts,
    'launch-order': orderThoughts,
  },
  facts: {
    operate: ({ question, subject: { rig }, answer }) => reads(question, rig, answer),
    'read-match': ({ question, subject: { rig } }) => matchFacts(question, rig),
    'sketch-curve': ({ question: { curve }, subject: { rig } }) =>
      ENDS[curve].map((speedRatio) => ({
        claim: 'curve',
        curve,
        speedRatio,
        value: curveAt(curve, characteristicOf(rig.converter)!, speedRatio),
      })),
    'predict-change': ({ question: { of }, key: { before, after } }) => [
      { claim: 'changes', of, before, after },
    ],
    'launch-order': ({ key: { events } }) =>
      events.slice(1).flatMap(({ name, time }, k) => {
        const before = events[k]!;
        return before.time < time
          ? [
              {
                claim: 'first' as const,
                event: before.name,
                time: before.time,
                later: name,
                laterTime: time,
              },
            ]
          : [];
      }),
  },
  holds: (claim, { question, subject }) => converterClaimHolds(claim, question, subject.rig),
};
