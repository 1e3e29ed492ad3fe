import {
  adjustmentsOf,
  linkageVerdicts,
  orderWorks,
  readLinkage,
  type Adjustment,
  type Clutch,
} from '../../../clutch';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { readInWindow, setTo, type ClutchClaim } from './claims';
import { afterSteps, handedOut } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import type { ClutchTypes } from './types';

/** What is read of a linkage against a window. */
const READ = ['play', 'centre'] as const;

type Set = Of<ClutchAnswer, 'set-free-play'>;

/** m within which a setting is where it stood. */
const UNTOUCHED = 1e-9;

/** Play, centre and gap as they are set, against their windows. */
export function linkageClaims(
  question: Of<ClutchQuestion, 'set-free-play'>,
  { clutch }: ClutchRig,
  set: Set,
): ClutchClaim[] {
  if (!clutch) return [];
  const { forkRod, turnbuckle } = set;
  const at = { forkRod, turnbuckle };
  const state = setTo(clutch, question.wear, set);
  const { gap } = readLinkage(clutch, state);
  return [
    ...READ.flatMap((claim): ClutchClaim[] => {
      const now = readInWindow(clutch, state, claim);
      return now ? [{ claim, ...at, ...now }] : [];
    }),
    {
      claim: 'gap',
      ...at,
      value: gap,
      least: clutch.limits.releasedGap,
      way: gap < 0 ? 'drags' : 'clear',
    },
  ];
}

/** Settings of rod and turnbuckle that ways of thinking lead to. */
export function playThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ClutchTypes, 'set-free-play'>): ThoughtOf<ClutchTypes, 'set-free-play'>[] {
  const { clutch } = rig;
  if (!clutch) return [];
  const start = handedOut(clutch, question.wear);
  const read = (set: Set) => {
    const verdicts = linkageVerdicts(clutch, setTo(clutch, question.wear, set));
    return {
      play:
        !verdicts.includes('play-short') &&
        !verdicts.includes('play-long') &&
        !verdicts.includes('rides'),
      short: verdicts.includes('play-short') || verdicts.includes('rides'),
      long: verdicts.includes('play-long'),
      centre: !verdicts.includes('centre-early') && !verdicts.includes('centre-late'),
      rod: Math.abs(set.forkRod - start.forkRod) > UNTOUCHED,
      turn: Math.abs(set.turnbuckle - start.turnbuckle) > UNTOUCHED,
    };
  };
  const claims = (set: Set) => linkageClaims(question, rig, set);
  const untouched =
    (part: 'fork-rod' | 'turnbuckle') =>
    (set: Set): ClutchClaim[] => [
      { claim: 'untouched', part, forkRod: set.forkRod, turnbuckle: set.turnbuckle },
      ...claims(set),
    ];
  const set = (forkRod: number, turnbuckle: number): Set => ({
    kind: 'set-free-play',
    forkRod,
    turnbuckle,
  });
  const off = (by: number) => key.forkRod + by * clutch.linkage.forkPlay;
  const list: ThoughtOf<ClutchTypes, 'set-free-play'>[] = [
    {
      slip: 'play-is-slack',
      answer: set(off(-0.9), key.turnbuckle),
      gives: (a) => read(a).short && read(a).rod,
      weight: 0.9,
      claims,
    },
    {
      slip: 'more-play-is-safer',
      answer: set(off(2), key.turnbuckle),
      gives: (a) => read(a).long,
      weight: 0.9,
      claims,
    },
    {
      slip: 'rod-forgotten',
      answer: set(start.forkRod, key.turnbuckle),
      gives: (a) =>
        !read(a).rod &&
        !read(a).play &&
        (clutch.linkage.overCentre ? read(a).turn && read(a).centre : true),
      claims: untouched('fork-rod'),
    },
  ];
  if (!clutch.linkage.overCentre) return list;
  // The play that there is comes of the turnbuckle: with the spring where it belongs there would be too little.
  const gained = (a: Set) =>
    read(a).turn &&
    !read(a).centre &&
    read(a).play &&
    read({ ...a, turnbuckle: key.turnbuckle }).short;
  return [
    ...list,
    {
      slip: 'turnbuckle-forgotten',
      answer: set(key.forkRod, start.turnbuckle),
      gives: (a) => !read(a).turn && read(a).rod && !read(a).centre,
      weight: 2,
      claims: untouched('turnbuckle'),
    },
    {
      slip: 'play-at-the-turnbuckle',
      answer: set(start.forkRod, start.turnbuckle * 1.5),
      gives: gained,
      weight: 2,
      claims,
    },
    {
      slip: 'turnbuckle-misset',
      answer: set(key.forkRod, key.turnbuckle + 2 * start.turnbuckle),
      gives: (a) => read(a).turn && !read(a).centre && !gained(a),
      weight: 0.9,
      claims,
    },
  ];
}

/** What is out of its window, or within it, once these steps are done. */
function comesOf(
  clutch: Clutch,
  steps: readonly Adjustment[],
  wear: number | undefined,
  claim: 'order-leaves' | 'order-brings',
): ClutchClaim[] {
  const state = afterSteps(clutch, steps, wear);
  return READ.flatMap((of): ClutchClaim[] => {
    const now = readInWindow(clutch, state, of);
    if (!now || (now.way === 'inside') !== (claim === 'order-brings')) return [];
    const { value, low, high } = now;
    return [{ claim, steps, of, value, low, high }];
  });
}

/** What the right order brings into its window. */
export function orderFacts(
  { wear }: Of<ClutchQuestion, 'adjust-order'>,
  { clutch }: ClutchRig,
): ClutchClaim[] {
  if (!clutch) return [];
  const steps = adjustmentsOf(clutch).filter((s): s is Adjustment => s !== 'check-gap');
  return comesOf(clutch, steps, wear, 'order-brings');
}

/** Orders of adjusting that ways of thinking lead to. */
export function orderThoughts({
  question: { wear },
  subject: { rig },
}: Keyed<ClutchTypes, 'adjust-order'>): ThoughtOf<ClutchTypes, 'adjust-order'>[] {
  const { clutch } = rig;
  if (!clutch) return [];
  const right = adjustmentsOf(clutch);
  const start = handedOut(clutch, wear);
  const steps = (order: readonly string[]) =>
    order.filter(
      (s): s is Adjustment => s !== 'check-gap' && (right as readonly string[]).includes(s),
    );
  const works = (order: readonly string[]) =>
    orderWorks(clutch, start, [...steps(order), 'check-gap']);
  const leaves = (order: readonly string[]) => comesOf(clutch, steps(order), wear, 'order-leaves');
  const early = [
    ...right.filter((s) => s === 'check-gap'),
    ...right.filter((s) => s !== 'check-gap'),
  ];
  const list: ThoughtOf<ClutchTypes, 'adjust-order'>[] = [
    {
      slip: 'checks-too-early',
      answer: { kind: 'adjust-order', order: early },
      gives: ({ order }) => works(order) && order.at(-1) !== 'check-gap',
      claims: ({ order }) => [{ claim: 'check-follows', steps: order, last: order.at(-1) ?? '' }],
    },
  ];
  const [rod, spring] = [right.indexOf('fork-rod'), right.indexOf('over-centre')];
  if (rod < 0 || spring < 0) return list;
  const swapped = [...right];
  [swapped[rod], swapped[spring]] = [right[spring]!, right[rod]!];
  return [
    ...list,
    {
      slip: 'fork-rod-first',
      answer: { kind: 'adjust-order', order: swapped },
      gives: ({ order }) =>
        !works(order) &&
        order.indexOf('fork-rod') >= 0 &&
        order.indexOf('fork-rod') < order.indexOf('over-centre'),
      claims: ({ order }) => leaves(order),
    },
  ];
}
