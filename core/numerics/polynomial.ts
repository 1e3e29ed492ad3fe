/**
 * Polynomials in named unknowns with whole coefficients, just enough to keep a gear ratio in tooth counts:
 * sums, products and exact quotients. A monomial is its unknowns, sorted, joined by `*`; `s*s` is s squared.
 */
export type Polynomial = ReadonlyMap<string, bigint>;

export const NOTHING: Polynomial = new Map();

/** One unknown. Its name must not hold `*`. */
export const unknown = (name: string): Polynomial => new Map([[name, 1n]]);

function collect(terms: Iterable<readonly [string, bigint]>): Polynomial {
  const sum = new Map<string, bigint>();
  for (const [key, value] of terms) {
    const total = (sum.get(key) ?? 0n) + value;
    if (total === 0n) sum.delete(key);
    else sum.set(key, total);
  }
  return sum;
}

const times = (a: string, b: string): string =>
  a === '' ? b : b === '' ? a : [...a.split('*'), ...b.split('*')].sort().join('*');

export const addPolynomials = (a: Polynomial, b: Polynomial): Polynomial => collect([...a, ...b]);

export const negatePolynomial = (a: Polynomial): Polynomial =>
  new Map([...a].map(([key, value]) => [key, -value]));

export const multiplyPolynomials = (a: Polynomial, b: Polynomial): Polynomial =>
  collect([...a].flatMap(([p, u]) => [...b].map(([q, v]) => [times(p, q), u * v] as const)));

/** Unknowns left when `b` is taken out of `a`, or `null`. */
function quotientKey(a: string, b: string): string | null {
  const left = a === '' ? [] : a.split('*');
  for (const name of b === '' ? [] : b.split('*')) {
    const at = left.indexOf(name);
    if (at < 0) return null;
    left.splice(at, 1);
  }
  return left.join('*');
}

/** Graded order of monomials: more unknowns first, then by name; the same for products of both sides. */
function leading(a: Polynomial): [string, bigint] {
  const degree = (key: string) => (key === '' ? 0 : key.split('*').length);
  const names = [...new Set([...a.keys()].flatMap((k) => k.split('*')))].sort();
  const powers = (key: string) =>
    names.map((n) => String(key.split('*').filter((k) => k === n).length).padStart(3, '0')).join();
  return [...a].reduce((best, term) => {
    const [d, e] = [degree(term[0]), degree(best[0])];
    return d > e || (d === e && powers(term[0]) > powers(best[0])) ? term : best;
  });
}

/** a / b when it leaves nothing over, else `null`. @throws Error when `b` is zero */
export function dividePolynomial(a: Polynomial, b: Polynomial): Polynomial | null {
  if (b.size === 0) throw new Error('dividePolynomial: the divisor must not be 0');
  const [leadKey, leadValue] = leading(b);
  let rest = a;
  const quotient: [string, bigint][] = [];
  while (rest.size > 0) {
    const [key, value] = leading(rest);
    const left = quotientKey(key, leadKey);
    if (left === null || value % leadValue !== 0n) return null;
    const term: [string, bigint] = [left, value / leadValue];
    quotient.push(term);
    rest = addPolynomials(rest, negatePolynomial(multiplyPolynomials(new Map([term]), b)));
  }
  return collect(quotient);
}

/** The value with numbers put in for the unknowns. */
export const evaluatePolynomial = (a: Polynomial, valueOf: (name: string) => bigint): bigint =>
  [...a].reduce(
    (sum, [key, value]) =>
      sum + (key === '' ? value : key.split('*').reduce((p, name) => p * valueOf(name), value)),
    0n,
  );
