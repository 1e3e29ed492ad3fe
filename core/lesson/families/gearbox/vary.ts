import { isSleeveSide } from '../../../geartrain';
import { forwardSides, WORN_PARTS, type WornPart } from '../../../shift';
import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import { clutchesOf } from './key';
import { upshifts } from './runs';
import type { GearboxTypes } from './types';

/** How worn a part is when it is drawn, from and to: far enough to be told. */
const DRAWN: Readonly<Record<WornPart, readonly [number, number]>> = {
  tips: [0.6, 0.74],
  ring: [0.02, 0.08],
  engagement: [0.35, 0.55],
  clutch: [18, 30],
};

/** The same gearbox with something else worn, in or asked for. What an instructor wrote of one would be wrong of another. */
export const vary: Family<GearboxTypes>['vary'] = {
  'which-side': (question, { rig: { unit } }, random) => {
    const part = random.pick(WORN_PARTS);
    const [from, to] = DRAWN[part];
    const sides = forwardSides(unit).map((s) => s.side);
    return {
      ...question,
      prompt: '',
      part,
      side: sides.length > 0 ? random.pick(sides) : question.side,
      value: Math.round(100 * (from + (to - from) * random.next())) / 100,
    };
  },
  'two-gears': (question, { rig: { unit } }, random) => {
    const sides = unit.elements.filter(isSleeveSide).map((e) => e.id);
    if (sides.length < 2) return question;
    const one = random.pick(sides);
    const closed = clutchesOf(unit).filter(() => random.next() < 0.5);
    return {
      ...question,
      prompt: '',
      sides: [one, random.pick(sides.filter((s) => s !== one))],
      clutches: closed,
    };
  },
  'set-waiting': (question, _subject, random) => ({
    ...question,
    prompt: '',
    speeds: question.speeds.map((v) => drawnSpeed(v, random)),
  }),
  'draw-crossing': (question, { rig: { unit } }, random) => {
    // The last steps up are close enough for what is asked; of the others some could not meet it.
    const pairs = upshifts(unit).slice(-2);
    if (pairs.length === 0) return question;
    const { from, to } = random.pick(pairs);
    // No stricter, so that it can still be met.
    const dip = Math.min(1, Math.round(question.dip * random.whole(100, 140)) / 100);
    return { ...question, prompt: '', from: from.id, to: to.id, dip };
  },
};

/** m/s, half of one up or down, and not below standing. */
const drawnSpeed = (speed: number, random: Random): number =>
  Math.max(0, speed + random.whole(-2, 2) / 4);
