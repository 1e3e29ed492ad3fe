import { findRoot, solveSymmetric } from '../../numerics';
import {
  bendingOf,
  dot,
  LEANS_ACROSS,
  LEANS_ALONG,
  piecesOf,
  SHAPES,
  shapesAt,
  SHIFTS,
  type Plate,
  type ShapesAt,
  type Spot,
} from './plate';

/**
 * A plate on its gasket, held by bolts, pushed off by springs: each of these presses one way only, so that the state of least
 * energy is the one there is. Deflection is counted away from the case. SI: m, N, Pa.
 */

/** Spring under a plate. */
export interface Push extends Spot {
  /** N on a plate that lies on its gasket, and N less for each m that it stands off. */
  readonly force: number;
  readonly rate: number;
}

export interface Bolt extends Spot {
  readonly id: string;
  /** m, of its shank between head and thread; m² of its thread's stress area; m of its head's bearing edge from its axis. */
  readonly length: number;
  readonly area: number;
  readonly head: number;
}

export interface Bolted {
  readonly plate: Plate;
  /** N that it weighs, hanging. */
  readonly weight: number;
  /** Pa for each m that the gasket is pressed together. */
  readonly gasket: number;
  readonly bolts: readonly Bolt[];
  readonly pushes: readonly Push[];
}

/** Steel. */
export const STEEL_MODULUS = 206e9;

export const boltStiffness = ({ area, length }: Bolt): number => (STEEL_MODULUS * area) / length;

/** How a bolt stands: its head as high above where it just lies on a seated plate, or pulling with a force; `null` it is out. */
export type BoltSet = { readonly at: number } | { readonly pulls: number } | null;

/** How a plate stands. */
export interface Standing {
  /** N of each bolt, in their order. */
  readonly tensions: readonly number[];
  /** m that the plate stands up at each, and its slope there in rad. */
  readonly lifts: readonly number[];
  readonly slopes: readonly number[];
  /** N that its springs and its weight still push it off with. */
  readonly pushed: number;
  /** m of the plate as a whole; how it leans along and across, and altogether, rad. */
  readonly lift: number;
  readonly leans: readonly [along: number, across: number];
  readonly lean: number;
}

/** What touches a plate at a spot, on one side only: it pushes where the plate is below `from`, or pulls where it is above. */
interface Touch {
  readonly up: Float64Array;
  readonly from: number;
  /** N/m. */
  readonly rate: number;
  readonly way: 'pushes' | 'pulls';
}

const touches = ({ from, way }: Touch, lift: number): boolean =>
  way === 'pushes' ? lift < from : lift > from;

/** N away from the case. */
const forceAt = (touch: Touch, lift: number): number =>
  touches(touch, lift) ? touch.rate * (touch.from - lift) : 0;

/** N/m for each m² that something gives in any case, so that a plate that nothing holds stays somewhere. */
const AIR = 200;
const ROUNDS = 200;
/** J, of some tenths, that a step has to gain. */
const BALANCED = 1e-9;

/** Only on and below the diagonal: stiffness has two alike sides. */
const stiffen = (matrix: Float64Array, up: Float64Array, rate: number): void => {
  for (let i = 0; i < SHAPES; i++) {
    const by = rate * up[i]!;
    const row = i * SHAPES;
    for (let j = 0; j <= i; j++) matrix[row + j]! += by * up[j]!;
  }
};

/** Solves one plate again and again, from where it stood. */
export class BoltedPlate {
  /** Bending and air; the same with all of the gasket pressed. */
  private readonly lifted: Float64Array;
  private readonly pressed: Float64Array;
  private readonly gasket: readonly Touch[];
  private readonly springs: readonly Touch[];
  private readonly atBolts: readonly ShapesAt[];
  private shape: Float64Array = new Float64Array(SHAPES);

  constructor(readonly of: Bolted) {
    const { plate, gasket, pushes } = of;
    const pieces = piecesOf(plate);
    this.atBolts = of.bolts.map((b) => shapesAt(plate, b));
    this.gasket = pieces.map(({ up, area }) => ({
      up,
      from: 0,
      rate: area * gasket,
      way: 'pushes',
    }));
    this.springs = pushes.map((push) => ({
      up: shapesAt(plate, push).up,
      from: push.force / push.rate,
      rate: push.rate,
      way: 'pushes',
    }));
    this.lifted = bendingOf(plate);
    for (const { up, area } of pieces) stiffen(this.lifted, up, area * AIR);
    for (let i = 0; i < SHAPES; i++)
      for (let j = 0; j < i; j++) this.lifted[j * SHAPES + i] = this.lifted[i * SHAPES + j]!;
    this.pressed = Float64Array.from(this.lifted);
    for (const { up, rate } of this.gasket) stiffen(this.pressed, up, rate);
  }

  /**
   * Where it stands with its bolts set so.
   * @throws Error where it does not come to rest
   */
  stands(set: readonly BoltSet[]): Standing {
    const all = [...this.gasket, ...this.springs, ...this.stretched(set)];
    const drawn = this.drawn(set);
    const shape = Float64Array.from(this.shape);
    const lifts = all.map(({ up }) => dot(up, shape));
    for (let round = 0; round < ROUNDS; round++) {
      const on = all.map((touch, k) => touches(touch, lifts[k]!));
      const slope = this.bent(shape);
      for (let i = 0; i < SHAPES; i++) slope[i]! += drawn[i]!;
      all.forEach((touch, k) => {
        const force = on[k] ? forceAt(touch, lifts[k]!) : 0;
        if (force !== 0) for (let i = 0; i < SHAPES; i++) slope[i]! -= force * touch.up[i]!;
      });
      const step = slope.map((g) => -g);
      if (!solveSymmetric(this.stiffnessWith(all, on), step, SHAPES))
        throw new Error('the plate is not held');
      if (-dot(step, slope) < BALANCED) return this.told(shape, set);
      const rises = all.map(({ up }) => dot(up, step));
      // Where the whole step lets nothing go and lands on nothing, it is where the plate stands.
      const stays = all.every((touch, k) => touches(touch, lifts[k]! + rises[k]!) === on[k]);
      const share = stays ? 1 : this.share(shape, step, drawn, { all, lifts, rises });
      for (let i = 0; i < SHAPES; i++) shape[i]! += share * step[i]!;
      if (stays) return this.told(shape, set);
      for (let k = 0; k < all.length; k++) lifts[k]! += share * rises[k]!;
    }
    throw new Error('the plate does not come to rest');
  }

  private stretched(set: readonly BoltSet[]): Touch[] {
    return this.atBolts.flatMap(({ up }, n): Touch[] => {
      const how = set[n];
      if (!how || 'pulls' in how) return [];
      return [{ up, from: how.at, rate: boltStiffness(this.of.bolts[n]!), way: 'pulls' }];
    });
  }

  /** What pulls the same wherever the plate is: its weight, away from the case, and bolts that are drawn to a force. */
  private drawn(set: readonly BoltSet[]): Float64Array {
    const sum = new Float64Array(SHAPES);
    // All of its weight in the middle of an even plate pulls as it does spread out.
    sum[SHIFTS] = -this.of.weight;
    this.atBolts.forEach(({ up }, n) => {
      const how = set[n];
      if (how && 'pulls' in how) for (let i = 0; i < SHAPES; i++) sum[i]! += how.pulls * up[i]!;
    });
    return sum;
  }

  /** From whichever of the two is nearer: all of the gasket pressed, or none of it. */
  private stiffnessWith(all: readonly Touch[], on: readonly boolean[]): Float64Array {
    const { length } = this.gasket;
    const mostly = 2 * on.slice(0, length).filter(Boolean).length > length;
    const matrix = Float64Array.from(mostly ? this.pressed : this.lifted);
    all.forEach(({ up, rate }, k) => {
      if (k < length && mostly) {
        if (!on[k]) stiffen(matrix, up, -rate);
      } else if (on[k]) stiffen(matrix, up, rate);
    });
    return matrix;
  }

  private bent(shape: Float64Array): Float64Array {
    const forces = new Float64Array(SHAPES);
    for (let i = 0; i < SHAPES; i++) {
      const row = i * SHAPES;
      for (let j = 0; j < SHAPES; j++) forces[i]! += this.lifted[row + j]! * shape[j]!;
    }
    return forces;
  }

  /** How much of a step to take: where the energy along it is least, since what it lands on may press otherwise. */
  private share(
    shape: Float64Array,
    step: Float64Array,
    drawn: Float64Array,
    along: { all: readonly Touch[]; lifts: readonly number[]; rises: readonly number[] },
  ): number {
    const { all, lifts, rises } = along;
    const bent = this.bent(step);
    const [from, gain] = [dot(bent, shape) + dot(drawn, step), dot(bent, step)];
    const slopeAt = (share: number): number => {
      let sum = from + share * gain;
      for (let k = 0; k < all.length; k++)
        sum -= forceAt(all[k]!, lifts[k]! + share * rises[k]!) * rises[k]!;
      return sum;
    };
    let [low, high] = [0, 1];
    while (slopeAt(high) < 0 && high < 64) [low, high] = [high, 2 * high];
    return findRoot(slopeAt, low, high, 1e-6).x;
  }

  private told(shape: Float64Array, set: readonly BoltSet[]): Standing {
    this.shape = shape;
    const lifts = this.atBolts.map(({ up }) => dot(up, shape));
    const tensions = this.of.bolts.map((bolt, n) => {
      const how = set[n];
      if (!how) return 0;
      return 'pulls' in how ? how.pulls : Math.max(0, boltStiffness(bolt) * (lifts[n]! - how.at));
    });
    const slopes = this.atBolts.map(({ alongX, alongY }) =>
      Math.hypot(dot(alongX, shape), dot(alongY, shape)),
    );
    const { length, width } = this.of.plate;
    const leans = [(2 * shape[LEANS_ALONG]!) / length, (2 * shape[LEANS_ACROSS]!) / width] as const;
    const springs = this.springs.map((spring) => forceAt(spring, dot(spring.up, shape)));
    const pushed = springs.reduce((sum, f) => sum + f, this.of.weight);
    const lean = Math.hypot(...leans);
    return { tensions, lifts, slopes, pushed, lift: shape[SHIFTS]!, leans, lean };
  }
}
