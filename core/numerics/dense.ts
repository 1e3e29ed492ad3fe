/**
 * Solves A·x = b in place by elimination with partial pivoting (any numerical text): A is destroyed, b becomes x.
 * @param a n × n, row by row
 * @returns whether A has an inverse
 */
export function solveDense(a: Float64Array, b: Float64Array, n: number): boolean {
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++)
      if (Math.abs(a[i * n + k]!) > Math.abs(a[best * n + k]!)) best = i;
    const pivot = a[best * n + k]!;
    if (!(Math.abs(pivot) > 0)) return false;
    if (best !== k) {
      for (let j = k; j < n; j++) {
        const held = a[k * n + j]!;
        a[k * n + j] = a[best * n + j]!;
        a[best * n + j] = held;
      }
      [b[k], b[best]] = [b[best]!, b[k]!];
    }
    for (let i = k + 1; i < n; i++) {
      const share = a[i * n + k]! / pivot;
      if (share === 0) continue;
      for (let j = k + 1; j < n; j++) a[i * n + j]! -= share * a[k * n + j]!;
      b[i]! -= share * b[k]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    let sum = b[k]!;
    for (let j = k + 1; j < n; j++) sum -= a[k * n + j]! * b[j]!;
    b[k] = sum / a[k * n + k]!;
  }
  return true;
}

/**
 * Solves A·x = b for a symmetric A that is positive definite, in place, by Cholesky's factors (any numerical text): only what
 * stands on and below the diagonal is read; A is destroyed, b becomes x.
 * @param a n × n, row by row
 * @returns whether A is positive definite
 */
export function solveSymmetric(a: Float64Array, b: Float64Array, n: number): boolean {
  for (let i = 0; i < n; i++) {
    const row = i * n;
    for (let j = 0; j <= i; j++) {
      const other = j * n;
      let sum = a[row + j]!;
      for (let k = 0; k < j; k++) sum -= a[row + k]! * a[other + k]!;
      if (i > j) a[row + j] = sum / a[other + j]!;
      else if (sum > 0) a[row + j] = Math.sqrt(sum);
      else return false;
    }
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= a[row + k]! * b[k]!;
    b[i] = sum / a[row + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i]!;
    for (let k = i + 1; k < n; k++) sum -= a[k * n + i]! * b[k]!;
    b[i] = sum / a[i * n + i]!;
  }
  return true;
}
