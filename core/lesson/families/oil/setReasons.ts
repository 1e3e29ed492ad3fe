import type { OilClaim } from './claims';
import type { ShiftSetting } from './kinds';
import { keepsWithin, shiftedWith } from './runs';
import type { KeyedOf, Thoughts } from './types';

/** What a shift comes to as it is set. */

export const comesTo = (
  { question, subject: { rig } }: Pick<KeyedOf<'set-shift'>, 'question' | 'subject'>,
  setting: ShiftSetting,
  way: 'set' | 'found' | 'could',
): OilClaim => ({
  claim: 'shift-comes-to',
  gear: question.gear,
  setting,
  way,
  ...shiftedWith(rig, question, setting),
});

/** Settings that a way of thinking leads to, and how it is told from others by what was turned. */
const SET_WAYS = [
  {
    slip: 'more-pressure-is-safer',
    setting: { slack: -0.4, feed: 1, spring: 1.6, out: 1 },
    is: (s: ShiftSetting) => s.slack <= -0.15 || s.spring >= 1.4,
  },
  {
    slip: 'overlap-is-softer',
    setting: { slack: 0, feed: 1, spring: 1, out: 0.3 },
    is: (s: ShiftSetting) => s.out <= 0.6,
  },
  {
    slip: 'soft-spares-the-lining',
    setting: { slack: 0.3, feed: 1, spring: 0.6, out: 1 },
    is: (s: ShiftSetting) => s.slack >= 0.15 || s.spring <= 0.7,
  },
] as const;

export function setThoughts(asked: KeyedOf<'set-shift'>): Thoughts<'set-shift'> {
  const {
    question,
    subject: { rig },
  } = asked;
  if (!rig.vehicle) return [];
  const fails = (s: ShiftSetting) => !keepsWithin(question, shiftedWith(rig, question, s));
  return SET_WAYS.filter((w) => fails(w.setting)).map(({ slip, setting, is }) => ({
    slip,
    answer: { kind: 'set-shift' as const, setting },
    // What two ways of thinking would turn is neither's.
    gives: (a) =>
      is(a.setting) && SET_WAYS.filter((w) => w.is(a.setting)).length === 1 && fails(a.setting),
    claims: (a) => [comesTo(asked, a.setting, 'set'), comesTo(asked, question.found, 'found')],
  }));
}
