import { randomFromSeed, type Random } from '../../../numerics';
import { checkTeeth, type GearSetSetup, type PlanetarySet } from '../../../geartrain';
import { seedText, type VariantSeed } from '../../seed';
import type { SetQuestion } from './kinds';

/**
 * New tooth counts for a question: every student their own, the same for the same seed. Only sets that can
 * be built come out (`checkTeeth` finds nothing). Round 0 of a question that does not vary is the question's own.
 */
export function setupForStudent(question: SetQuestion, seed: VariantSeed): GearSetSetup {
  if (seed.round === 0 && !question.vary) return question.setup;
  const random = randomFromSeed(seedText(seed));
  return { ...question.setup, set: buildableSet(question.setup.set, random) };
}

/** Draws until a set can be built; the ranges make that quick, and the caller's own set is the last resort. */
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
