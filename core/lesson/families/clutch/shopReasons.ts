import { AS_BUILT, bearingRuns, NOISE_TESTS } from '../../../clutch';
import { FEET_AT } from '../../../shift';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { startOf, type ClutchClaim } from './claims';
import { MAY_ROLL, startJudged } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import type { ClutchTypes } from './types';

/** What each test that tells nothing comes of. */
export function noiseThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ClutchTypes, 'noise-test'>): ThoughtOf<ClutchTypes, 'noise-test'>[] {
  const { clutch, engine } = rig;
  if (!clutch || !engine) return [];
  return NOISE_TESTS.filter((n) => !key.right.includes(n.id)).map((test) => {
    const claims = bearingClaims(question, rig, test.id);
    const turning = claims.filter((c) => c.claim === 'bearing' && c.way === 'turns').length;
    return {
      slip: turning === 2 ? 'both-turn' : 'neither-turns',
      answer: { kind: 'noise-test', test: test.id },
      claims: () => claims,
    };
  });
}

/** Whether each of the two bearings turns in a test. */
export function bearingClaims(
  { first, second }: Of<ClutchQuestion, 'noise-test'>,
  { clutch, engine }: ClutchRig,
  id: string,
): ClutchClaim[] {
  const test = NOISE_TESTS.find((n) => n.id === id);
  if (!test || !clutch || !engine) return [];
  const runs = bearingRuns(clutch, AS_BUILT, test, engine.idleRpm);
  return [first, second].map((bearing) => ({
    claim: 'bearing',
    test: id,
    bearing,
    way: runs.find((r) => r.bearing === bearing)?.turns ? 'turns' : 'still',
  }));
}

/** Starts that ways of thinking lead to. */
export function startThoughts({
  question,
  subject: { rig },
}: Keyed<ClutchTypes, 'draw-start'>): ThoughtOf<ClutchTypes, 'draw-start'>[] {
  const feet = (pedal: readonly number[], throttle: readonly number[]) => ({
    kind: 'draw-start' as const,
    pedal: [...pedal],
    throttle: [...throttle],
  });
  const judged = (a: Of<ClutchAnswer, 'draw-start'>) => {
    const run = startOf(question, rig, a);
    return run && startJudged(run, question.heat);
  };
  const claims = (a: Of<ClutchAnswer, 'draw-start'>) => startClaims(question, rig, a);
  return [
    {
      slip: 'dumps-the-clutch',
      answer: feet(
        FEET_AT.map((t) => (t < 0.3 ? 1 : 0)),
        FEET_AT.map(() => 0.1),
      ),
      gives: (a) => judged(a)?.runs === false,
      weight: 3,
      claims,
    },
    {
      slip: 'rolls-before-it-bites',
      answer: feet(
        FEET_AT.map(() => 1),
        FEET_AT.map(() => 0.3),
      ),
      gives: (a) => judged(a)?.runs === true && judged(a)?.stays === false,
      claims,
    },
    {
      slip: 'slips-to-be-gentle',
      answer: feet(
        FEET_AT.map((t) => (t < 0.3 ? 1 : 0.45)),
        FEET_AT.map(() => 1),
      ),
      gives: (a) => judged(a)?.runs === true && judged(a)?.cool === false,
      claims,
    },
  ];
}

/** How a drawn start went. */
export function startClaims(
  question: Of<ClutchQuestion, 'draw-start'>,
  rig: ClutchRig,
  { pedal, throttle }: Of<ClutchAnswer, 'draw-start'>,
): ClutchClaim[] {
  const run = startOf(question, rig, { pedal, throttle });
  if (!run) return [];
  if (run.stalled) return [{ claim: 'start', pedal, throttle, way: 'stalled' }];
  return [
    { claim: 'start-heat', pedal, throttle, heat: run.heat, limit: question.heat },
    { claim: 'start-roll', pedal, throttle, rolled: run.rolledBack, limit: MAY_ROLL },
  ];
}
