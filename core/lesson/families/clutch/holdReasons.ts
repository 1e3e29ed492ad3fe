import { slipWear } from '../../../shift';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { within } from '../../questionParts';
import { holdingOf, type ClutchClaim } from './claims';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import type { ClutchSlip } from './slips';
import type { ClutchTypes } from './types';

/** What a wrong word on what a clutch holds comes of. */
export function holdThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ClutchTypes, 'will-it-hold'>): ThoughtOf<ClutchTypes, 'will-it-hold'>[] {
  const now = holdingOf(question, rig);
  if (!now) return [];
  if (key.kind === 'slips-first') return firstThoughts(question, rig, key.range);
  if (now.asked === null) return [];
  const { tolerance } = question;
  const { value, asked, asNew, clean } = now;
  const facts = holdFacts(question, rig);
  const list: ThoughtOf<ClutchTypes, 'will-it-hold'>[] = [];
  const numbers = new NumberThoughts<Of<ClutchAnswer, 'will-it-hold'>, ClutchSlip, ClutchClaim>({
    right: value,
    tolerance,
    answer: (given) => ({ kind: 'will-it-hold', holds: given >= asked, value: given }),
    valueOf: (a) => a.value,
    facts,
  });
  const faces = (): ClutchClaim[] => [{ claim: 'faces', value, oneFace: value / 2 }];
  numbers.add('counts-one-face', value / 2, faces);
  numbers.add('counts-faces-twice', value * 2, faces, 0.8);
  numbers.add('wear-changes-nothing', asNew);
  numbers.add('oil-left-out', clean, () => [{ claim: 'clean', value, clean }]);
  numbers.add('asked-for-held', asked, undefined, 0.8);
  const right = (a: { value?: number }) =>
    a.value !== undefined && within(tolerance, value, a.value);
  list.push({
    slip: 'compares-the-wrong-way',
    answer: { kind: 'will-it-hold', holds: !key.holds, value },
    gives: (a) => right(a) && a.holds !== key.holds,
    claims: () => facts,
  });
  if (key.holds && value > asNew && !within(tolerance, value, asNew * 0.9))
    list.push({
      slip: 'wear-only-weakens',
      answer: { kind: 'will-it-hold', holds: asNew * 0.9 >= asked, value: asNew * 0.9 },
      gives: (a) =>
        a.value !== undefined &&
        a.value < asNew &&
        a.value >= 0.75 * asNew &&
        !right(a) &&
        !within(tolerance, asNew, a.value),
      weight: 0.4,
      claims: () => facts,
    });
  return [...list, ...numbers.withArithmetic()];
}

/** What it holds, against what is asked. */
export function holdFacts(
  question: Of<ClutchQuestion, 'will-it-hold'>,
  rig: ClutchRig,
): ClutchClaim[] {
  const now = holdingOf(question, rig);
  if (!now || now.asked === null) return [];
  const { value, asked, asNew } = now;
  return [{ claim: 'holds', value, asked, asNew, way: value >= asked ? 'more' : 'less' }];
}

/** The wear from which it slips in a range. */
export function slipsFrom(
  question: Of<ClutchQuestion, 'will-it-hold'>,
  rig: ClutchRig,
  range: string,
): ClutchClaim[] {
  const now = holdingOf(question, rig);
  const gear = now?.gears.find((g) => g.range === range);
  return now && gear && rig.clutch
    ? [{ claim: 'slips-from', range, wear: slipWear(rig.clutch, gear.torque, now.state) }]
    : [];
}

function firstThoughts(
  question: Of<ClutchQuestion, 'will-it-hold'>,
  rig: ClutchRig,
  right: string,
): ThoughtOf<ClutchTypes, 'will-it-hold'>[] {
  const gears = [...(holdingOf(question, rig)?.gears ?? [])].sort((a, b) => b.ratio - a.ratio);
  return gears
    .filter((g) => g.range !== right)
    .map((g) => ({
      slip: g === gears[0] ? 'slips-low-first' : 'slips-in-another-first',
      answer: { kind: 'will-it-hold', range: g.range },
      claims: () => [...slipsFrom(question, rig, right), ...slipsFrom(question, rig, g.range)],
    }));
}
