import type { PlanetarySet } from '../../geartrain';

/** Sets that the drawing's tests run over. */
export const defaultSets: readonly PlanetarySet[] = [
  { kind: 'single-pinion', teeth: { sun: 30, pinion: 20, ring: 70 }, pinions: 4 },
  { kind: 'single-pinion', teeth: { sun: 18, pinion: 30, ring: 78 }, pinions: 3 },
  { kind: 'single-pinion', teeth: { sun: 40, ring: 72 }, pinions: 3 },
  { kind: 'double-pinion', teeth: { sun: 30, inner: 18, outer: 18, ring: 78 }, pinions: 3 },
];
