import { randomFromSeed } from '../numerics';

/**
 * Cards as a question lays them out: mixed by a seed, the same for everybody, and never in an order that is right.
 * @param right whether an order answers the question; where every order does, the cards lie as they were mixed
 */
export function openingOrder(
  names: readonly string[],
  seed: string,
  right: (order: readonly string[]) => boolean,
): string[] {
  const random = randomFromSeed(seed);
  // From their names' own order, so that the order they come in tells nothing.
  const mixed = [...names].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
  for (let k = mixed.length - 1; k > 0; k--) {
    const other = random.whole(0, k);
    [mixed[k], mixed[other]] = [mixed[other]!, mixed[k]!];
  }
  const turned = mixed.map((_n, k) => [...mixed.slice(k), ...mixed.slice(0, k)]);
  return turned.flatMap((t) => [t, [...t].reverse()]).find((order) => !right(order)) ?? mixed;
}
