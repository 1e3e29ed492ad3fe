import type { Random } from '../../../numerics';
import { checkTeeth, type PlanetarySet } from '../../../geartrain';
import type { Family } from '../../family';
import type { SetQuestion } from './kinds';
import type { GearSetTypes } from './types';

/** Other teeth, of a set that can be built; what is asked of it stays, and so do the instructor's words. */
export const otherTeeth = <Q extends SetQuestion>(
  question: Q,
  _subject: GearSetTypes['subject'],
  random: Random,
): Q => ({
  ...question,
  setup: { ...question.setup, set: buildableSet(question.setup.set, random) },
});

export const vary = {
  number: otherTeeth,
  choice: otherTeeth,
  roles: otherTeeth,
} satisfies Family<GearSetTypes>['vary'];

/** Draws until a set can be built (`checkTeeth` finds nothing); the ranges make that quick. */
function buildableSet(like: PlanetarySet, random: Random): PlanetarySet {
  for (let tries = 0; tries < 500; tries++) {
    const set = like.kind === 'single-pinion' ? drawSingle(random) : drawDouble(random);
    const same = set.teeth.sun === like.teeth.sun && set.teeth.ring === like.teeth.ring;
    if (!same && checkTeeth(set).length === 0) return set;
  }
  return like;
}

function drawSingle(random: Random): PlanetarySet {
  const sun = random.whole(18, 45);
  const pinion = random.whole(15, 30);
  const pinions = random.whole(3, 4);
  return { kind: 'single-pinion', teeth: { sun, pinion, ring: sun + 2 * pinion }, pinions };
}

function drawDouble(random: Random): PlanetarySet {
  const pinion = random.whole(15, 20);
  const sun = random.whole(26, 40);
  const ring = sun + 3 * random.whole(14, 18);
  return { kind: 'double-pinion', teeth: { sun, inner: pinion, outer: pinion, ring }, pinions: 3 };
}
