import { fraction, gcd, ZERO, type Fraction } from './fraction';

/**
 * Reduced rows in exact arithmetic: elimination without fractions (E. H. Bareiss, Mathematics of Computation 22, 1968, in
 * the plain form that divides each row by what all its entries share), with pivots that keep the rows sparse (H. M.
 * Markowitz, Management Science 3, 1957). A row of a gear train names two or three members, so most entries are zero and
 * should stay it: forty members take a millisecond or two instead of a second.
 */
export interface ReducedRows {
  /** Non-zero rows, each with a 1 at its pivot and zeros at the pivots of the others. */
  readonly rows: readonly (readonly Fraction[])[];
  /** Column of each row's pivot, rising. */
  readonly pivots: readonly number[];
}

/**
 * leading: the first columns become pivots, as in an echelon form · tiers: one number for each column; those of a lower tier
 * become pivots first, so that what is left over names only columns of higher ones
 */
export type PivotChoice = 'leading' | { readonly tiers: readonly number[] };

/** Tiers in which the last column becomes a pivot only when no other can. */
export const oneLast = (width: number): number[] =>
  Array.from({ length: width }, (_v, c) => (c === width - 1 ? 1 : 0));

interface IntegerRow {
  readonly entries: bigint[];
  filled: number;
}

/** A reduced row before it is divided by its pivot: whole numbers, in one proportion. */
export interface WholeRow {
  readonly entries: readonly bigint[];
  readonly pivot: number;
}

/**
 * @param matrix rows of equal length; not changed
 * @param width  columns that may hold a pivot; columns past it (a right-hand side) are only carried along
 */
export function reduceRows(
  matrix: readonly (readonly Fraction[])[],
  width: number = matrix[0]?.length ?? 0,
  choice: PivotChoice = 'leading',
): ReducedRows {
  const whole = reduceWhole(matrix, width, choice);
  return {
    rows: whole.map(({ entries, pivot }) =>
      entries.map((v) => (v === 0n ? ZERO : fraction(v, entries[pivot]))),
    ),
    pivots: whole.map((row) => row.pivot),
  };
}

/** As `reduceRows`, for one who needs only proportions: dividing takes longer than reducing. */
export function reduceWhole(
  matrix: readonly (readonly Fraction[])[],
  width: number,
  choice: PivotChoice,
): WholeRow[] {
  const left = matrix.map(integerRow).filter((row) => row.filled > 0);
  const taken: { row: IntegerRow; column: number }[] = [];
  for (;;) {
    const next = nextPivot(left, width, choice, taken.at(-1)?.column ?? -1);
    if (!next) break;
    const [row] = left.splice(next.row, 1);
    taken.push({ row: row!, column: next.column });
    for (const other of left) eliminate(other, row!, next.column);
  }
  // From the last pivot back, so that what is taken away is reduced already.
  for (let k = taken.length - 1; k > 0; k--)
    for (let j = 0; j < k; j++) eliminate(taken[j]!.row, taken[k]!.row, taken[k]!.column);
  taken.sort((a, b) => a.column - b.column);
  return taken.map(({ row, column }) => ({ entries: row.entries, pivot: column }));
}

function integerRow(row: readonly Fraction[]): IntegerRow {
  const common = row.reduce((all, { den }) => (all / gcd(all, den)) * den, 1n);
  const entries = row.map(({ num, den }) => num * (common / den));
  return { entries, filled: entries.filter((v) => v !== 0n).length };
}

function nextPivot(
  rows: readonly IntegerRow[],
  width: number,
  choice: PivotChoice,
  before: number,
): { row: number; column: number } | null {
  if (choice === 'leading') {
    for (let column = before + 1; column < width; column++) {
      const row = sparsest(rows, column);
      if (row >= 0) return { row, column };
    }
    return null;
  }
  const { tiers } = choice;
  const inColumn = new Uint16Array(width);
  let tier = Infinity;
  for (const { entries } of rows)
    for (let c = 0; c < width; c++)
      if (entries[c] !== 0n) {
        inColumn[c]!++;
        tier = Math.min(tier, tiers[c]!);
      }
  let best: { row: number; column: number } | null = null;
  let cost = Infinity;
  rows.forEach(({ entries, filled }, row) => {
    for (let column = 0; column < width; column++) {
      if (entries[column] === 0n || tiers[column] !== tier) continue;
      const own = (filled - 1) * (inColumn[column]! - 1);
      if (own < cost) {
        cost = own;
        best = { row, column };
      }
    }
  });
  return best;
}

function sparsest(rows: readonly IntegerRow[], column: number): number {
  let best = -1;
  rows.forEach(({ entries, filled }, row) => {
    if (entries[column] !== undefined && entries[column] !== 0n)
      if (best < 0 || filled < rows[best]!.filled) best = row;
  });
  return best;
}

const LARGE = 2n ** 53n;

/** Takes so much of `pivot` from `row` that `column` is empty, and divides by what all entries share. */
function eliminate(row: IntegerRow, pivot: IntegerRow, column: number): void {
  const { entries } = row;
  const factor = entries[column]!;
  if (factor === 0n) return;
  const lead = pivot.entries[column]!;
  const shared = gcd(factor, lead);
  const [own, other] = [lead / shared, factor / shared];
  let large = false;
  let filled = 0;
  for (let k = 0; k < entries.length; k++) {
    const [a, b] = [entries[k]!, pivot.entries[k]!];
    if (a === 0n && b === 0n) continue;
    const value = own * a - other * b;
    entries[k] = value;
    if (value === 0n) continue;
    filled++;
    large ||= value > LARGE || value < -LARGE;
  }
  row.filled = filled;
  // What small numbers share is not worth looking for: they are divided when they have grown.
  if (!large) return;
  let content = 0n;
  for (const value of entries) if (value !== 0n && (content = gcd(content, value)) === 1n) return;
  if (content > 1n)
    for (let k = 0; k < entries.length; k++)
      if (entries[k] !== 0n) entries[k] = entries[k]! / content;
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
  const { rows, pivots } = reduceRows(augmented, unknowns + 1, { tiers: oneLast(unknowns + 1) });
  if (pivots.at(-1) === unknowns) return null;
  const x: (Fraction | null)[] = Array.from({ length: unknowns }, () => null);
  rows.forEach((row, r) => {
    const pivot = pivots[r]!;
    const free = row.some((value, c) => c !== pivot && c < unknowns && value.num !== 0n);
    if (!free) x[pivot] = row[unknowns]!;
  });
  return x;
}
