/**
 * The one direction in which a homogeneous system A·x = 0 can move, in floating point.
 *
 * Gaussian elimination with partial pivoting (any numerical text), in place on a flat row-major array.
 * This is the fast twin of `reduceRows`, for work repeated each frame or over many combinations.
 *
 * @param a     rows × cols coefficients, row-major; **destroyed**
 * @param zero  size below which a pivot counts as zero (see `PIVOT_SHARE`)
 * @param out   cols numbers; receives x, scaled so that its last entry is 1
 * @returns true when exactly one direction is free and it moves the last column; otherwise `out` is undefined
 */
export function nullVector(
  a: Float64Array,
  rows: number,
  cols: number,
  zero: number,
  out: Float64Array,
): boolean {
  const last = cols - 1;
  if (rows < last) return false;
  for (let c = 0; c < last; c++) {
    let best = c;
    let size = Math.abs(a[c * cols + c]!);
    for (let r = c + 1; r < rows; r++) {
      const v = Math.abs(a[r * cols + c]!);
      if (v > size) {
        size = v;
        best = r;
      }
    }
    if (size <= zero) return false;
    if (best !== c)
      for (let k = c; k < cols; k++) {
        const t = a[c * cols + k]!;
        a[c * cols + k] = a[best * cols + k]!;
        a[best * cols + k] = t;
      }
    const inverse = 1 / a[c * cols + c]!;
    for (let r = c + 1; r < rows; r++) {
      const f = a[r * cols + c]! * inverse;
      if (f === 0) continue;
      for (let k = c + 1; k < cols; k++) a[r * cols + k]! -= f * a[c * cols + k]!;
    }
  }
  // A further row that still holds something ties the last column to zero.
  for (let r = last; r < rows; r++) if (Math.abs(a[r * cols + last]!) > zero) return false;
  out[last] = 1;
  for (let c = last - 1; c >= 0; c--) {
    let sum = 0;
    for (let k = c + 1; k < cols; k++) sum += a[c * cols + k]! * out[k]!;
    out[c] = -sum / a[c * cols + c]!;
  }
  return true;
}
