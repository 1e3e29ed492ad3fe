/**
 * Random numbers from a seed: same seed, same numbers, on every machine.
 * sfc32 by C. Doty-Humphrey (PractRand, public domain), seeded by a 32-bit string hash
 * (FNV-1a, Fowler–Noll–Vo, with a final avalanche).
 */
export interface Random {
  /** A number in [0, 1). */
  next(): number;
  /** A whole number in [from, to], both ends included. */
  whole(from: number, to: number): number;
  /** @throws Error when the list is empty. */
  pick<T>(items: readonly T[]): T;
}

function hash32(text: string, basis: number): number {
  let h = basis >>> 0;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h ^= h >>> 16;
  h = Math.imul(h, 0x85ebca6b);
  h ^= h >>> 13;
  return h >>> 0;
}

/** Eight hexadecimal digits that tell one text from another; no proof of anything. */
export const fingerprint = (text: string): string =>
  hash32(text, 0x811c9dc5).toString(16).padStart(8, '0');

/** A seed, from which something is drawn later. */
export const seedFrom = (random: Random): string => random.whole(0, 2 ** 48).toString(36);

export function randomFromSeed(seed: string): Random {
  let a = hash32(seed, 0x811c9dc5);
  let b = hash32(seed, 0x9e3779b9);
  let c = hash32(seed, 0x243f6a88);
  let counter = 1;
  function next(): number {
    const t = (((a + b) | 0) + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + t;
    return (t >>> 0) / 4294967296;
  }
  for (let i = 0; i < 12; i++) next();
  const whole = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  function pick<T>(items: readonly T[]): T {
    if (items.length === 0) throw new Error('random: expected a list with at least one item');
    return items[whole(0, items.length - 1)]!;
  }
  return { next, whole, pick };
}
