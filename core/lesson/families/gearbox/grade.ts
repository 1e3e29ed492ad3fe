import { SAME_LOSS } from '../../../shift';
import type { Family, GradedPart, Judged as JudgedAs, Of } from '../../family';
import type { GearboxKey } from './key';
import type { GearboxAnswer, GearboxRig, SetWaitingQuestion } from './kinds';
import { crossedWith, crossingRig, drivenWith, pairOf, placesOf, rangesAt } from './runs';
import type { GearboxPart, GearboxTypes } from './types';

type Judged = JudgedAs<GearboxPart>;

function side(
  { right }: Of<GearboxKey, 'which-side'>,
  answer: Of<GearboxAnswer, 'which-side'>,
): Judged {
  const own = answer.side ?? null;
  const same = right.filter((r) => r.side === own);
  return {
    parts: [
      { part: 'side', right: same.length > 0 },
      { part: 'worn', right: right.some((r) => r.part === answer.part) },
    ],
  };
}

function waiting(
  question: SetWaitingQuestion,
  { unit, vehicle }: GearboxRig,
  { drive }: Of<GearboxKey, 'set-waiting'>,
  { gears }: Of<GearboxAnswer, 'set-waiting'>,
): Judged {
  const own = drivenWith(question, unit, vehicle!, placesOf(unit, gears));
  const asGood = own.lost <= drive.lost + SAME_LOSS;
  const parts = own.changes.map((change, k): GradedPart<GearboxPart> => {
    const [from, to] = rangesAt(unit, [change.from, change.to]);
    return {
      part: 'change',
      // Some change may cost whatever waits: then it costs everybody.
      right: asGood || change.lost <= drive.changes[k]!.lost + SAME_LOSS,
      of: [from!, to!],
    };
  });
  return { parts };
}

export const judge: Family<GearboxTypes>['judge'] = {
  'which-side': ({ key, answer }) => side(key, answer),
  'two-gears': ({ key, answer }) => {
    const { binds, why } = key;
    return {
      parts: [
        { part: 'binds', right: answer.binds === binds },
        { part: 'why', right: answer.why === why },
      ],
    };
  },
  'set-waiting': ({ question, subject: { rig }, key, answer }) =>
    waiting(question, rig, key, answer),
  'draw-crossing': ({ question, subject: { rig }, answer }) => {
    const crossed = crossedWith(crossingRig(rig)!, pairOf(question, rig.unit)!, answer.ramps);
    return {
      parts: [
        { part: 'dip', right: crossed.dip <= question.dip },
        { part: 'flare', right: crossed.flareRpm <= question.flare },
      ],
    };
  },
};
