import { partsOf } from '../../../hydraulics';
import type { Reasons } from '../../family';
import { ballThoughts, shownBy } from './ballReasons';
import { boltsComeTo, boltThoughts, pushedOff } from './boltReasons';
import { oilClaimHolds, weighed } from './claims';
import { drawnComesTo, drawThoughts, handsOver } from './drawReasons';
import { comes, spoolThoughts, traceThoughts } from './pathReasons';
import { linesFor } from './runs';
import { comesTo, setThoughts } from './setReasons';
import {
  changes,
  kicked,
  kickThoughts,
  rowClaims,
  rowThoughts,
  soundAt,
  speedThoughts,
} from './speedReasons';
import type { OilTypes } from './types';

/** How the right answer comes about. */
const facts: Reasons<OilTypes>['facts'] = {
  'trace-oil': ({ question, key }) => key.parts.map((p) => comes(p, question.element, 'through')),
  'spool-places': ({ question, subject: { rig } }) =>
    partsOf(rig.plan, 'shift-valve').flatMap((v) => weighed(rig, question, v.id) ?? []),
  'shift-speed': ({ question: { gear, throttle, fault }, subject: { rig }, key }) => {
    const sound = fault
      ? linesFor(rig, null, [throttle]).find((l) => l.from === gear)?.points[0]
      : undefined;
    return [
      ...soundAt(rig, sound, gear, throttle),
      changes(rig, gear, throttle, key.up, 'up', fault),
      changes(rig, gear, throttle, key.down, 'down', fault),
    ];
  },
  'oil-fault-row': (asked) => rowClaims(asked, () => true),
  'which-ball': (asked) => asked.key.balls.slice(0, 1).flatMap((b) => shownBy(asked, b)),
  'kick-down': (asked) => kicked(asked),
  'set-shift': (asked) => [
    comesTo(asked, asked.answer.setting, 'set'),
    comesTo(asked, asked.key.setting, 'could'),
  ],
  'draw-pressures': (asked) => [
    drawnComesTo(asked, asked.answer, 'drawn'),
    ...handsOver(asked),
    drawnComesTo(asked, asked.key, 'could'),
  ],
  'bolt-order': (asked) => [
    pushedOff(asked),
    boltsComeTo(asked, asked.answer, 'turned'),
    boltsComeTo(asked, asked.key, 'could'),
  ],
};

export const reasons: Reasons<OilTypes> = {
  thoughts: {
    'trace-oil': traceThoughts,
    'spool-places': spoolThoughts,
    'shift-speed': speedThoughts,
    'oil-fault-row': rowThoughts,
    'which-ball': ballThoughts,
    'kick-down': kickThoughts,
    'set-shift': setThoughts,
    'draw-pressures': drawThoughts,
    'bolt-order': boltThoughts,
  },
  facts,
  holds: (claim, { question, subject }) => oilClaimHolds(claim, question, subject.rig),
};
