import {
  ORDER_RULES,
  type Consequence,
  type Opening,
  type OrderRule,
  type Precedence,
  type StripPlan,
} from './parts';

/** What a rule still asks for, with these parts gone. */
const missingOf = ({ before, any }: Precedence, gone: ReadonlySet<string>): string[] => [
  ...new Set([
    ...before.filter((id) => !gone.has(id)),
    ...any.filter((list) => !list.some((id) => gone.has(id))).flat(),
  ]),
];

function rulesByPart({ rules }: StripPlan): ReadonlyMap<string, readonly Precedence[]> {
  const of = new Map<string, Precedence[]>();
  for (const rule of rules) of.set(rule.after, [...(of.get(rule.after) ?? []), rule]);
  return of;
}

/** Parts by what they wait for. */
function waitingFor({ rules }: StripPlan): ReadonlyMap<string, readonly string[]> {
  const waiting = new Map<string, Set<string>>();
  for (const { after, before, any } of rules)
    for (const id of [...before, ...any.flat()])
      waiting.set(id, (waiting.get(id) ?? new Set()).add(after));
  return new Map([...waiting].map(([id, of]) => [id, [...of]]));
}

type Rules = ReturnType<typeof rulesByPart>;

const isFree = (id: string, rules: Rules, gone: ReadonlySet<string>): boolean =>
  (rules.get(id) ?? []).every(
    ({ before, any }) =>
      before.every((other) => gone.has(other)) &&
      any.every((list) => list.some((o) => gone.has(o))),
  );

/** Parts that may leave now. @param gone those that have left */
export function freeParts(plan: StripPlan, gone: ReadonlySet<string> = new Set()): string[] {
  const rules = rulesByPart(plan);
  return plan.parts.map((p) => p.id).filter((id) => !gone.has(id) && isFree(id, rules, gone));
}

/**
 * One legal order of all parts. Of what is free, first what leaves by the opening that is worked at already: each change of
 * it turns the unit round.
 * @param first openings to go to before others, where one has to be changed
 * @throws Error when rules wait for each other; `planOf` makes none such
 */
export function legalOrder(plan: StripPlan, first: readonly Opening[] = []): string[] {
  const part = new Map(plan.parts.map((p) => [p.id, p]));
  const place = new Map(plan.parts.map((p, k) => [p.id, k]));
  const rules = rulesByPart(plan);
  const waitFor = waitingFor(plan);
  const gone = new Set<string>();
  // What is free stays free: only what waited for the part that has just left is asked again.
  let free = plan.parts.map((p) => p.id).filter((id) => isFree(id, rules, gone));
  let at: string | undefined;
  while (gone.size < plan.parts.length) {
    const by = (opening: string | undefined) =>
      free.find((id) => part.get(id)!.openings.some((o) => o === opening));
    const next = by(at) ?? first.map(by).find((id) => id !== undefined) ?? free[0];
    if (next === undefined)
      throw new Error(`legalOrder: the parts of "${plan.unit}" wait for each other`);
    gone.add(next);
    const freed = (waitFor.get(next) ?? []).filter(
      (id) => !gone.has(id) && isFree(id, rules, gone),
    );
    const still = free.filter((id) => id !== next);
    free = [...still, ...freed.sort((a, b) => place.get(a)! - place.get(b)!)];
    const openings: readonly string[] = part.get(next)!.openings;
    if (at === undefined || !openings.includes(at))
      at = first.find((o) => openings.includes(o)) ?? openings[0];
  }
  return [...gone];
}

/** unknown: the unit has no such part · twice: it has left already. */
export type ViolationCode = OrderRule | 'unknown' | 'twice';

export interface Violation {
  /** Place in the order, from 0. */
  readonly at: number;
  readonly part: string;
  readonly rule: ViolationCode;
  /** Parts that should have left before. */
  readonly missing: readonly string[];
  readonly consequence: Consequence;
}

export interface OrderResult {
  readonly violations: readonly Violation[];
  /** Every part has left, each once. */
  readonly complete: boolean;
}

const brokenBy = (
  part: string,
  at: number,
  rules: Rules,
  gone: ReadonlySet<string>,
): readonly Violation[] =>
  (rules.get(part) ?? []).flatMap((rule): Violation[] => {
    const missing = missingOf(rule, gone);
    const { consequence } = ORDER_RULES[rule.rule];
    return missing.length > 0 ? [{ at, part, rule: rule.rule, missing, consequence }] : [];
  });

/** What taking one part out would break, with these gone; `at` is its place in the order. */
export function brokenIn(
  plan: StripPlan,
): (part: string, at: number, gone: ReadonlySet<string>) => readonly Violation[] {
  const rules = rulesByPart(plan);
  return (part, at, gone) => brokenBy(part, at, rules, gone);
}

/** Every rule that an order breaks; a part that was taken out of turn is gone all the same. */
export function checkOrder(plan: StripPlan, order: readonly string[]): OrderResult {
  const rules = rulesByPart(plan);
  const known = new Set(plan.parts.map((p) => p.id));
  const gone = new Set<string>();
  const violations = order.flatMap((part, at): readonly Violation[] => {
    const wrong = known.has(part) ? (gone.has(part) ? 'twice' : null) : 'unknown';
    if (wrong) return [{ at, part, rule: wrong, missing: [], consequence: 'none' }];
    const broken = brokenBy(part, at, rules, gone);
    gone.add(part);
    return broken;
  });
  return { violations, complete: gone.size === known.size && order.length === known.size };
}

/** What a broken rule takes off a student's marks (the project's own scale). */
const COST: Readonly<Record<Consequence, number>> = {
  hurts: 5,
  breaks: 3,
  lost: 2,
  wasted: 1,
  none: 0,
};

/** Marks that an order costs: each broken rule by what it does. */
export const costOf = ({ violations }: Pick<OrderResult, 'violations'>): number =>
  violations.reduce((sum, v) => sum + COST[v.consequence], 0);

/** Work on a unit as it stands: what has been tried, in its order, and what came of it. */
export interface Work {
  /** What is off, in the order in which it came off. */
  readonly off: readonly string[];
  /** Places in `off` of what came off out of turn. */
  readonly outOfTurn: ReadonlySet<number>;
  /** What the last try broke. */
  readonly last: readonly Violation[];
  readonly cost: number;
}

/** Every try: what can't come out yet stays, and the work is wasted; what is forced out is out. */
export function workOf(plan: StripPlan, tried: readonly string[]): Work {
  const known = new Set(plan.parts.map((p) => p.id));
  const rules = rulesByPart(plan);
  const gone = new Set<string>();
  const outOfTurn = new Set<number>();
  let last: readonly Violation[] = [];
  let cost = 0;
  for (const part of tried) {
    if (!known.has(part) || gone.has(part)) continue;
    last = brokenBy(part, gone.size, rules, gone);
    cost += costOf({ violations: last });
    if (last.some((v) => v.consequence === 'wasted')) continue;
    if (last.length > 0) outOfTurn.add(gone.size);
    gone.add(part);
  }
  return { off: [...gone], outOfTurn, last, cost };
}
