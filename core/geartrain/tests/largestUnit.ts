import { CASE, type ShiftElement, type Unit } from '../unit';

/** A unit at every limit of the format: forty members, forty sets, thirty elements with six one-way clutches, sixty ranges. */
export function largestUnit(): Unit {
  const names = Array.from({ length: 40 }, (_v, k) => `m${k}`);
  const at = (k: number) => names[k % 36]!;
  const elements = Array.from({ length: 30 }, (_v, k): ShiftElement => {
    const kind = k < 6 ? 'one-way' : k % 2 === 0 ? 'brake' : 'clutch';
    const second = kind === 'brake' || k < 3 ? CASE : at(3 * k + 7);
    return { id: `E${k}`, name: `Element ${k}`, kind, between: [at(3 * k + 2), second] };
  });
  const movable = elements.slice(6).map((e) => e.id);
  return {
    format: 'fair-sprocket/unit',
    version: 1,
    id: 'largest-unit',
    name: 'Largest unit',
    members: names.map((id, k) => ({ id, name: `Member ${k}` })),
    input: names[0]!,
    output: names[1]!,
    gearsets: Array.from({ length: 40 }, (_v, k) => ({
      id: `P${k}`,
      kind: 'single-pinion',
      sun: at(k),
      carrier: at(k + 1 + (k % 5)),
      ring: at(k + 9 + (k % 7)),
      teeth: { sun: 24 + (k % 6) * 3, ring: 72 + (k % 4) * 3 },
    })),
    elements,
    ranges: Array.from({ length: 60 }, (_v, k) => ({
      id: `r${k}`,
      lever: `D${Math.floor(k / 10)}`,
      gear: `${k + 1}`,
      apply: [movable[k % 24]!, movable[(k * 5 + 3) % 24]!].filter(
        (id, n, all) => all.indexOf(id) === n,
      ),
    })),
  };
}
