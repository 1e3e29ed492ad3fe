import type { Hazard } from '../faults';
import type { Part, PartKind } from './parts';

/** What can hurt one who takes out a part of this kind; told before the hand goes there. */
const HAZARD_OF: Readonly<Partial<Record<PartKind, Hazard>>> = {
  fluid: 'hot-fluid',
  converter: 'heavy-parts',
  pump: 'heavy-parts',
  case: 'heavy-parts',
  support: 'heavy-parts',
  'snap-ring': 'springs',
  spring: 'springs',
  servo: 'springs',
  piston: 'compressed-air',
  pack: 'dust',
  disc: 'dust',
  shaft: 'park-free',
};

export const hazardOf = ({ kind }: Pick<Part, 'kind'>): Hazard | null => HAZARD_OF[kind] ?? null;
