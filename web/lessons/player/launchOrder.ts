/** Events by their names' letters: an order that tells nothing, and is the same for everybody. */
export const orderToBegin = (names: readonly string[]): string[] =>
  [...names].sort((a, b) => (a < b ? 1 : a > b ? -1 : 0));

export function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const next = [...items];
  const [item] = next.splice(from, 1);
  if (item !== undefined) next.splice(to, 0, item);
  return next;
}
