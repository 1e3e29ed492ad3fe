import { fraction, ZERO, type Fraction } from '../numerics';
import { CASE, type GearSet, type ShiftElement } from './unit';

/**
 * Gear sets and elements as rows of A in A·ω = 0 (Willis' equation for each planetary set:
 * R. Willis, Principles of Mechanism, 1841; also Müller, Epicyclic Drive Trains, ch. 2).
 *
 * Signs: speeds positive in the engine's direction. The same row transposed gives torques:
 * member j feels `coefficient_j · λ`.
 */
export interface Term {
  readonly member: string;
  readonly coefficient: number;
}

/** The constraint of one gear set:
 *  single-pinion  Ns·ωs + Nr·ωr − (Ns + Nr)·ωc = 0
 *  double-pinion  Ns·ωs − Nr·ωr − (Ns − Nr)·ωc = 0
 *  external pair  N1·ω1 + N2·ω2 = 0;  internal pair  N1·ω1 − N2·ω2 = 0
 */
export function gearSetTerms(set: GearSet): Term[] {
  switch (set.kind) {
    case 'single-pinion':
    case 'double-pinion': {
      const { sun, ring } = set.teeth;
      const signedRing = set.kind === 'single-pinion' ? ring : -ring;
      return [
        { member: set.sun, coefficient: sun },
        { member: set.ring, coefficient: signedRing },
        { member: set.carrier, coefficient: -(sun + signedRing) },
      ];
    }
    case 'mesh':
      return [
        { member: set.first, coefficient: set.teeth.first },
        { member: set.second, coefficient: (set.internal ? -1 : 1) * set.teeth.second },
      ];
  }
}

/** A clutch, dog, brake, band or holding one-way clutch: ωa − ωb = 0. λ is the torque on the first member. */
export const elementTerms = (element: ShiftElement): Term[] => [
  { member: element.between[0], coefficient: 1 },
  { member: element.between[1], coefficient: -1 },
];

/** One exact row over the members in `columns`; the case's terms drop out since ω_case = 0. */
export function exactRow(terms: readonly Term[], columns: ReadonlyMap<string, number>): Fraction[] {
  const row: Fraction[] = Array.from({ length: columns.size }, () => ZERO);
  for (const { member, coefficient } of terms) {
    if (member === CASE) continue;
    const column = columns.get(member);
    if (column === undefined)
      throw new Error(`constraint: expected a known member, got "${member}"`);
    row[column] = fraction(row[column]!.num + BigInt(coefficient));
  }
  return row;
}
