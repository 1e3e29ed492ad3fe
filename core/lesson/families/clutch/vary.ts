import { selectiveChoices, UPGRADES, type BearingId } from '../../../clutch';
import type { Random } from '../../../numerics';
import type { Family } from '../../family';
import type { ClutchRig } from './kinds';
import type { ClutchTypes } from './types';

const BEARINGS: readonly BearingId[] = ['release', 'pilot', 'input'];

/** The same clutch or pack at another time of its life. What an instructor wrote of one would be wrong of another. */
export const vary: Family<ClutchTypes>['vary'] = {
  'set-free-play': (question, { rig }, random) => ({
    ...question,
    prompt: '',
    wear: wearIn(rig, random),
  }),
  'will-it-hold': (question, { rig }, random) => ({
    ...question,
    prompt: '',
    range: random.pick(forward(rig, question.range)),
    throttle: random.whole(5, 10) / 10,
    grade: random.whole(0, 6) / 50,
    wear: wearIn(rig, random),
    oil: question.oil === 0 ? 0 : random.whole(1, 6) / 10,
  }),
  // An older disc leaves other plays on the way.
  'adjust-order': (question, { rig }, random) => ({
    ...question,
    prompt: '',
    wear: wearIn(rig, random),
  }),
  'noise-test': (question, _subject, random) => {
    const first = random.pick(BEARINGS);
    return {
      ...question,
      prompt: '',
      first,
      second: random.pick(BEARINGS.filter((b) => b !== first)),
    };
  },
  'draw-start': (question, _subject, random) => ({
    ...question,
    prompt: '',
    // No steeper, so that the heat that is allowed still allows a start.
    grade: Math.round(question.grade * random.whole(2, 10) * 10) / 100,
  }),
  'choose-selective': (question, { rig }, random) => {
    const others = (rig.pack ? selectiveChoices(rig.pack) : []).filter((c) => !c.inside);
    return others.length > 0
      ? { ...question, prompt: '', fitted: random.pick(others).thickness }
      : question;
  },
  'upgrade-limit': (question, _subject, random) =>
    question.ask === 'limit'
      ? { ...question, prompt: '', upgrade: random.pick(UPGRADES) }
      : {
          ...question,
          prompt: '',
          load: Math.round(question.load * (5 + random.whole(0, 10))) / 10,
        },
};

/** m of wear, in quarters of a millimetre up to the disc's end. */
function wearIn({ clutch }: ClutchRig, random: Random): number {
  const most = clutch ? clutch.disc.newThickness - clutch.disc.wornThickness : 0;
  return random.whole(0, Math.floor(most / 0.00025)) * 0.00025;
}

/** Forward gears by their names; the one asked about where none has a number. */
function forward({ unit }: ClutchRig, now: string): string[] {
  const gears = (unit?.ranges ?? []).filter((r) => /^\d+$/.test(r.gear)).map((r) => r.id);
  return gears.length > 0 ? gears : [now];
}
