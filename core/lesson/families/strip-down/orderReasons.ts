import {
  checkOrder,
  freeParts,
  legalOrder,
  type OrderRule,
  type StripPlan,
  type Violation,
} from '../../../assembly';
import type { Asked, Keyed, Of, Reasons, ThoughtOf } from '../../family';
import { onlyThese } from './bench';
import type { StripClaim } from './claims';
import { laid } from './grade';
import { rulesBetween } from './key';
import type { StripAnswer } from './kinds';
import type { StripSlip } from './slips';
import type { StripTypes } from './types';

type OrderKinds = 'free-now' | 'strip-order' | 'why-first' | 'lay-out';
type Thoughts = Pick<Reasons<StripTypes>['thoughts'], OrderKinds>;
type Facts = Pick<Reasons<StripTypes>['facts'], OrderKinds>;

/** What it means to break a rule of this sort. */
const SLIP_OF: Readonly<Record<OrderRule, StripSlip>> = {
  'drain-first': 'outside-left-on',
  'outside-first': 'outside-left-on',
  'pan-first': 'outside-left-on',
  'converter-first': 'outside-left-on',
  'battery-first': 'outside-left-on',
  'marked-first': 'outside-left-on',
  'body-before-pump': 'outside-left-on',
  'linkage-with-body': 'frees-the-retained',
  'selector-pin': 'frees-the-retained',
  'band-slack': 'drum-before-band',
  'servo-first': 'drum-before-band',
  'servo-ring': 'frees-the-retained',
  'support-bolt': 'frees-the-retained',
  'output-ring': 'frees-the-retained',
  'thin-first': 'what-lies-behind-first',
  'balls-under-plate': 'frees-the-retained',
  retained: 'frees-the-retained',
  'spring-press': 'frees-the-retained',
  'fork-first': 'frees-the-retained',
  'set-apart': 'frees-the-retained',
  'pump-before-drums': 'what-lies-behind-first',
  'rear-open': 'what-lies-behind-first',
  'way-out': 'what-lies-behind-first',
  'either-way-out': 'what-lies-behind-first',
  'in-the-drum': 'what-lies-behind-first',
  'washer-behind': 'what-lies-behind-first',
  'behind-the-box': 'what-lies-behind-first',
  'all-out': 'what-lies-behind-first',
};

/** Why each of these is stuck: what must leave before it. */
const stuckBy = (violations: readonly Violation[]): StripClaim[] =>
  violations.flatMap(({ part, rule, missing }): StripClaim[] => [
    { claim: 'stuck-now', part },
    ...missing.slice(0, 1).map((first): StripClaim => ({
      claim: 'comes-first',
      part,
      first,
      rule: rule as OrderRule,
    })),
  ]);

const isOf = (slip: StripSlip, violations: readonly Violation[]): boolean =>
  violations.length > 0 &&
  violations.every((v) => v.rule !== 'unknown' && v.rule !== 'twice' && SLIP_OF[v.rule] === slip);

const SLIPS = [...new Set(Object.values(SLIP_OF))];

/** What taking one part out now would break. */
function brokenNow(plan: StripPlan, off: readonly string[], part: string): readonly Violation[] {
  return checkOrder(plan, [...off, part]).violations.filter((v) => v.at === off.length);
}

function freeNow({ question, subject, key }: Keyed<StripTypes, 'free-now'>) {
  const { plan } = laid(question, subject);
  const { free } = key;
  type Answer = Of<StripAnswer, 'free-now'>;
  const wrongIn = (a: Answer) => a.parts.filter((id) => !free.includes(id));
  const broken = (ids: readonly string[]) =>
    ids.flatMap((id) => brokenNow(plan, question.off, id).slice(0, 1));
  const stuck = question.offered.filter((id) => !free.includes(id));
  const byRule = SLIPS.flatMap((slip): ThoughtOf<StripTypes, 'free-now'>[] => {
    const [first] = stuck.filter((id) => isOf(slip, broken([id])));
    if (first === undefined) return [];
    return [
      {
        slip,
        answer: { kind: 'free-now', parts: [...free, first] },
        gives: (a) => isOf(slip, broken(wrongIn(a))),
        claims: (a) => stuckBy(broken(wrongIn(a))),
      },
    ];
  });
  if (free.length < 2) return byRule;
  return [
    ...byRule,
    {
      slip: 'stops-at-one' as const,
      answer: { kind: 'free-now' as const, parts: free.slice(0, 1) },
      gives: (a: Answer) => wrongIn(a).length === 0 && a.parts.length < free.length,
      claims: (a: Answer) =>
        free
          .filter((id) => !a.parts.includes(id))
          .map((part): StripClaim => ({ claim: 'free-now', part })),
    },
  ];
}

function stripOrder({ question, subject }: Keyed<StripTypes, 'strip-order'>) {
  const plan = onlyThese(laid(question, subject).plan, question.parts);
  const right = legalOrder(plan);
  const broken = (order: readonly string[]) => checkOrder(plan, order).violations;
  return SLIPS.flatMap((slip): ThoughtOf<StripTypes, 'strip-order'>[] => {
    const order = plan.rules
      .filter((r) => SLIP_OF[r.rule] === slip)
      .flatMap((r) => r.before.map((first) => before(right, r.after, first)))
      .find((o) => isOf(slip, broken(o)));
    if (!order) return [];
    return [
      {
        slip,
        answer: { kind: 'strip-order', order },
        gives: (a) => isOf(slip, broken(a.order)),
        claims: (a) => stuckBy(broken(a.order)).filter((c) => c.claim === 'comes-first'),
      },
    ];
  });
}

/** The order with one part put right before another. */
function before(order: readonly string[], part: string, other: string): string[] {
  const without = order.filter((id) => id !== part);
  const at = without.indexOf(other);
  return [...without.slice(0, at), part, ...without.slice(at)];
}

function layOut({ key }: Keyed<StripTypes, 'lay-out'>): ThoughtOf<StripTypes, 'lay-out'>[] {
  const { order } = key;
  const told = order
    .slice(1)
    .map((other, k): StripClaim => ({ claim: 'lies-before', part: order[k]!, other }));
  const thoughts: ThoughtOf<StripTypes, 'lay-out'>[] = [
    {
      slip: 'rear-to-front',
      answer: { kind: 'lay-out', order: [...order].reverse() },
      claims: () => told,
    },
  ];
  if (order.length < 3) return thoughts;
  const swapped = (k: number) => {
    const next = [...order];
    [next[k], next[k + 1]] = [next[k + 1]!, next[k]!];
    return next;
  };
  const at = (given: readonly string[]) =>
    order.findIndex((_id, k) => k + 1 < order.length && swapped(k).join() === given.join());
  return [
    ...thoughts,
    {
      slip: 'neighbours-swapped',
      answer: { kind: 'lay-out', order: swapped(0) },
      gives: (a) => at(a.order) >= 0,
      claims: (a) => told.slice(at(a.order), at(a.order) + 1),
    },
  ];
}

const OFFERED = 4;
/** Reasons to choose from: the right one, and others that hold of parts near it. */
export function rulesOffered({
  question,
  subject,
}: Pick<Keyed<StripTypes, 'why-first'>, 'question' | 'subject'>): OrderRule[] {
  const job = laid(question, subject);
  const right = rulesBetween(job, question.first, question.part).slice(0, 1);
  const others = [...new Set(job.plan.rules.map((r) => r.rule))]
    .filter((r) => !rulesBetween(job, question.first, question.part).includes(r))
    .sort();
  const from = others.length > 0 ? question.part.length % others.length : 0;
  const turned = [...others.slice(from), ...others.slice(0, from)];
  return [...right, ...turned.slice(0, OFFERED - 1)].sort();
}

function whyFirst(asked: Keyed<StripTypes, 'why-first'>): ThoughtOf<StripTypes, 'why-first'>[] {
  const { rules } = asked.key;
  return rulesOffered(asked)
    .filter((rule) => !rules.includes(rule))
    .map((rule) => ({
      slip: 'other-why',
      answer: { kind: 'why-first', rule },
      claims: () => whyFacts(asked),
    }));
}

const whyFacts = ({ question, key }: Keyed<StripTypes, 'why-first'>): StripClaim[] =>
  key.rules.map((rule) => ({
    claim: 'comes-first',
    part: question.part,
    first: question.first,
    rule,
  }));

export const orderThoughts: Thoughts = {
  'free-now': freeNow,
  'strip-order': stripOrder,
  'why-first': whyFirst,
  'lay-out': layOut,
};

export const orderFacts: Facts = {
  'free-now': ({ question, subject, key }: Asked<StripTypes, 'free-now'>) => {
    const { plan } = laid(question, subject);
    const { free } = key;
    const now = new Set(freeParts(plan, new Set(question.off)));
    const stuck = question.offered.filter((id) => !now.has(id));
    return [
      ...free.map((part): StripClaim => ({ claim: 'free-now', part })),
      ...stuckBy(stuck.flatMap((id) => brokenNow(plan, question.off, id).slice(0, 1))).filter(
        (c) => c.claim === 'comes-first',
      ),
    ];
  },
  'strip-order': ({ question, subject }) =>
    onlyThese(laid(question, subject).plan, question.parts).rules.flatMap((r) =>
      r.before.slice(0, 1).map((first): StripClaim => ({
        claim: 'comes-first',
        part: r.after,
        first,
        rule: r.rule,
      })),
    ),
  'why-first': whyFacts,
  'lay-out': ({ key }) => {
    const { order } = key;
    return order
      .slice(1)
      .map((other, k): StripClaim => ({ claim: 'lies-before', part: order[k]!, other }));
  },
};
