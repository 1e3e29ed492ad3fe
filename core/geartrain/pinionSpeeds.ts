import { fraction, multiply, subtract, ZERO, type Fraction } from '../numerics';
import type { Solution } from './solve';
import { CASE, type GearSet, type Unit } from './unit';

/**
 * How fast pinions turn on their pins, against the carrier: what their needle bearings see.
 *   ω_p − ω_c = −(Ns/Np)·(ωs − ωc); the outer pinion of a pair turns the other way (Willis, as in `constraints.ts`).
 */
export type PinionName = 'pinion' | 'inner' | 'outer';

export interface PinionSpeed {
  readonly name: PinionName;
  /** × the speed that the sun's and the carrier's are told in; `null` where one of them floats, or its teeth are unknown. */
  readonly speed: Fraction | null;
}

export type PlanetaryTeeth = Exclude<GearSet, { kind: 'mesh' }>;

/** @param sun and `carrier` speeds in one unit */
export function pinionSpeeds(
  set: Pick<PlanetaryTeeth, 'kind' | 'teeth'>,
  sun: Fraction | null,
  carrier: Fraction | null,
): PinionSpeed[] {
  const relative = sun && carrier ? subtract(sun, carrier) : null;
  const times = (teeth: number | undefined, sign: 1 | -1) =>
    relative && teeth ? multiply(relative, fraction(sign * set.teeth.sun, teeth)) : null;
  const teeth: { pinion?: number; inner?: number; outer?: number } = set.teeth;
  if (set.kind === 'single-pinion') return [{ name: 'pinion', speed: times(teeth.pinion, -1) }];
  return [
    { name: 'inner', speed: times(teeth.inner, -1) },
    { name: 'outer', speed: times(teeth.outer, 1) },
  ];
}

export interface UnitPinion extends PinionSpeed {
  readonly set: string;
}

/** A single pinion's teeth follow from sun and ring on one axis, Np = (Nr − Ns)/2. */
function withPinion(set: PlanetaryTeeth): PlanetaryTeeth {
  if (set.kind !== 'single-pinion' || set.teeth.pinion !== undefined) return set;
  const pinion = (set.teeth.ring - set.teeth.sun) / 2;
  return Number.isInteger(pinion) ? { ...set, teeth: { ...set.teeth, pinion } } : set;
}

/** Every pinion of a unit with known teeth, × input speed. */
export function unitPinionSpeeds(unit: Unit, { speeds }: Pick<Solution, 'speeds'>): UnitPinion[] {
  const of = (member: string) => (member === CASE ? ZERO : (speeds.get(member) ?? null));
  return unit.gearsets.flatMap((set) =>
    set.kind === 'mesh'
      ? []
      : pinionSpeeds(withPinion(set), of(set.sun), of(set.carrier))
          .filter((p) => p.speed !== null)
          .map((p) => ({ ...p, set: set.id })),
  );
}
