import type { Unit } from '../unit';

/** What every unit of a test has. */
export const UNNAMED = {
  format: 'fair-sprocket/unit' as const,
  version: 1 as const,
  name: '',
  ranges: [],
};
export const members = (...ids: string[]) => ids.map((id) => ({ id, name: id }));

/** Two equal sets, suns joined, front carrier and rear ring joined to the output. */
export const simpson = (sun: number, ring: number): Unit => ({
  ...UNNAMED,
  id: 'two-equal-sets',
  members: members('in', 'out', 's', 'r1', 'c2'),
  input: 'in',
  output: 'out',
  gearsets: [
    { id: 'P1', kind: 'single-pinion', sun: 's', carrier: 'out', ring: 'r1', teeth: { sun, ring } },
    { id: 'P2', kind: 'single-pinion', sun: 's', carrier: 'c2', ring: 'out', teeth: { sun, ring } },
  ],
  elements: [
    { id: 'C1', name: '', kind: 'clutch', between: ['in', 'r1'] },
    { id: 'C2', name: '', kind: 'clutch', between: ['in', 's'] },
    { id: 'B1', name: '', kind: 'brake', between: ['s', 'case'] },
    { id: 'B2', name: '', kind: 'brake', between: ['c2', 'case'] },
    { id: 'F1', name: '', kind: 'one-way', between: ['c2', 'case'] },
  ],
});

/** Small sun a in the double-pinion set, large sun b in the single-pinion one; carrier and ring shared. */
export const ravigneaux = (a: number, b: number, r: number): Unit => ({
  ...UNNAMED,
  id: 'two-suns',
  members: members('in', 'a', 'b', 'c', 'r'),
  input: 'in',
  output: 'r',
  gearsets: [
    {
      id: 'P1',
      kind: 'double-pinion',
      sun: 'a',
      carrier: 'c',
      ring: 'r',
      teeth: { sun: a, ring: r },
    },
    {
      id: 'P2',
      kind: 'single-pinion',
      sun: 'b',
      carrier: 'c',
      ring: 'r',
      teeth: { sun: b, ring: r },
    },
  ],
  elements: [
    { id: 'Ca', name: '', kind: 'clutch', between: ['in', 'a'] },
    { id: 'Cb', name: '', kind: 'clutch', between: ['in', 'b'] },
    { id: 'Cc', name: '', kind: 'clutch', between: ['in', 'c'] },
    { id: 'Bb', name: '', kind: 'band', between: ['b', 'case'] },
    { id: 'Bc', name: '', kind: 'brake', between: ['c', 'case'] },
  ],
});
