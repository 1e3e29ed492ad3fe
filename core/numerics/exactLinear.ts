import { divide, isZero, multiply, subtract, ZERO, type Fraction } from './fraction';

/**
 * Reduced row echelon form in exact arithmetic (Gauss–Jordan; any linear-algebra text).
 * Small dense systems only: tens of unknowns.
 */
export interface ReducedRows {
  /** Non-zero rows, each with a leading 1. */
  readonly rows: readonly (readonly Fraction[])[];
  /** Column of each row's leading 1, rising. */
  readonly pivots: readonly number[];
}

/**
 * @param matrix rows of equal length; not changed
 * @param width  columns that may hold a pivot; columns past it (a right-hand side) are only carried along
 */
export function reduceRows(
  matrix: readonly (readonly Fraction[])[],
  width: number = matrix[0]?.length ?? 0,
): ReducedRows {
  const rows = matrix.map((row) => [...row]);
  const pivots: number[] = [];
  let rank = 0;
  for (let col = 0; col < width && rank < rows.length; col++) {
    const pivotRow = rows.findIndex((row, r) => r >= rank && !isZero(row[col] ?? ZERO));
    if (pivotRow < 0) continue;
    [rows[rank], rows[pivotRow]] = [rows[pivotRow]!, rows[rank]!];
    const pivot = rows[rank]!;
    const lead = pivot[col]!;
    for (let k = col; k < pivot.length; k++)
      if (!isZero(pivot[k]!)) pivot[k] = divide(pivot[k]!, lead);
    for (let r = 0; r < rows.length; r++) if (r !== rank) eliminate(rows[r]!, pivot, col);
    pivots.push(col);
    rank++;
  }
  return { rows: rows.slice(0, rank), pivots };
}

function eliminate(row: Fraction[], pivot: readonly Fraction[], col: number): void {
  const factor = row[col]!;
  if (isZero(factor)) return;
  // Most rows name two or three members, so most entries of a pivot row are zero.
  for (let k = col; k < row.length; k++)
    if (!isZero(pivot[k]!)) row[k] = subtract(row[k]!, multiply(factor, pivot[k]!));
}

/**
 * Solves `matrix · x = rhs` exactly.
 * @returns each unknown's value, or `null` where the system leaves it open; `null` for the whole when
 *   the system contradicts itself.
 */
export function solveExact(
  matrix: readonly (readonly Fraction[])[],
  rhs: readonly Fraction[],
  unknowns: number,
): (Fraction | null)[] | null {
  const augmented = matrix.map((row, r) => [...row, rhs[r] ?? ZERO]);
  const { rows, pivots } = reduceRows(augmented, unknowns + 1);
  if (pivots.at(-1) === unknowns) return null;
  const x: (Fraction | null)[] = Array.from({ length: unknowns }, () => null);
  rows.forEach((row, r) => {
    const pivot = pivots[r]!;
    const free = row.some((value, c) => c !== pivot && c < unknowns && !isZero(value));
    if (!free) x[pivot] = row[unknowns]!;
  });
  return x;
}
