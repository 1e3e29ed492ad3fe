import { coneOf, type Arithmetic } from '../numerics';

/**
 * All one-way clutches of a train at once, as one complementarity problem (derived here; the duality is Farkas' and
 * Goldman and Tucker's, in any text on linear programming).
 *
 * Gears and applied elements leave a space of motions; every one-way clutch cuts it to the half in which its first
 * member is not slower than its second. What is left is a cone K of motions, seen through ω_in and ω_out. On drive the
 * engine turns its end forward as far as a loaded output, which stands back as far as it can, allows:
 *
 *   no motion of K has ω_in > 0                 → the input is blocked
 *   ω_out = 0 in all of them                    → the output is held
 *   one of them has ω_in > 0 and ω_out = 0      → the engine runs free: neutral
 *   else                                        → it drives at the least |ω_out/ω_in|
 *
 * On coast the road turns the output the way in which the range drives, and a dragging engine goes as slow as it can:
 * it drives at the least ω_in/|ω_out| > 0, or runs free where that is 0.
 *
 * The face of K on which the train then moves tells which one-way clutches do not slip. Where it drives or is blocked,
 * q/σ − ω_in = Σ λ·slip with every λ ≥ 0 on that face: one motion and one field of torques satisfy all.
 */

/** `drive`: the engine pushes. `coast`: the road pushes and the engine drags. */
export type Load = 'drive' | 'coast';

/** Entries of a direction of motion: ω_in, ω_out, then the slip ωa − ωb of each one-way clutch. */
const IN = 0;
const OUT = 1;
const FIRST_SLIP = 2;

export interface OneWaysAtRest {
  /** Sign of the input torque that the train stands up to: the engine's on drive and where the input is blocked,
   *  the drag on coast; 0 where nothing does, and no one-way clutch carries anything. */
  readonly push: number;
  /** The output turns with the input; else the input is blocked, or runs free. */
  readonly drives: boolean;
  /** For each one-way clutch: it can't slip in any motion that remains. */
  readonly still: readonly boolean[];
}

interface Face<T> {
  readonly push: number;
  readonly directions: readonly (readonly T[])[];
  /** Sign of ω_out with which it drives; 0 when it does not. */
  readonly way: number;
}

/** The cone of motions that gears, applied elements and one-way clutches leave, as directions that generate it. */
export interface MotionsLeft<T> {
  readonly directions: readonly (readonly T[])[];
  readonly oneWays: number;
}

/**
 * @param directions that span the motions left by gears and applied elements, as lists of entries
 * @param oneWays how many slips stand in each
 */
export function motionsLeft<T>(
  directions: readonly (readonly T[])[],
  oneWays: number,
  arithmetic: Arithmetic<T>,
): MotionsLeft<T> {
  const slips = Array.from({ length: oneWays }, (_, k) => FIRST_SLIP + k);
  const { lines, rays } = coneOf(directions, slips, arithmetic);
  const backward = lines.map((line) => line.map(arithmetic.negate));
  return { directions: [...lines, ...backward, ...rays], oneWays };
}

export function oneWaysAtRest<T>(
  { directions, oneWays }: MotionsLeft<T>,
  load: Load,
  arithmetic: Arithmetic<T>,
): OneWaysAtRest {
  const face =
    load === 'drive' ? driveFace(directions, arithmetic) : coastFace(directions, arithmetic);
  const still: boolean[] = [];
  for (let k = FIRST_SLIP; k < FIRST_SLIP + oneWays; k++)
    still.push(face.directions.every((d) => arithmetic.sign(d[k]!) === 0));
  return { push: face.push, drives: face.way !== 0, still };
}

function driveFace<T>(all: readonly (readonly T[])[], arithmetic: Arithmetic<T>): Face<T> {
  const { sign } = arithmetic;
  const forward = all.filter((d) => sign(d[IN]!) > 0);
  if (forward.length === 0) {
    const directions = all.filter((d) => sign(d[IN]!) === 0);
    return { push: 1, directions, way: 0 };
  }
  if (reaches(all, IN, 1, OUT, arithmetic)) return { push: 0, directions: all, way: 0 };
  return driving(all, leastOf(forward, OUT, IN, arithmetic), 1, arithmetic);
}

function coastFace<T>(all: readonly (readonly T[])[], arithmetic: Arithmetic<T>): Face<T> {
  const drive = driveFace(all, arithmetic);
  if (drive.push !== 0 && drive.way === 0) return drive;
  for (const way of drive.way === 0 ? [1, -1] : [drive.way]) {
    const rolling = all.filter((d) => arithmetic.sign(d[OUT]!) === way);
    const turned = rolling.filter((d) => arithmetic.sign(d[IN]!) > 0);
    if (turned.length === 0 || reaches(all, OUT, way, IN, arithmetic)) continue;
    return driving(all, leastOf(turned, IN, OUT, arithmetic), -1, arithmetic);
  }
  return { push: 0, directions: all, way: 0 };
}

/** A motion of the cone in which entry `moving` has this sign and entry `standing` is zero; two directions make it. */
function reaches<T>(
  all: readonly (readonly T[])[],
  moving: number,
  way: number,
  standing: number,
  { sign, less, divide }: Arithmetic<T>,
): boolean {
  if (all.some((d) => sign(d[moving]!) === way && sign(d[standing]!) === 0)) return true;
  const up = all.filter((d) => sign(d[standing]!) > 0);
  const down = all.filter((d) => sign(d[standing]!) < 0);
  return up.some((u) =>
    down.some(
      (d) => sign(less(d[moving]!, divide(d[standing]!, u[standing]!), u[moving]!)) === way,
    ),
  );
}

/** The direction with the least |entry `of`| for one |entry `per`|; both entries keep one sign in the list. */
function leastOf<T>(
  list: readonly (readonly T[])[],
  of: number,
  per: number,
  { sign, less, divide }: Arithmetic<T>,
): readonly T[] {
  const share = (d: readonly T[]) => divide(d[of]!, d[per]!);
  const one = divide(list[0]![per]!, list[0]![per]!);
  return list.reduce((best, d) => {
    const further = sign(less(share(d), one, share(best))) * sign(share(best));
    return further < 0 ? d : best;
  });
}

/** The face on which ω_in and ω_out keep the proportion of one direction. */
function driving<T>(
  all: readonly (readonly T[])[],
  best: readonly T[],
  push: number,
  { sign, less, divide }: Arithmetic<T>,
): Face<T> {
  const ratio = divide(best[OUT]!, best[IN]!);
  const directions = all.filter((d) => sign(less(d[OUT]!, ratio, d[IN]!)) === 0);
  return { push, directions, way: sign(ratio) };
}

/** Torques of a train with exactly these elements' rows on: sign of each, `null` where statics leave it open. */
export type SignsOf = (on: readonly number[]) => readonly (number | null)[];

/** Choices of independent rows looked at before the rest counts as sharing. */
const MOST_CHOICES = 200;

/**
 * Which of the one-way clutches that do not slip carry something. A redundant train has many fields of torques; those
 * counted have independent rows, so that no part presses on another for nothing: a one-way clutch beside an applied
 * brake shares what it may push against, and nothing on coast.
 *
 * @param on elements that are applied
 * @param still one-way clutches that do not slip
 * @param push as in `OneWaysAtRest`
 */
export function carrying(
  on: readonly number[],
  still: readonly number[],
  push: number,
  signsOf: SignsOf,
): number[] {
  const carry = new Set<number>();
  const seen = new Set<string>();
  const visit = (rows: readonly number[]): void => {
    const key = rows.join();
    if (seen.has(key) || seen.size >= MOST_CHOICES) return;
    seen.add(key);
    const signs = signsOf(rows);
    const held = still.filter((k) => rows.includes(k));
    if (held.every((k) => signs[k] !== null)) {
      if (held.every((k) => signs[k]! * push >= 0))
        for (const k of held) if (signs[k] !== 0) carry.add(k);
      return;
    }
    for (const k of rows) if (signs[k] === null) visit(rows.filter((r) => r !== k));
  };
  visit([...on, ...still]);
  return [...carry].sort((a, b) => a - b);
}
