import type { Hazard } from '../faults';
import type { Part, PartKind } from './parts';

/** What can hurt one who takes out a part of this kind; told before the hand goes there. */
const HAZARDS_OF: Readonly<Partial<Record<PartKind, readonly Hazard[]>>> = {
  fluid: ['hot-fluid'],
  pan: ['hot-fluid'],
  filter: ['hot-fluid'],
  'valve-body': ['hot-fluid'],
  converter: ['heavy-parts'],
  pump: ['heavy-parts'],
  support: ['heavy-parts'],
  // Its words speak of snap rings, too.
  'snap-ring': ['heavy-parts'],
  carrier: ['heavy-parts'],
  case: ['heavy-parts'],
  spring: ['springs'],
  'servo-ring': ['springs'],
  servo: ['springs'],
  accumulator: ['springs'],
  piston: ['compressed-air'],
  'clutch-cover': ['springs', 'last-bolt'],
  disc: ['dust'],
  flywheel: ['heavy-parts'],
  gearbox: ['lifting', 'engine-hung'],
  battery: ['battery'],
  gear: ['heavy-parts'],
  sleeve: ['heavy-parts'],
  'shaft-bearing': ['press'],
  extension: ['park-free'],
  'output-shaft': ['park-free'],
};

export const hazardsOf = ({ kind }: Pick<Part, 'kind'>): readonly Hazard[] =>
  HAZARDS_OF[kind] ?? [];
