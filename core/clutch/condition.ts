import { adjustsItself, leverRatio, type Clutch } from './clutch';

/**
 * How one clutch is now: its wear, its adjustment and what is wrong with it. Each is a change of what the model is
 * computed from; none carries its symptom.
 */
export interface ClutchState {
  /** Thickness lost by the disc, m. */
  readonly wear: number;
  /** Share of the facing with oil or grease on it, 0 to 1. */
  readonly oil: number;
  /** Air in the hydraulics, m³ at rest. */
  readonly air: number;
  /** Fluid lost past the seals in each stroke, m³ at the full load. */
  readonly leak: number;
  /** Fingers or levers pushed out of the bearing's reach, m. */
  readonly bent: number;
  /** Highest to lowest finger or lever, m. */
  readonly uneven: number;
  /** Run-out of the disc, or of a cocked plate, at its edge, m. */
  readonly runOut: number;
  /** Share of the cushion that is left. */
  readonly cushion: number;
  /** Share of the damper's friction that is left. */
  readonly damper: number;
  /** Hub drags on its splines, N against the disc's sliding. */
  readonly splineDrag: number;
  /** Torque that a tight pilot bearing carries from crankshaft to input shaft, N·m. */
  readonly pilotDrag: number;
  /** Bearings that are rough. */
  readonly roughBearings: readonly BearingId[];
  /** Fork rod or cable adjuster: play at the fork's end gained, m. */
  readonly forkRod: number;
  /** Turnbuckle of the over-centre spring: pedal travel by which its centre has moved, m. */
  readonly turnbuckle: number;
}

export type BearingId = 'release' | 'pilot' | 'input';
export const BEARINGS: readonly BearingId[] = ['release', 'pilot', 'input'];

export const AS_BUILT: ClutchState = {
  wear: 0,
  oil: 0,
  air: 0,
  leak: 0,
  bent: 0,
  uneven: 0,
  runOut: 0,
  cushion: 1,
  damper: 1,
  splineDrag: 0,
  pilotDrag: 0,
  roughBearings: [],
  forkRod: 0,
  turnbuckle: 0,
};

/** Conditions of the trade, each with what it does to the state at a usual severity. */
export const CLUTCH_FAULTS = [
  'worn',
  'oiled',
  'air',
  'leak',
  'bent-fingers',
  'uneven-levers',
  'warped-disc',
  'lost-cushion',
  'damper-lost',
  'burred-splines',
  'tight-pilot',
  'no-free-play',
  'too-much-play',
  'rough-release-bearing',
  'rough-pilot-bearing',
  'rough-input-bearing',
] as const;
export type ClutchFault = (typeof CLUTCH_FAULTS)[number];

/** The fault can befall this clutch: air and leaks need hydraulics, wrong play a rod that is set by hand. */
export function faultFits(clutch: Clutch, fault: ClutchFault): boolean {
  if (fault === 'air' || fault === 'leak') return clutch.linkage.drive.kind === 'hydraulic';
  return (fault !== 'no-free-play' && fault !== 'too-much-play') || !adjustsItself(clutch);
}

/** The state with a fault of usual severity added. */
export function withClutchFault(
  clutch: Clutch,
  state: ClutchState,
  fault: ClutchFault,
): ClutchState {
  const { disc, linkage } = clutch;
  const slaveStroke = slaveVolume(clutch);
  switch (fault) {
    case 'worn':
      return worn(clutch, state, disc.newThickness - disc.wornThickness);
    case 'oiled':
      return { ...state, oil: 0.7 };
    case 'air':
      return { ...state, air: 0.6 * slaveStroke };
    case 'leak':
      return { ...state, leak: 0.5 * slaveStroke };
    case 'bent-fingers':
      return { ...state, bent: 0.5 * bearingStroke(clutch) };
    case 'uneven-levers':
      return { ...state, uneven: 4 * clutch.limits.fingerHeight };
    case 'warped-disc':
      return { ...state, runOut: 2.6 * clutch.limits.releasedGap };
    case 'lost-cushion':
      return { ...state, cushion: 0.1 };
    case 'damper-lost':
      return { ...state, damper: 0 };
    case 'burred-splines':
      return { ...state, splineDrag: 60 };
    case 'tight-pilot':
      return { ...state, pilotDrag: 12 };
    case 'no-free-play':
      return { ...state, forkRod: state.forkRod - 2.2 * linkage.forkPlay };
    case 'too-much-play':
      return { ...state, forkRod: state.forkRod + 0.3 * forkStroke(clutch) };
    case 'rough-release-bearing':
      return { ...state, roughBearings: [...state.roughBearings, 'release'] };
    case 'rough-pilot-bearing':
      return { ...state, roughBearings: [...state.roughBearings, 'pilot'] };
    case 'rough-input-bearing':
      return { ...state, roughBearings: [...state.roughBearings, 'input'] };
  }
}

/** Worn by so many metres, the play at the fork kept as it was by the rod, as it is adjusted in service. */
export const worn = (clutch: Clutch, state: ClutchState, wear: number): ClutchState => ({
  ...state,
  wear,
  forkRod:
    state.forkRod + (wear - state.wear) * leverRatio(clutch.cover) * clutch.linkage.forkRatio,
});

const forkStroke = ({ linkage }: Clutch): number => {
  const { drive, pedalTravel } = linkage;
  return drive.kind === 'cable'
    ? pedalTravel / drive.ratio
    : (pedalTravel / drive.ratio) * (drive.masterBore / drive.slaveBore) ** 2;
};
const bearingStroke = (clutch: Clutch): number => forkStroke(clutch) / clutch.linkage.forkRatio;

/** m³ that the slave takes for the whole stroke; 0 without hydraulics. */
const slaveVolume = ({ linkage: { drive, pedalTravel } }: Clutch): number =>
  drive.kind === 'hydraulic'
    ? (pedalTravel / drive.ratio) * (Math.PI / 4) * drive.masterBore ** 2
    : 0;
