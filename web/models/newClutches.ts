import type { Clutch, ClutchPack } from '../../core/clutch';

const FRICTION = { standing: 0.36, sliding: 0.34, slope: -0.0004, fadeFrom: 230, fade: 0.35 };
const WET = { standing: 0.13, sliding: 0.125, slope: 0.0006, fadeFrom: 220, fade: 0.3 };

/** What a new clutch and a new pack start as: sound, of usual size, and to be changed. */
export const newClutch = (id: string, name: string): Clutch => ({
  format: 'fair-sprocket/clutch',
  version: 1,
  id,
  name,
  disc: {
    outerRadius: 0.11,
    innerRadius: 0.073,
    discs: 1,
    friction: FRICTION,
    theory: 'uniform-wear',
    newThickness: 0.008,
    wornThickness: 0.0056,
    aboveRivets: 0.0013,
    cushion: { travel: 0.0008, load: 4000 },
    damper: { stiffness: 900, friction: 8 },
    inertia: 0.006,
  },
  cover: {
    spring: {
      kind: 'levers',
      springs: 6,
      rate: 60_000,
      preload: 720,
      levers: 3,
      leverRatio: 4.5,
      plateRadius: 0.1,
    },
    straps: { rate: 40_000, preload: 120 },
    heatCapacity: 4200,
    cooling: 14,
  },
  linkage: {
    drive: { kind: 'cable', ratio: 6.4, stiffness: 400_000 },
    pedalTravel: 0.15,
    pedalArm: 0.3,
    forkRatio: 1.6,
    forkPlay: 0.004,
    returnForce: 20,
  },
  limits: { pedalPlay: [0.02, 0.032], releasedGap: 0.001, fingerHeight: 0.0005 },
});

export const newClutchPack = (id: string, name: string): ClutchPack => ({
  format: 'fair-sprocket/clutch-pack',
  version: 1,
  id,
  name,
  piston: { outerRadius: 0.07, innerRadius: 0.045, returnForce: 800 },
  pressure: 500_000,
  faces: { outerRadius: 0.072, innerRadius: 0.057, friction: WET, theory: 'uniform-wear' },
  lining: 0.00045,
  stack: [
    { id: 'cushion', kind: 'cushion', thickness: 0.0016, wave: 0.0006 },
    { id: 'friction-1', kind: 'friction', thickness: 0.0018 },
    { id: 'steel-1', kind: 'steel', thickness: 0.002 },
    { id: 'friction-2', kind: 'friction', thickness: 0.0018 },
    { id: 'end', kind: 'end-plate', thickness: 0.0042 },
  ],
  depth: 0.0138,
  ring: { diameter: 0.152, thickness: 0.0016, grooveDepth: 0.001 },
  selective: { part: 'end-plate', thicknesses: [0.0038, 0.0042, 0.0046] },
  clearance: [0.0005, 0.001],
});
