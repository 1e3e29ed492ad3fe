import type { Clutch, ClutchState, IronTemperature } from '../clutch';
import type { EngineModel } from '../converter';
import type { Unit } from '../geartrain';
import type { Vehicle } from '../vehicle';
import type { Trace } from './trace';

/** What an engagement is run from, and what comes of it. */
export interface EngagementSetup {
  readonly engine: EngineModel;
  readonly clutch: Clutch;
  readonly state: ClutchState;
  readonly unit: Unit;
  /** Elements that the range applies. */
  readonly apply: readonly string[];
  readonly vehicle: Vehicle;
  /** Rise over run, + uphill ahead. */
  readonly grade: number;
  /** Share of the pedal's travel: 1 on the floor. */
  readonly pedal: Trace;
  readonly throttle: Trace;
  /** Share of the wheel brakes. */
  readonly brake: Trace;
  readonly seconds: number;
  /** s. */
  readonly step: number;
  /** °C of the air in the housing; left out, 40. */
  readonly airC?: number;
  /** Left out: it stands, engine idling, iron at 60 °C. */
  readonly start?: {
    readonly speed?: number;
    readonly engineRpm?: number;
    readonly iron?: IronTemperature;
  };
  /** Multiplies every inertia that the unit does not state (a test asks how little it matters). */
  readonly estimate?: number;
}

export interface EngagementSample {
  readonly time: number;
  readonly pedal: number;
  readonly throttle: number;
  readonly engineRpm: number;
  /** Of the disc. */
  readonly discRpm: number;
  /** m/s. */
  readonly speed: number;
  /** Through the clutch, and what it could hold, N·m. */
  readonly clutchNm: number;
  readonly holdsNm: number;
  /** m/s². */
  readonly acceleration: number;
  /** Heat made now, W, and so far, J. */
  readonly heatW: number;
  readonly heat: number;
  readonly facingC: number;
}

export type EngagementEventKind =
  | 'bites'
  | 'moves'
  | 'rolls-back'
  | 'locks'
  | 'slips-again'
  | 'stalls'
  | 'too-hot';

export interface EngagementEvent {
  readonly kind: EngagementEventKind;
  readonly time: number;
}

/** What a run comes to. */
export interface EngagementSummary {
  /** s with slip while it carries torque. */
  readonly slipTime: number;
  /** J rubbed away in the clutch. */
  readonly heat: number;
  readonly peakC: number;
  /** Largest change of acceleration, m/s³, over 20 ms. */
  readonly jerk: number;
  /** m/s² from trough to crest of the vehicle's shaking while it slips, and how often a second; 0 without. */
  readonly judder: { readonly swing: number; readonly hertz: number };
  readonly stalled: boolean;
  /** m rolled back at most. */
  readonly rolledBack: number;
  /** At the end. */
  readonly slipping: boolean;
  readonly speed: number;
  readonly engineRpm: number;
}

export interface EngagementResult {
  readonly samples: readonly EngagementSample[];
  readonly events: readonly EngagementEvent[];
  readonly summary: EngagementSummary;
  /** J since the start. Work of engine and road = gain of kinetic and sprung energy + clutch + elements + damped. */
  readonly energy: {
    readonly work: number;
    readonly kinetic: number;
    readonly sprung: number;
    readonly clutch: number;
    readonly elements: number;
    readonly damped: number;
  };
  /** The iron at the end. */
  readonly iron: IronTemperature;
  readonly steps: number;
  /** `unstable`: a number left the finite; the samples end with the last good state. */
  readonly why: 'done' | 'unstable';
}

/** °C from which an organic facing smells (memory). */
export const HOT_FACING_C = 250;
/** m/s² from trough to crest that a driver feels. */
export const FELT_SWING = 0.4;
