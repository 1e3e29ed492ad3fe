import { openingOrder } from './openingOrder';

test('cards never open in an order that is right, however they are mixed', () => {
  const names = ['moves', 'pulls-most', 'stator-lets-go', 'lock-up'];
  const right = (order: readonly string[]) => order.join() === names.join();
  const seen = new Set<string>();
  for (let k = 0; k < 200; k++) {
    const order = openingOrder(names, `seed ${k}`, right);
    expect([...order].sort()).toEqual([...names].sort());
    expect(right(order)).toBe(false);
    seen.add(order.join());
    expect(openingOrder(names, `seed ${k}`, right)).toEqual(order);
    expect(openingOrder([...names].reverse(), `seed ${k}`, right)).toEqual(order);
  }
  expect(seen.size).toBeGreaterThan(15);
});

test('two cards, and cards of which any order is right', () => {
  for (const seed of ['a', 'b', 'c'])
    expect(openingOrder(['x', 'y'], seed, (o) => o[0] === 'x')).toEqual(['y', 'x']);
  expect(openingOrder(['x', 'y'], 'a', () => true)).toHaveLength(2);
});
