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

/** What presses on a plate at a spot: N away from the case at a lift, and N/m by which that grows with it. */
interface Touch {
  readonly up: Float64Array;
  readonly at: (lift: number) => readonly [force: number, rate: number];
}

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
  private readonly hanging: Touch;
  private readonly atBolts: readonly ShapesAt[];
  private shape: Float64Array = new Float64Array(SHAPES);

  constructor(readonly of: Bolted) {
    const { plate, gasket, weight, pushes } = of;
    const pieces = piecesOf(plate);
    this.atBolts = of.bolts.map((b) => shapesAt(plate, b));
    this.gasket = pieces.map(({ up, area }) => ({
      up,
      at: (lift) => (lift < 0 ? [-area * gasket * lift, -area * gasket] : [0, 0]),
    }));
    this.springs = pushes.map((push) => ({
      up: shapesAt(plate, push).up,
      at: (lift) => {
        const left = push.force - push.rate * lift;
        return left > 0 ? [left, -push.rate] : [0, 0];
      },
    }));
    // All of its weight in the middle of an even plate pulls as it does spread out.
    const middle = new Float64Array(SHAPES);
    middle[SHIFTS] = 1;
    this.hanging = { up: middle, at: () => [weight, 0] };
    this.lifted = bendingOf(plate);
    for (const { up, area } of pieces) stiffen(this.lifted, up, area * AIR);
    for (let i = 0; i < SHAPES; i++)
      for (let j = 0; j < i; j++) this.lifted[j * SHAPES + i] = this.lifted[i * SHAPES + j]!;
    this.pressed = Float64Array.from(this.lifted);
    for (const { up, area } of pieces) stiffen(this.pressed, up, area * gasket);
  }

  /**
   * Where it stands with its bolts set so.
   * @throws Error where it does not come to rest
   */
  stands(set: readonly BoltSet[]): Standing {
    const touches = [...this.gasket, ...this.springs, this.hanging, ...this.boltsAs(set)];
    const shape = Float64Array.from(this.shape);
    for (let round = 0; round < ROUNDS; round++) {
      const slope = this.slopeOf(shape, touches);
      const step = Float64Array.from(slope, (g) => -g);
      if (!solveSymmetric(this.stiffnessAt(shape, touches), step, SHAPES))
        throw new Error('the plate is not held');
      if (-dot(step, slope) < BALANCED) return this.told(shape, set);
      const share = this.share(shape, step, touches);
      for (let k = 0; k < SHAPES; k++) shape[k]! += share * step[k]!;
    }
    throw new Error('the plate does not come to rest');
  }

  private boltsAs(set: readonly BoltSet[]): Touch[] {
    return this.atBolts.flatMap(({ up }, n): Touch[] => {
      const how = set[n];
      if (!how) return [];
      if ('pulls' in how) return [{ up, at: () => [-how.pulls, 0] }];
      const k = boltStiffness(this.of.bolts[n]!);
      return [{ up, at: (lift) => (lift > how.at ? [-k * (lift - how.at), -k] : [0, 0]) }];
    });
  }

  /** How the energy of a shape changes with each part of it. */
  private slopeOf(shape: Float64Array, touches: readonly Touch[]): Float64Array {
    const slope = this.bent(shape);
    for (const { up, at } of touches) {
      const [force] = at(dot(up, shape));
      if (force !== 0) for (let i = 0; i < SHAPES; i++) slope[i]! -= force * up[i]!;
    }
    return slope;
  }

  /** And how that does: from whichever of the two is nearer. */
  private stiffnessAt(shape: Float64Array, touches: readonly Touch[]): Float64Array {
    const rates = touches.map(({ up, at }) => -at(dot(up, shape))[1]);
    const off = this.gasket.filter((_g, k) => rates[k] === 0).length;
    const mostly = 2 * off < this.gasket.length;
    const matrix = Float64Array.from(mostly ? this.pressed : this.lifted);
    touches.forEach(({ up, at }, k) => {
      const isGasket = k < this.gasket.length;
      const rate = isGasket && mostly ? rates[k]! + at(-1)[1] : rates[k]!;
      if (rate !== 0) stiffen(matrix, up, rate);
    });
    return matrix;
  }

  private bent(shape: Float64Array): Float64Array {
    return Float64Array.from({ length: SHAPES }, (_v, i) =>
      dot(this.lifted.subarray(i * SHAPES, (i + 1) * SHAPES), shape),
    );
  }

  /** How much of a step to take: where the energy along it is least, since what it lands on may press otherwise. */
  private share(shape: Float64Array, step: Float64Array, touches: readonly Touch[]): number {
    const bent = this.bent(step);
    const [from, gain] = [dot(bent, shape), dot(bent, step)];
    const along = touches.map(({ up, at }) => ({ at, lift: dot(up, shape), rise: dot(up, step) }));
    const slopeAt = (share: number): number =>
      along.reduce(
        (sum, { at, lift, rise }) => sum - at(lift + share * rise)[0] * rise,
        from + share * gain,
      );
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
    const springs = this.springs.map(({ up, at }) => at(dot(up, shape))[0]);
    const pushed = springs.reduce((sum, f) => sum + f, this.of.weight);
    const lean = Math.hypot(...leans);
    return { tensions, lifts, slopes, pushed, lift: shape[SHIFTS]!, leans, lean };
  }
}
