import {
  changeCost,
  comeBackCost,
  conditionIn,
  DAMAGE_SPECS,
  DECISIONS,
  FACINGS,
  gapWith,
  hoursOf,
  judgedAgainst,
  measuresOf,
  ONE_USE_KINDS,
  priceOf,
  REASONS,
  standingOf,
  windowOf,
  type Decision,
  type Reason,
  limitsOf,
  pricesOf,
} from '../../../assembly';
import type { Keyed, Of, Reasons, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { effectsOffered, measuredGap } from './bench';
import { onceRound, type StripClaim } from './claims';
import { laid } from './grade';
import { gaugeTolerance, WORTH_TOLERANCE } from './tolerances';
import type { StripAnswer } from './kinds';
import type { StripSlip } from './slips';
import type { StripTypes } from './types';

type BenchKinds = 'way-round' | 'verdict' | 'read-gauge' | 'choose-size' | 'worth-it';
type Thoughts = Pick<Reasons<StripTypes>['thoughts'], BenchKinds>;
type Facts = Pick<Reasons<StripTypes>['facts'], BenchKinds>;

function wayFacts({ question, subject, key }: Keyed<StripTypes, 'way-round'>): StripClaim[] {
  const { part } = question;
  const { rule } = FACINGS[laid(question, subject).parts.get(part)!.kind]!;
  const { becomes } = key;
  return [
    { claim: 'way-in', part, rule },
    { claim: 'wrong-way-is', part, becomes },
  ];
}

function wayRound(asked: Keyed<StripTypes, 'way-round'>): ThoughtOf<StripTypes, 'way-round'>[] {
  const { becomes } = asked.key;
  const [other] = effectsOffered(laid(asked.question, asked.subject), asked.question.part).filter(
    (e) => e !== becomes,
  );
  const claims = () => wayFacts(asked);
  return [
    {
      slip: 'turned-round',
      answer: { kind: 'way-round', way: 'wrong', becomes },
      gives: (a) => a.way === 'wrong',
      claims,
    },
    ...(other === undefined
      ? []
      : [
          {
            slip: 'other-effect' as const,
            answer: { kind: 'way-round' as const, way: 'right' as const, becomes: other },
            gives: (a: Of<StripAnswer, 'way-round'>) => a.way === 'right' && a.becomes !== becomes,
            claims: () => claims().slice(1),
          },
        ]),
  ];
}

/** What is so of the part: what is wrong with it, and where its measures stand. */
function verdictFacts({ question, subject }: Keyed<StripTypes, 'verdict'>): StripClaim[] {
  const { job, parts } = laid(question, subject);
  const part = parts.get(question.part)!;
  const { damage, values } = conditionIn(job, part);
  const once: StripClaim[] = ONE_USE_KINDS.includes(part.kind)
    ? [{ claim: 'one-use', part: part.id }]
    : [];
  const own: StripClaim = damage
    ? { claim: 'has', part: part.id, damage }
    : { claim: 'nothing-wrong', part: part.id };
  const measured = measuresOf(part).map((measure): StripClaim => {
    const value = values[measure]!;
    const way = standingOf(value, measure, windowOf(measure, part, limitsOf(job)));
    return { claim: 'stands', part: part.id, measure, value, way };
  });
  return [...once, own, ...measured];
}

type Verdict = Of<StripAnswer, 'verdict'>;

function verdict(asked: Keyed<StripTypes, 'verdict'>): ThoughtOf<StripTypes, 'verdict'>[] {
  const { right } = asked.key;
  const { job, parts } = laid(asked.question, asked.subject);
  const part = parts.get(asked.question.part)!;
  const { damage } = conditionIn(job, part);
  const counts = (decision: Decision) => right.some((r) => r.decision === decision);
  const claims = () => verdictFacts(asked);
  const oneUse = ONE_USE_KINDS.includes(part.kind);
  const mistake = (decision: Decision): StripSlip => {
    switch (decision) {
      case 'reuse':
        return oneUse ? 'reuses-one-use' : 'reuses-the-bad';
      case 'clean':
        return 'cleans-the-bad';
      case 'replace':
        return 'replaces-the-sound';
      case 'measure':
        return 'measures-what-is-plain';
    }
  };
  const usual: Readonly<Record<Decision, Reason>> = {
    reuse: 'sound',
    clean: 'dirty-only',
    replace: damage ? DAMAGE_SPECS[damage].reason : 'cheap-beside-coming-back',
    measure: 'cannot-be-seen',
  };
  const wrong = DECISIONS.filter((d) => !counts(d)).map(
    (decision): ThoughtOf<StripTypes, 'verdict'> => ({
      slip: mistake(decision),
      answer: { kind: 'verdict', decision, reason: usual[decision] },
      gives: (a) => a.decision === decision,
      claims,
    }),
  );
  const [best] = right;
  const other = best && REASONS.find((r) => !best.reasons.includes(r));
  if (!best || !other) return wrong;
  return [
    ...wrong,
    {
      slip: 'reason-does-not-fit',
      answer: { kind: 'verdict', decision: best.decision, reason: other },
      gives: (a: Verdict) =>
        counts(a.decision) && !judgedAgainst({ right }, a.decision, a.reason).reason,
      claims,
    },
  ];
}

function gaugeFacts({ question, key }: Keyed<StripTypes, 'read-gauge'>): StripClaim[] {
  const { value, standing } = key;
  const { part, measure } = question;
  return [{ claim: 'stands', part, measure, value, way: standing }];
}

type Gauge = Of<StripAnswer, 'read-gauge'>;

function readGauge(asked: Keyed<StripTypes, 'read-gauge'>): ThoughtOf<StripTypes, 'read-gauge'>[] {
  const { value, standing } = asked.key;
  const side: Gauge['side'] = standing === 'outside' ? 'outside' : 'inside';
  const facts = gaugeFacts(asked);
  const tolerance = gaugeTolerance(asked.question.measure);
  const numbers = new NumberThoughts<Gauge, StripSlip, StripClaim>({
    right: value,
    tolerance,
    answer: (v) => ({ kind: 'read-gauge', value: v, side }),
    valueOf: (a) => a.value,
    facts,
  });
  const round = onceRound(asked.question.measure);
  if (round !== null)
    for (const turns of [1, -1])
      numbers.add('missed-a-turn', value + turns * round > 0 ? value + turns * round : null);
  const read = numbers.withArithmetic();
  if (standing === 'in-doubt') return read;
  return [
    ...read,
    {
      slip: 'limits-misread',
      answer: { kind: 'read-gauge', value, side: side === 'inside' ? 'outside' : 'inside' },
      gives: (a) => a.side !== side && Math.abs(a.value - value) <= tolerance.value,
      claims: () => facts,
    },
  ];
}

function sizeFacts(
  { question, subject, key }: Keyed<StripTypes, 'choose-size'>,
  sizes: readonly number[] = [],
): StripClaim[] {
  const job = laid(question, subject);
  const { selective, gap, on } = measuredGap(job, question.part)!;
  const { least, most } = windowOf(selective.measure, on, limitsOf(job.job));
  const part = question.part;
  return [
    { claim: 'gap-wanted', part, least: least!, most: most! },
    ...[...sizes, key.size].map((size): StripClaim => ({
      claim: 'gap-with',
      part,
      size,
      gap: gapWith(gap, selective, size),
    })),
  ];
}

function chooseSize(
  asked: Keyed<StripTypes, 'choose-size'>,
): ThoughtOf<StripTypes, 'choose-size'>[] {
  const { size: right } = asked.key;
  const job = laid(asked.question, asked.subject);
  const { selective, gap, on } = measuredGap(job, asked.question.part)!;
  const { least, most } = windowOf(selective.measure, on, limitsOf(job.job));
  const middle = (least! + most!) / 2;
  const off = (size: number) => Math.abs(gap + (size - selective.now) - middle);
  const upside = selective.sizes.reduce((a, b) => (off(b) < off(a) ? b : a));
  const at = selective.sizes.indexOf(right);
  const thought = (slip: StripSlip, size: number | undefined, weight = 1) =>
    size === undefined || size === right
      ? []
      : [
          {
            slip,
            weight,
            answer: { kind: 'choose-size' as const, size },
            claims: () => sizeFacts(asked, [size]),
          },
        ];
  return [
    ...thought('thicker-gives-more', upside),
    ...thought('keeps-what-was-in', selective.now, 0.8),
    // Where thinking leads there too, that is more usual.
    ...[at + 1, at - 1]
      .map((k) => selective.sizes[k])
      .filter((size) => size !== upside && size !== selective.now)
      .flatMap((size) => thought('next-size', size, 0.3)),
  ];
}

function worthFacts({ question, subject }: Keyed<StripTypes, 'worth-it'>): StripClaim[] {
  const { job, plan, parts } = laid(question, subject);
  const part = parts.get(question.part)!;
  return [
    { claim: 'changing', part: part.id, cost: changeCost(part, pricesOf(job)) },
    { claim: 'coming-back', cost: comeBackCost(plan, pricesOf(job)) },
  ];
}

function worthIt(asked: Keyed<StripTypes, 'worth-it'>) {
  const { question, subject, key } = asked;
  const { job, plan, parts } = laid(question, subject);
  const part = parts.get(question.part)!;
  const prices = pricesOf(job);
  const back = comeBackCost(plan, prices);
  const price = priceOf(part, prices);
  const numbers = new NumberThoughts<Of<StripAnswer, 'worth-it'>, StripSlip, StripClaim>({
    right: key.value,
    tolerance: WORTH_TOLERANCE,
    answer: (value) => ({ kind: 'worth-it', value }),
    valueOf: (a) => a.value,
    facts: worthFacts(asked),
  });
  numbers.add('forgets-the-work', (100 * price) / back, () => [
    { claim: 'only-the-part', part: part.id, cost: price },
  ]);
  const hours = hoursOf(plan) * prices.rate;
  numbers.add('forgets-the-days', hours > 0 ? (100 * changeCost(part, prices)) / hours : null);
  return numbers.withArithmetic();
}

export const benchThoughts: Thoughts = {
  'way-round': wayRound,
  verdict,
  'read-gauge': readGauge,
  'choose-size': chooseSize,
  'worth-it': worthIt,
};

export const benchFacts: Facts = {
  'way-round': wayFacts,
  verdict: verdictFacts,
  'read-gauge': gaugeFacts,
  'choose-size': (asked) => sizeFacts(asked),
  'worth-it': worthFacts,
};
