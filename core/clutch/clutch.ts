import type { DiscSpring } from './discSpring';
import type { Friction, WearTheory } from './facing';

/**
 * The dry clutch as people exchange it, from the pedal to the plate. Its schema is `formats/clutchV1.ts`.
 * Lengths m, forces N, SI throughout.
 */
export interface Disc {
  outerRadius: number;
  innerRadius: number;
  /** Discs in the cover: each has two faces. */
  discs: number;
  friction: Friction;
  theory: WearTheory;
  /** Thickness under load when new and when worn out. */
  newThickness: number;
  wornThickness: number;
  /** Facing above the rivets of each side when new. */
  aboveRivets: number;
  /** The waved segments between the facings: how far they close, and the load that closes them. */
  cushion: { travel: number; load: number };
  /** Springs in the hub, N·m/rad, and the friction beside them, N·m. */
  damper: { stiffness: number; friction: number };
  /** kg·m² with the gearbox's input shaft. */
  inertia: number;
}

/** The closed ring of a diaphragm spring with its fingers. */
export interface DiaphragmCover {
  kind: 'diaphragm';
  spring: DiscSpring;
  /** Where it presses on the plate, where it tips, and where the bearing pushes. */
  plateRadius: number;
  pivotRadius: number;
  fingerRadius: number;
  /** Deflection at the plate with a new disc clamped, counted from the free cone. */
  installed: number;
  /** N/m of all fingers at the bearing. */
  fingerStiffness: number;
}

/** Coil springs round the plate and levers that pull it back. */
export interface LeverCover {
  kind: 'levers';
  springs: number;
  /** N/m of one. */
  rate: number;
  /** N of one, with a new disc clamped. */
  preload: number;
  levers: 3 | 4;
  /** Bearing travel over plate travel. */
  leverRatio: number;
  /** m from the axis to where the levers lift the plate. */
  plateRadius: number;
}

export interface Cover {
  spring: DiaphragmCover | LeverCover;
  /** Straps that lift the plate: N/m, and N with a new disc clamped. */
  straps: { rate: number; preload: number };
  /** Heat capacity of plate and flywheel face, J/K, and what the air takes, W/K. */
  heatCapacity: number;
  cooling: number;
}

export interface CableLink {
  kind: 'cable';
  /** Pedal pad travel over travel at the fork's end. */
  ratio: number;
  /** N/m of cable or rods at the fork's end. */
  stiffness: number;
}

export interface HydraulicLink {
  kind: 'hydraulic';
  /** Pedal pad travel over push rod travel. */
  ratio: number;
  masterBore: number;
  slaveBore: number;
  /** Volume that the lines take for each Pa, m³/Pa. */
  give: number;
  /** Push rod travel before the master cylinder's port is closed. */
  rodPlay: number;
  /** The slave follows the fingers: no free play by design, and the bearing always runs along under a light load. */
  selfAdjusting?: boolean;
}

/**
 * A spring that holds the pedal up and, past its centre, helps the foot. It runs from a fixed anchor to an arm on the
 * pedal; at `centre` (pedal pad travel) anchor, pivot and arm are in line.
 */
export interface OverCentreSpring {
  rate: number;
  freeLength: number;
  anchor: number;
  arm: number;
  centre: number;
}

export interface Linkage {
  drive: CableLink | HydraulicLink;
  /** Pad travel from stop to floor. */
  pedalTravel: number;
  /** m from the pedal's pivot to its pad. */
  pedalArm: number;
  /** Travel at the fork's end over travel of the bearing. */
  forkRatio: number;
  /** Play at the fork's end, bearing not touching. */
  forkPlay: number;
  /** N of the pedal's return spring at the pad. */
  returnForce: number;
  overCentre?: OverCentreSpring;
}

/** What the maker asks for; verdicts are told by it. Each from least to most. */
export interface Limits {
  pedalPlay: [number, number];
  releasedGap: number;
  /** Most uneven height of fingers or levers. */
  fingerHeight: number;
  /** Pedal travel at which the spring passes its centre. */
  centre?: [number, number];
}

export interface Clutch {
  format: 'fair-sprocket/clutch';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  disc: Disc;
  cover: Cover;
  linkage: Linkage;
  limits: Limits;
}

/** The release takes wear up by itself. */
export const adjustsItself = ({ linkage: { drive } }: Clutch): boolean =>
  drive.kind === 'hydraulic' && drive.selfAdjusting === true;

/** Pad travel over travel at the fork's end, stiff and without play. */
export function pedalToFork({ drive }: Linkage): number {
  if (drive.kind === 'cable') return drive.ratio;
  return drive.ratio * (drive.slaveBore / drive.masterBore) ** 2;
}

/** Bearing travel over travel of the plate, stiff. */
export function leverRatio({ spring }: Cover): number {
  if (spring.kind === 'levers') return spring.leverRatio;
  return (spring.pivotRadius - spring.fingerRadius) / (spring.plateRadius - spring.pivotRadius);
}
