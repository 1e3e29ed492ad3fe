/**
 * The unit: a drivetrain model as people exchange it. Everything a bench or a lesson says about a unit
 * is computed from this document. Its schema is `formats/unitV1.ts`.
 *
 * Signs: the engine's direction is positive. `case` is predefined, never turns and may stand at any port.
 */

/** Id of the member that never turns. */
export const CASE = 'case';

export interface Member {
  id: string;
  name: string;
  /** kg·m²; estimated from the teeth where it is not stated. */
  inertia?: number;
}

export interface SinglePinionTeeth {
  sun: number;
  pinion?: number;
  ring: number;
}

export interface DoublePinionTeeth {
  sun: number;
  /** Pinion that meshes with the sun. */
  inner?: number;
  /** Pinion that meshes with the ring. */
  outer?: number;
  ring: number;
}

interface PlanetaryPorts {
  id: string;
  sun: string;
  carrier: string;
  ring: string;
  /** Pinions round the set (pairs, for a double-pinion set). */
  pinions?: number;
}

export interface SinglePinionSet extends PlanetaryPorts {
  kind: 'single-pinion';
  teeth: SinglePinionTeeth;
}

export interface DoublePinionSet extends PlanetaryPorts {
  kind: 'double-pinion';
  teeth: DoublePinionTeeth;
}

export interface GearPair {
  id: string;
  kind: 'mesh';
  first: string;
  second: string;
  teeth: { first: number; second: number };
  /** The second gear has internal teeth: both turn the same way. */
  internal?: boolean;
}

export type GearSet = SinglePinionSet | DoublePinionSet | GearPair;

export type ElementKind = 'clutch' | 'dog' | 'brake' | 'band' | 'one-way';

export interface ShiftElement {
  id: string;
  name: string;
  kind: ElementKind;
  /** For `one-way` the first may overrun the second forward and never turns slower than it. */
  between: [string, string];
}

export interface Range {
  id: string;
  lever: string;
  gear: string;
  /** Ids of applied elements. One-way clutches are never listed: they find out for themselves. */
  apply: string[];
}

/** One sleeve on one hub, with a gear at each side of it. */
export interface SleeveGroup {
  id: string;
  /** The member that the hub is fixed to. */
  hub: string;
  /** Dog clutches by their ids; `null` for a side that has no gear. */
  sides: [string | null, string | null];
  /** Sleeves of one name are kept from being out of neutral together. */
  interlock?: string;
}

export interface Unit {
  format: 'fair-sprocket/unit';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  members: Member[];
  input: string;
  output: string;
  gearsets: GearSet[];
  elements: ShiftElement[];
  ranges: Range[];
  /** Where nothing is said, every dog clutch has a sleeve of its own. */
  sleeves?: SleeveGroup[];
}

/** The named ports of a gear set with the member at each, in the order of `gearSetTerms`. */
export function portsOf(set: GearSet): { port: string; member: string }[] {
  if (set.kind === 'mesh')
    return [
      { port: 'first', member: set.first },
      { port: 'second', member: set.second },
    ];
  return [
    { port: 'sun', member: set.sun },
    { port: 'ring', member: set.ring },
    { port: 'carrier', member: set.carrier },
  ];
}

export type PlanetaryUnitSet = SinglePinionSet | DoublePinionSet;

/**
 * The set whose ring gear this one uses. Two sets with the same ring member, carrier and ring teeth are a
 * Ravigneaux arrangement: one ring, one carrier, two suns. Then the first of them; else the set itself.
 */
export const ringOwner = (unit: Unit, set: PlanetaryUnitSet): PlanetaryUnitSet =>
  unit.gearsets.find(
    (g): g is PlanetaryUnitSet =>
      g.kind !== 'mesh' &&
      g.ring === set.ring &&
      g.carrier === set.carrier &&
      g.teeth.ring === set.teeth.ring,
  ) ?? set;

/** Gear pairs behind two clutches on the input: neighbouring gears may hand over from one to the other. */
export const isDualClutch = (unit: Unit): boolean =>
  unit.gearsets.every((g) => g.kind === 'mesh') &&
  unit.elements.filter((e) => e.kind === 'clutch' && e.between.includes(unit.input)).length > 1;
