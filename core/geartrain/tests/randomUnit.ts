import type { Random } from '../../numerics';
import { CASE, type Unit } from '../unit';

/**
 * Random units for property tests: one to three coupled sets, up to five clutches and brakes.
 * @param oneWays some of the elements are one-way clutches
 * @param more at most so many one-way clutches beside them
 */
export function randomUnit(random: Random, oneWays = false, more = 0): Unit {
  const sets = random.whole(1, 3);
  const names = Array.from({ length: sets + random.whole(2, 3) }, (_, k) => `m${k}`);
  const three = () => {
    const left = [...names];
    return Array.from({ length: 3 }, () => left.splice(random.whole(0, left.length - 1), 1)[0]!);
  };
  const gearsets = Array.from({ length: sets }, (_, k) => {
    const [sun, carrier, ring] = three() as [string, string, string];
    const teeth = { sun: random.whole(18, 45), ring: random.whole(54, 96) };
    const kind = random.next() < 0.7 ? ('single-pinion' as const) : ('double-pinion' as const);
    return { id: `P${k}`, kind, sun, carrier, ring, teeth };
  });
  const elements = Array.from({ length: random.whole(2, 5) }, (_, k) => {
    const a = random.pick(names);
    const b = random.next() < 0.5 ? CASE : random.pick(names.filter((n) => n !== a));
    const plain = b === CASE ? ('brake' as const) : ('clutch' as const);
    const kind = oneWays && random.next() < 0.35 ? ('one-way' as const) : plain;
    return { id: `E${k}`, name: `E${k}`, kind, between: [a, b] as [string, string] };
  });
  const counted = elements.filter((e) => e.kind === 'one-way').length;
  for (let k = more > 0 ? random.whole(0, more) - counted : 0; k > 0; k--) {
    const ends = [random.pick(names), random.pick([CASE, ...names])];
    if (ends[0] === ends[1]) continue;
    if (random.next() < 0.5) ends.reverse();
    const id = `F${k}`;
    elements.push({ id, name: id, kind: 'one-way', between: ends as [string, string] });
  }
  return {
    format: 'fair-sprocket/unit',
    version: 1,
    id: 'random',
    name: 'Random',
    members: names.map((id) => ({ id, name: id })),
    input: names[0]!,
    output: names[1]!,
    gearsets,
    elements,
    ranges: [],
  };
}
