import {
  boltStiffness,
  BoltedPlate,
  STEEL_MODULUS,
  type Bolt,
  type BoltSet,
  type Bolted,
  type Standing,
} from './bolted';

/**
 * A valve body's bolts turned out, or in, one after the other: what each has to carry on the way, how far the body leans, and how
 * hard each clamps in the end.
 */

/** As bolts are known in a shop: coarse thread (stress areas: ISO 898-1; pitches: ISO 261; heads: common practice). */
export const THREADS = {
  M5: { area: 14.2e-6, pitch: 0.8e-3, head: 4e-3 },
  M6: { area: 20.1e-6, pitch: 1e-3, head: 5e-3 },
  M8: { area: 36.6e-6, pitch: 1.25e-3, head: 6.5e-3 },
} as const;
export type Thread = keyof typeof THREADS;

export interface BodyBolt extends Bolt {
  readonly thread: Thread;
  /** m that it is screwed in. */
  readonly engaged: number;
  /** One of those that carry the body, or one of those along its edge. */
  readonly thick: boolean;
  /** N·m that it is tightened to. */
  readonly torque: number;
}

export interface ValveBody extends Omit<Bolted, 'bolts'> {
  readonly bolts: readonly BodyBolt[];
}

export type BoltJob = 'off' | 'on';

/** Bolts in the order in which somebody takes them, and whether those of one size that follow one another go a turn each in turn. */
export interface BoltPlan {
  readonly job: BoltJob;
  readonly order: readonly string[];
  readonly inTurns: boolean;
}

/** Pa at which a bolt of class 8.8 stays bent (ISO 898-1, up to M16). */
export const BOLT_YIELD = 640e6;

/** Tension is torque over so many diameters (common practice: a dry to lightly oiled steel thread). */
const NUT_FACTOR = 0.2;
const diameterOf = (thread: Thread): number => Number(thread.slice(1)) / 1000;

/** N that a bolt clamps with when it has its torque and nobody touches its neighbours. */
export const clampOf = ({ torque, thread }: BodyBolt): number =>
  torque / (NUT_FACTOR * diameterOf(thread));

/** Share of the springs' way that is left when bolts are turned in by hand (memory): every head lies on the body then. */
const BY_FINGERS = 1 / 3;

/** m that a body stands off its case with its bolts turned in by hand. */
export const handTight = ({ pushes }: Pick<Bolted, 'pushes'>): number =>
  BY_FINGERS * Math.min(...pushes.map((p) => p.force / p.rate));

/**
 * Pa in a bolt that is pulled while what lies under its head slopes. Its shank is bent through that slope, until the head bears on
 * one edge only: M = min(E·I·θ/l, F·r); σ = F/A + M·d/2I (any text on the strength of materials).
 */
export function boltStress({ area, length, head }: Bolt, tension: number, slope: number): number {
  if (tension <= 0) return 0;
  const d = Math.sqrt((4 * area) / Math.PI);
  const inertia = (Math.PI * d ** 4) / 64;
  const moment = Math.min((STEEL_MODULUS * inertia * slope) / length, tension * head);
  return tension / area + (moment * d) / 2 / inertia;
}

/** The body after somebody has turned a bolt. */
export interface Turn {
  /** The bolt that was turned, whether it is out by now, and how many are not. */
  readonly bolt: string;
  readonly out: boolean;
  readonly left: number;
  readonly standing: Standing;
  /** Pa in each, in their order, and m that its head would lie on a seated body by; `null` once it is out. */
  readonly stresses: readonly number[];
  readonly heads: readonly (number | null)[];
}

/** The worst that befell a bolt, or the body, and the turn at which it did. */
export interface Worst {
  readonly value: number;
  readonly turn: number;
}

export interface Turned {
  readonly turns: readonly Turn[];
  /** Pa, of each bolt. */
  readonly stress: Readonly<Record<string, Worst>>;
  /** rad. */
  readonly lean: Worst;
  /** Share of its own clamp that each bolt has in the end. */
  readonly clamps: Readonly<Record<string, number>>;
}

/** Bolts that go together: each by itself, or those of one size that follow one another. */
export function groupsOf(body: ValveBody, { order, inTurns }: BoltPlan): BodyBolt[][] {
  const groups: BodyBolt[][] = [];
  for (const id of order) {
    const bolt = body.bolts.find((b) => b.id === id);
    if (!bolt) continue;
    const last = groups.at(-1);
    if (inTurns && last?.[0]?.thread === bolt.thread) last.push(bolt);
    else groups.push([bolt]);
  }
  return groups;
}

class Turning {
  readonly plate: BoltedPlate;
  private set: ({ readonly at: number } | null)[];
  readonly turns: Turn[] = [];
  standing: Standing;

  constructor(
    readonly body: ValveBody,
    job: BoltJob,
  ) {
    this.plate = new BoltedPlate(body);
    const by = handTight(body);
    const set = body.bolts.map((b) => (job === 'on' ? { at: by } : { pulls: clampOf(b) }));
    this.standing = this.plate.stands(set);
    this.set = body.bolts.map((b, n) => (job === 'on' ? { at: by } : this.asItStands(b, n)));
  }

  /** A bolt that has been drawn to a pull, left where it is. */
  private asItStands(bolt: BodyBolt, n: number): { readonly at: number } {
    const { lifts, tensions } = this.standing;
    return { at: lifts[n]! - tensions[n]! / boltStiffness(bolt) };
  }

  at(bolt: BodyBolt): number {
    return this.body.bolts.indexOf(bolt);
  }

  /** Sets a bolt, lets the body come to rest, and notes what that did. */
  turn(bolt: BodyBolt, to: BoltSet): void {
    const n = this.at(bolt);
    this.standing = this.plate.stands(this.set.map((s, k) => (k === n ? to : s)));
    this.set[n] = to && 'pulls' in to ? this.asItStands(bolt, n) : to;
    const { tensions, slopes } = this.standing;
    this.turns.push({
      bolt: bolt.id,
      out: to === null,
      left: this.many,
      standing: this.standing,
      stresses: this.body.bolts.map((b, k) => boltStress(b, tensions[k]!, slopes[k]!)),
      heads: this.set.map((s) => s && s.at),
    });
  }

  /** Turned in once, or until it pulls; @returns whether it does */
  drawn(bolt: BodyBolt, pull: number): boolean {
    const before = { at: this.height(bolt) };
    this.turn(bolt, { at: before.at - THREADS[bolt.thread].pitch });
    if (this.standing.tensions[this.at(bolt)]! <= pull) return false;
    this.turns.pop();
    this.moved(bolt, before);
    this.turn(bolt, { pulls: pull });
    return true;
  }

  /** How many are not out. */
  get many(): number {
    return this.set.filter((s) => s !== null).length;
  }

  /** Sets a bolt of which nothing depends. */
  moved(bolt: BodyBolt, to: { readonly at: number } | null): void {
    this.set[this.at(bolt)] = to;
  }

  height(bolt: BodyBolt): number {
    return this.set[this.at(bolt)]?.at ?? 0;
  }
}

/** N of springs and weight that a hand holds level instead of the bolts (memory): where they push no more at rest, nothing is turned. */
const BY_HAND = 150;

/** rad at which a body has swung down: what follows is no matter of bolts, and small angles end here. */
export const SWUNG = 0.2;

function loosen(run: Turning, groups: readonly BodyBolt[][]): void {
  for (const group of groups) {
    const left = new Map(group.map((b) => [b, b.engaged]));
    while (left.size > 0)
      for (const [bolt, engaged] of left) {
        const { pitch } = THREADS[bolt.thread];
        const out = engaged - pitch <= 0;
        if (run.standing.pushed <= BY_HAND || run.standing.lean > SWUNG) return;
        if (out && run.many === 1) return;
        if (out) left.delete(bolt);
        else left.set(bolt, engaged - pitch);
        const to = out ? null : { at: run.height(bolt) + pitch };
        // Nothing hangs on a bolt that is loose.
        if (run.standing.tensions[run.at(bolt)] === 0) run.moved(bolt, to);
        else run.turn(bolt, to);
      }
  }
}

/** Shares of its torque that a bolt is taken to, when all go in turns. */
const PASSES = [0.5, 1] as const;

function tighten(run: Turning, groups: readonly BodyBolt[][], inTurns: boolean): void {
  const [first, ...others] = inTurns ? PASSES : [1];
  for (const group of groups) {
    const left = new Set(group);
    while (left.size > 0)
      for (const bolt of left) if (run.drawn(bolt, first * clampOf(bolt))) left.delete(bolt);
  }
  for (const pass of others)
    for (const bolt of groups.flat()) run.turn(bolt, { pulls: pass * clampOf(bolt) });
}

/**
 * The bolts of a body turned as planned, a turn at a time.
 * @throws Error where a bolt of the plan is none of the body's
 */
export function turned(body: ValveBody, plan: BoltPlan): Turned {
  const groups = groupsOf(body, plan);
  if (groups.flat().length !== plan.order.length) throw new Error('a bolt that is not there');
  const run = new Turning(body, plan.job);
  if (plan.job === 'off') loosen(run, groups);
  else tighten(run, groups, plan.inTurns);
  const { turns } = run;
  const worst = (of: (turn: Turn) => number): Worst =>
    turns.reduce<Worst>(
      (most, turn, k) => (of(turn) > most.value ? { value: of(turn), turn: k } : most),
      { value: 0, turn: 0 },
    );
  return {
    turns,
    stress: Object.fromEntries(body.bolts.map((b, n) => [b.id, worst((t) => t.stresses[n]!)])),
    lean: worst((t) => Math.min(SWUNG, t.standing.lean)),
    clamps: Object.fromEntries(
      body.bolts.map((b, n) => [b.id, run.standing.tensions[n]! / clampOf(b)]),
    ),
  };
}
