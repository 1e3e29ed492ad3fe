import {
  adjustmentsOf,
  AS_BUILT,
  bearingRuns,
  judgePack,
  linkageVerdicts,
  NOISE_TESTS,
  orderWorks,
  packTorque,
  readLinkage,
  selectiveChoices,
  selectiveNow,
  upgraded,
  UPGRADE_LIMITS,
  type Adjustment,
} from '../../../clutch';
import { FEET_AT, slipWear } from '../../../shift';
import type { Asked, Of, Reasons } from '../../family';
import type { Thought } from '../../learners';
import { arithmeticSlips } from '../../numberClaims';
import { within } from '../../questionParts';
import {
  against,
  clutchClaimHolds,
  gaugedNow,
  holdingOf,
  setTo,
  startOf,
  type ClutchClaim,
} from './claims';
import { afterSteps, fittedPack, handedOut, MAY_ROLL, SAME_PART, startJudged } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import { misadjusted } from './setup';
import type { ClutchSlip } from './slips';
import type { ClutchTypes } from './types';

type About<K> = Omit<Asked<ClutchTypes, K>, 'answer'>;
type ThoughtAs<K> = Thought<Of<ClutchAnswer, K>, ClutchSlip, ClutchClaim>;
type Set = Of<ClutchAnswer, 'set-free-play'>;

/** m within which a setting is where it stood. */
const UNTOUCHED = 1e-9;

/** Play, centre and gap as they are set, against their windows. */
function linkageClaims(
  question: Of<ClutchQuestion, 'set-free-play'>,
  { clutch }: ClutchRig,
  set: Set,
): ClutchClaim[] {
  if (!clutch) return [];
  const { forkRod, turnbuckle } = set;
  const now = readLinkage(clutch, setTo(clutch, question.wear, set));
  const { pedalPlay, centre, releasedGap } = clutch.limits;
  const at = { forkRod, turnbuckle };
  const [low, high] = pedalPlay;
  return [
    {
      claim: 'play',
      ...at,
      value: now.pedalPlay,
      low,
      high,
      way: against(now.pedalPlay, low, high),
    },
    ...(centre && now.centre !== null
      ? [
          {
            claim: 'centre' as const,
            ...at,
            value: now.centre,
            low: centre[0],
            high: centre[1],
            way: against(now.centre, ...centre),
          },
        ]
      : []),
    {
      claim: 'gap',
      ...at,
      value: now.gap,
      least: releasedGap,
      way: now.gap < 0 ? 'drags' : 'clear',
    },
  ];
}

function playThoughts({
  question,
  subject: { rig },
  key,
}: About<'set-free-play'>): ThoughtAs<'set-free-play'>[] {
  const { clutch } = rig;
  if (!clutch || key.kind !== 'set-free-play') return [];
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
  const list: ThoughtAs<'set-free-play'>[] = [
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

function holdThoughts({
  question,
  subject: { rig },
  key,
}: About<'will-it-hold'>): ThoughtAs<'will-it-hold'>[] {
  const now = holdingOf(question, rig);
  if (!now) return [];
  if (key.kind === 'slips-first') return firstThoughts(question, rig, key.range);
  if (key.kind !== 'will-it-hold' || now.asked === null) return [];
  const { tolerance } = question;
  const { value, asked, asNew, clean } = now;
  const facts = holdFacts(question, rig);
  const list: ThoughtAs<'will-it-hold'>[] = [];
  const add = (slip: ClutchSlip, given: number, claims: readonly ClutchClaim[], weight = 1) => {
    if (within(tolerance, value, given)) return;
    list.push({
      slip,
      weight,
      answer: { kind: 'will-it-hold', holds: given >= asked, value: given },
      gives: (a) => a.value !== undefined && within(tolerance, given, a.value),
      claims: () => [...claims, ...facts],
    });
  };
  add('counts-one-face', value / 2, [{ claim: 'faces', value, oneFace: value / 2 }]);
  add('counts-faces-twice', value * 2, [{ claim: 'faces', value, oneFace: value / 2 }], 0.8);
  add('wear-changes-nothing', asNew, []);
  add('oil-left-out', clean, [{ claim: 'clean', value, clean }]);
  add('asked-for-held', asked, [], 0.8);
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
  for (const { slip, value: wrong, gives, weight, claims } of arithmeticSlips(value, tolerance))
    list.push({
      slip,
      weight,
      answer: { kind: 'will-it-hold', holds: wrong >= asked, value: wrong },
      gives: (a) =>
        a.value !== undefined && (gives ? gives(a.value) : within(tolerance, wrong, a.value)),
      claims: (a) => [...claims(a.value ?? NaN), ...facts],
    });
  return list;
}

function holdFacts(question: Of<ClutchQuestion, 'will-it-hold'>, rig: ClutchRig): ClutchClaim[] {
  const now = holdingOf(question, rig);
  if (!now || now.asked === null) return [];
  const { value, asked, asNew } = now;
  return [{ claim: 'holds', value, asked, asNew, way: value >= asked ? 'more' : 'less' }];
}

/** The wear from which it slips in a range. */
function slipsFrom(
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
): ThoughtAs<'will-it-hold'>[] {
  const gears = [...(holdingOf(question, rig)?.gears ?? [])].sort((a, b) => b.ratio - a.ratio);
  return gears
    .filter((g) => g.range !== right)
    .map((g) => ({
      slip: g === gears[0] ? 'slips-low-first' : 'slips-in-another-first',
      answer: { kind: 'will-it-hold', range: g.range },
      claims: () => [...slipsFrom(question, rig, right), ...slipsFrom(question, rig, g.range)],
    }));
}

function orderThoughts({ subject: { rig } }: About<'adjust-order'>): ThoughtAs<'adjust-order'>[] {
  const { clutch } = rig;
  if (!clutch) return [];
  const right = adjustmentsOf(clutch);
  const start = misadjusted(clutch, AS_BUILT);
  const steps = (order: readonly string[]) =>
    order.filter(
      (s): s is Adjustment => s !== 'check-gap' && (right as readonly string[]).includes(s),
    );
  const works = (order: readonly string[]) =>
    orderWorks(clutch, start, [...steps(order), 'check-gap']);
  const leaves = (order: readonly string[]): ClutchClaim[] => {
    const done = steps(order);
    const now = readLinkage(clutch, afterSteps(clutch, done));
    const { pedalPlay, centre } = clutch.limits;
    const seen = [
      ['play', now.pedalPlay, pedalPlay] as const,
      ...(centre && now.centre !== null ? [['centre', now.centre, centre] as const] : []),
    ];
    return seen
      .filter(([, value, window]) => against(value, ...window) !== 'inside')
      .map(([of, value, [low, high]]) => ({
        claim: 'order-leaves',
        steps: done,
        value,
        low,
        high,
        of,
      }));
  };
  const early = [
    ...right.filter((s) => s === 'check-gap'),
    ...right.filter((s) => s !== 'check-gap'),
  ];
  const list: ThoughtAs<'adjust-order'>[] = [
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

function noiseThoughts({
  question,
  subject: { rig },
  key,
}: About<'noise-test'>): ThoughtAs<'noise-test'>[] {
  const { clutch, engine } = rig;
  if (!clutch || !engine || key.kind !== 'noise-test') return [];
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

function bearingClaims(
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

function startThoughts({
  question,
  subject: { rig },
  key,
}: About<'draw-start'>): ThoughtAs<'draw-start'>[] {
  if (key.kind !== 'draw-start') return [];
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

function startClaims(
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

function selectiveThoughts({
  question,
  subject: { rig },
  key,
}: About<'choose-selective'>): ThoughtAs<'choose-selective'>[] {
  if (!rig.pack || key.kind !== 'choose-selective') return [];
  const fitted = fittedPack(rig.pack, question);
  const now = selectiveNow(fitted);
  const reads = gaugedNow(question, rig);
  const [least, most] = fitted.clearance;
  return selectiveChoices(fitted)
    .filter((c) => !key.right.some((r) => Math.abs(r.thickness - c.thickness) < SAME_PART))
    .map((c) => {
      const kept = Math.abs(c.thickness - now) < SAME_PART;
      const wrongWay = (reads < least && c.thickness > now) || (reads > most && c.thickness < now);
      return {
        slip: kept
          ? 'keeps-what-is-in'
          : wrongWay
            ? 'thicker-gives-more-clearance'
            : 'right-way-wrong-part',
        answer: { kind: 'choose-selective', thickness: c.thickness },
        claims: () => clearanceWith(question, rig, c.thickness),
      };
    });
}

function clearanceWith(
  question: Of<ClutchQuestion, 'choose-selective'>,
  rig: ClutchRig,
  thickness: number,
): ClutchClaim[] {
  const fitted = fittedPack(rig.pack!, question);
  const [low, high] = fitted.clearance;
  const choice = selectiveChoices(fitted).find(
    (c) => Math.abs(c.thickness - thickness) < SAME_PART,
  );
  return choice
    ? [
        {
          claim: 'clearance',
          thickness: choice.thickness,
          value: choice.clearance,
          low,
          high,
          way: against(choice.clearance, low, high),
        },
      ]
    : [];
}

function upgradeThoughts({
  question,
  subject: { rig },
  key,
}: About<'upgrade-limit'>): ThoughtAs<'upgrade-limit'>[] {
  const { pack } = rig;
  if (!pack) return [];
  const facts = upgradeFacts(question, rig);
  if (key.kind === 'upgrade-limit')
    return UPGRADE_LIMITS.filter((l) => !key.limits.includes(l)).map((limit) => ({
      slip: limit === 'none' ? 'upgrades-are-free' : 'another-limit',
      answer: { kind: 'upgrade-limit', limit },
      claims: () => [
        ...(limit === 'none' ? [] : [{ claim: 'does-not-give' as const, limit }]),
        ...facts,
      ],
    }));
  if (key.kind !== 'carried') return [];
  const { tolerance, load } = question;
  const before = packTorque(pack, pack.pressure);
  const after = upgraded(pack, question.upgrade);
  const now = packTorque(after, after.pressure);
  const list: ThoughtAs<'upgrade-limit'>[] = [];
  for (const value of [now, (load * now) / before, before])
    if (!within(tolerance, key.value, value))
      list.push({
        slip: 'more-plates-carry-more',
        answer: { kind: 'upgrade-limit', value },
        gives: (a) => a.value !== undefined && within(tolerance, value, a.value),
        claims: () => facts,
      });
  for (const { slip, value, gives, weight, claims } of arithmeticSlips(key.value, tolerance))
    list.push({
      slip,
      weight,
      answer: { kind: 'upgrade-limit', value },
      gives: (a) =>
        a.value !== undefined && (gives ? gives(a.value) : within(tolerance, value, a.value)),
      claims: (a) => [...claims(a.value ?? NaN), ...facts],
    });
  return list;
}

function upgradeFacts(
  { ask, upgrade, duty, load }: Of<ClutchQuestion, 'upgrade-limit'>,
  { pack }: ClutchRig,
): ClutchClaim[] {
  if (!pack) return [];
  const after = upgraded(pack, upgrade);
  return ask === 'limit'
    ? [{ claim: 'gives-first', limits: judgePack(after, duty, upgrade).limits }]
    : [
        {
          claim: 'could-hold',
          before: packTorque(pack, pack.pressure),
          after: packTorque(after, after.pressure),
          load,
        },
      ];
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, k) => x === b[k]);

export const reasons: Reasons<ClutchTypes> = {
  thoughts: {
    'set-free-play': playThoughts,
    'will-it-hold': holdThoughts,
    'adjust-order': orderThoughts,
    'noise-test': noiseThoughts,
    'draw-start': startThoughts,
    'choose-selective': selectiveThoughts,
    'upgrade-limit': upgradeThoughts,
  },
  same: {
    'set-free-play': ({ answer }, o) =>
      same([answer.forkRod, answer.turnbuckle], [o.forkRod, o.turnbuckle]),
    'will-it-hold': ({ answer }, o) =>
      same([answer.range, answer.holds, answer.value], [o.range, o.holds, o.value]),
    'adjust-order': ({ answer }, o) => same(answer.order, o.order),
    'noise-test': ({ answer }, o) => answer.test === o.test,
    'draw-start': ({ answer }, o) =>
      same(answer.pedal, o.pedal) && same(answer.throttle, o.throttle),
    'choose-selective': ({ answer }, o) => Math.abs(answer.thickness - o.thickness) < SAME_PART,
    'upgrade-limit': ({ answer }, o) => same([answer.limit, answer.value], [o.limit, o.value]),
  },
  facts: {
    'set-free-play': ({ question, subject: { rig }, answer }) =>
      linkageClaims(question, rig, answer),
    'will-it-hold': ({ question, subject: { rig }, key }) =>
      key.kind === 'slips-first' ? slipsFrom(question, rig, key.range) : holdFacts(question, rig),
    'adjust-order': () => [],
    'noise-test': ({ question, subject: { rig }, key, answer }) =>
      key.kind === 'noise-test'
        ? bearingClaims(
            question,
            rig,
            key.right.includes(answer.test) ? answer.test : key.right[0]!,
          )
        : [],
    'draw-start': ({ question, subject: { rig }, answer }) => startClaims(question, rig, answer),
    'choose-selective': ({ question, subject: { rig }, key }) =>
      key.kind === 'choose-selective' ? clearanceWith(question, rig, key.best.thickness) : [],
    'upgrade-limit': ({ question, subject: { rig } }) => upgradeFacts(question, rig),
  },
  holds: (claim, { question, subject }) => clutchClaimHolds(claim, question, subject.rig),
};
