import { REFACED_COSTS, REFACED_DAYS, type Prices, type ShopPrices, type Tier } from './schools';
import { ONE_USE_KINDS, TIERS } from './verdict';
import { randomFromSeed } from '../numerics';
import type { Opening, Part, PartKind, StripPlan } from './parts';

/**
 * What coming back costs, and what is therefore worth replacing while it is apart (derived here):
 *
 *   C_back = hours·rate + parts again + days·lost       replace now when p·C_back > price + minutes/60·rate
 */

export const USUAL_PRICES: Prices = { rate: 60, day: 150, daysLost: 2, parts: {} };

/** Usual prices of a part against an hour at 60, and minutes to change it while it is apart (from memory). */
const PRICE_OF: Readonly<Partial<Record<PartKind, number>>> = {
  filter: 18,
  seals: 6,
  'crank-seal': 12,
  pack: 55,
  'snap-ring': 4,
  spring: 24,
  band: 48,
  'thrust-washer': 7,
  'thrust-bearing': 16,
  race: 95,
  cage: 60,
  pump: 320,
  drum: 210,
  carrier: 380,
  sun: 140,
  ring: 160,
  pinions: 120,
  'valve-body': 450,
  extension: 35,
  fitting: 40,
  disc: 110,
  'clutch-cover': 180,
  bearing: 45,
  flywheel: 240,
  converter: 420,
  'output-shaft': 160,
  shaft: 130,
  support: 190,
  hub: 90,
  shell: 110,
  piston: 34,
  servo: 60,
  bush: 8,
  'end-plate': 16,
  'cushion-plate': 14,
  accumulator: 28,
  strut: 6,
  'feed-rings': 8,
  pins: 12,
  needles: 10,
  gasket: 4,
  'body-gaskets': 9,
  'separator-plate': 35,
  balls: 3,
  bolt: 3,
};
const USUAL_PRICE = 30;
const MINUTES_TO_CHANGE = 6;

/** Days until a part of this kind is there (from memory; a dealer's differ). */
const DAYS_OF: Readonly<Partial<Record<PartKind, number>>> = {
  converter: 4,
  pump: 5,
  drum: 5,
  carrier: 7,
  sun: 6,
  ring: 6,
  'valve-body': 6,
  support: 6,
  shaft: 4,
  'output-shaft': 4,
  flywheel: 3,
  hub: 3,
  shell: 3,
  race: 2,
};
const USUAL_DAYS = 1;
export const daysOf = ({ kind }: Pick<Part, 'kind'>, { refaced = false }: ShopPrices): number =>
  refaced && kind === 'disc' ? REFACED_DAYS : (DAYS_OF[kind] ?? USUAL_DAYS);

/** What has a number of its own on its ring: it is ordered by that, which nobody knows before it is out. */
const NUMBERED: readonly PartKind[] = ['bearing', 'thrust-bearing'];
export function numberOn(plan: StripPlan, { id, kind }: Pick<Part, 'id' | 'kind'>): string | null {
  if (!NUMBERED.includes(kind)) return null;
  const random = randomFromSeed(`number ${plan.unit} ${id}`);
  return `${random.whole(10, 99)} ${random.whole(100, 999)}`;
}

/** What a dealer asks about the machine before parts of a dry clutch are the right ones. */
export const MACHINE_FACTS = ['model', 'year', 'engine'] as const;
export type MachineFact = (typeof MACHINE_FACTS)[number];
const BY_MACHINE: readonly PartKind[] = ['disc', 'clutch-cover'];

/** Facts that nobody has asked for, though something that was ordered goes by them. */
export function unasked(
  { parts }: StripPlan,
  ordered: readonly string[],
  asked: readonly MachineFact[],
): MachineFact[] {
  const goesByIt = parts.some((p) => ordered.includes(p.id) && BY_MACHINE.includes(p.kind));
  return goesByIt ? MACHINE_FACTS.filter((fact) => !asked.includes(fact)) : [];
}

/** Minutes to take a part of this kind off, tools in hand (from memory). */
const MINUTES_OF: Readonly<Partial<Record<PartKind, number>>> = {
  fluid: 10,
  converter: 45,
  pan: 8,
  'valve-body': 15,
  pump: 12,
  support: 10,
  extension: 12,
  'output-shaft': 8,
  case: 30,
  spring: 8,
  piston: 5,
  drum: 4,
  carrier: 4,
};
const USUAL_MINUTES = 3;
export const minutesOf = ({ kind }: Pick<Part, 'kind'>): number =>
  MINUTES_OF[kind] ?? USUAL_MINUTES;

/** How a unit lies on its stand while a part leaves: that side is up. What leaves by the side can leave however it lies. */
export type Attitude = 'front-up' | 'rear-up' | 'pan-up';
const ATTITUDE_OF: Readonly<Partial<Record<Opening, Attitude>>> = {
  front: 'front-up',
  rear: 'rear-up',
  below: 'pan-up',
};
/** Minutes to turn it, with a second pair of hands (from memory). */
const MINUTES_TO_TURN = 4;

export interface OrderTime {
  readonly minutes: number;
  /** How often it was turned on its stand. */
  readonly turns: number;
}

/** What an order takes: each part its minutes, and each time that the unit has to be turned. */
export function timeOf({ parts }: StripPlan, order: readonly string[]): OrderTime {
  const byId = new Map(parts.map((p) => [p.id, p]));
  let at: Attitude | null = null;
  let turns = 0;
  let minutes = 0;
  for (const id of order) {
    const part = byId.get(id);
    if (!part) continue;
    minutes += minutesOf(part);
    const wanted = part.openings.flatMap((o) => ATTITUDE_OF[o] ?? []);
    const anyhow = part.openings.some((o) => ATTITUDE_OF[o] === undefined) || wanted.length === 0;
    if (anyhow || (at !== null && wanted.includes(at))) continue;
    if (at !== null) turns++;
    at = wanted[0]!;
  }
  return { minutes: minutes + MINUTES_TO_TURN * turns, turns };
}

/** Hours to have all of it apart and together again. */
export const hoursOf = ({ parts }: StripPlan): number =>
  (2 * parts.reduce((sum, p) => sum + minutesOf(p), 0)) / 60;

export function priceOf(
  { kind }: Pick<Part, 'kind'>,
  { parts, share = 1, refaced = false }: ShopPrices,
): number {
  const usual = PRICE_OF[kind] ?? USUAL_PRICE;
  // Whoever puts new facings on buys no disc, from wherever.
  if (refaced && kind === 'disc') return REFACED_COSTS * (parts.disc ?? usual);
  return parts[kind] ?? share * usual;
}

/** What it costs when the machine comes back: work, parts that are used once, days. */
export function comeBackCost(plan: StripPlan, prices: ShopPrices): number {
  const again = plan.parts.filter((p) => ONE_USE_KINDS.includes(p.kind));
  const parts = again.reduce((sum, p) => sum + priceOf(p, prices), 0);
  return hoursOf(plan) * prices.rate + parts + prices.daysLost * prices.day;
}

/** Price of a new one with the minutes that it takes. */
export const changeCost = (part: Pick<Part, 'kind'>, prices: ShopPrices): number =>
  priceOf(part, prices) + (MINUTES_TO_CHANGE / 60) * prices.rate;

/** Chance of coming back above which a new one is worth it: 0 to 1, or more where it never is. */
export const breakEven = (part: Pick<Part, 'kind'>, plan: StripPlan, prices: ShopPrices): number =>
  changeCost(part, prices) / comeBackCost(plan, prices);

export interface SheetRow {
  readonly part: Part;
  readonly price: number;
}
export interface Sheet {
  readonly tier: Tier;
  readonly rows: readonly SheetRow[];
  readonly partsCost: number;
  readonly labour: number;
  /** Until the last of it is there. */
  readonly days: number;
  /** What the machine costs by standing so long. */
  readonly standing: number;
  readonly total: number;
}

/**
 * What a tier orders: all that must be new, and what the tier takes with it.
 * @param must ids of parts that are bad
 */
export function sheetOf(
  plan: StripPlan,
  tier: Tier,
  must: ReadonlySet<string>,
  prices: ShopPrices,
): Sheet {
  const rows = plan.parts
    .filter((p) => must.has(p.id) || ONE_USE_KINDS.includes(p.kind) || (TIERS[p.kind] ?? 4) <= tier)
    .map((part) => ({ part, price: priceOf(part, prices) }));
  return sheetWith(plan, tier, rows, prices);
}

function sheetWith(
  plan: StripPlan,
  tier: Tier,
  rows: readonly SheetRow[],
  prices: ShopPrices,
): Sheet {
  const partsCost = rows.reduce((sum, r) => sum + r.price, 0);
  const changing = (rows.length * MINUTES_TO_CHANGE * prices.rate) / 60;
  const labour = hoursOf(plan) * prices.rate + changing;
  const days = Math.max(0, ...rows.map(({ part }) => daysOf(part, prices)));
  const standing = days * prices.day;
  return { tier, rows, partsCost, labour, days, standing, total: partsCost + labour + standing };
}

/** How an order list stands: what is missing, what would have lasted, and what it costs against the cheapest safe one. */
export interface OrderGrade {
  readonly missing: readonly string[];
  readonly needless: readonly string[];
  readonly cost: number;
  readonly cheapest: number;
  /** Nothing that must be new is missing, and it is within a tenth of the cheapest safe sheet. */
  readonly right: boolean;
}
const WITHIN = 1.1;

/** @param must ids of parts that must be new: what is bad, and what is used once */
export function gradeOrder(
  plan: StripPlan,
  must: ReadonlySet<string>,
  ordered: readonly string[],
  prices: ShopPrices,
): OrderGrade {
  const byId = new Map(plan.parts.map((p) => [p.id, p]));
  const known = [...new Set(ordered)].filter((id) => byId.has(id));
  const cost = (ids: readonly string[]) =>
    ids.reduce((sum, id) => sum + changeCost(byId.get(id)!, prices), 0);
  const missing = [...must].filter((id) => byId.has(id) && !known.includes(id));
  const cheapest = cost([...must].filter((id) => byId.has(id)));
  const spent = cost(known);
  return {
    missing,
    needless: known.filter((id) => !must.has(id)),
    cost: spent,
    cheapest,
    right: missing.length === 0 && spent <= WITHIN * cheapest + 1e-9,
  };
}

/** Sizes that could turn out to be the right one, given what was measured and how sure that is. */
export function sizesToHave(
  sizes: readonly number[],
  best: (measured: number) => number | null,
  mean: number,
  doubt: number,
): number[] {
  const steps = [-1, -0.5, 0, 0.5, 1].map((k) => best(mean + k * doubt));
  return sizes.filter((s) => steps.includes(s));
}
