import { blocksUntil, USUAL_RING } from './blocking';

/**
 * A sliding sleeve with dog teeth and its synchronizer (derived here, figures from memory). The synchronizer brakes the
 * gear to the shaft's speed in the time a hand gives it; what slip is left must be small enough for the pointed tips to
 * find their gaps; once in, the teeth's taper against their friction keeps the sleeve in, or pushes it out:
 *
 *   Δω_left = Δω − T_s·t/I        F_out = T/r·(tan β − μ)        it jumps out when F_out > F_detent
 */
export interface SleeveState {
  /** Share of the pointed tips that is rounded away. */
  readonly rounded: number;
  /** m of wear on the flanks, which turns their taper round: on those that drive, and on those that carry on the overrun. */
  readonly wear: number;
  readonly coastWear: number;
  /** Share of the synchronizer's torque that is gone. */
  readonly synchro: number;
}

export const SLEEVE_AS_BUILT: SleeveState = { rounded: 0, wear: 0, coastWear: 0, synchro: 0 };

/** rad/s between gear and shaft as a gear is changed on the move, and what a double de-clutch leaves of it. */
const SHIFT_SLIP = 100;
const MATCHED_SLIP = 5;
/** N·m, s, kg·m². */
const SYNCHRO_NM = 20;
const HAND_SECONDS = 0.35;
const GEAR_INERTIA = 0.01;
/** rad/s that oil drag leaves at any rate, and up to which sharp tips slide in. */
const LEAST_SLIP = 4;
const TIPS_TAKE = 12;
/** Flanks: taper as made and gained for each metre of wear, rad; their friction while shaking. */
const TAPER = -0.035;
const TAPER_PER_METRE = 105;
const FLANK_FRICTION = 0.03;
const DOG_RADIUS = 0.035;
const DETENT_FORCE = 150;

/** One side of a sleeve as it is measured: flat on its tips, gap of its ring, mm; how far it goes over, as a share of new. */
export interface SideMeasures {
  readonly tips: number;
  readonly ringGap: number;
  readonly engagement: number;
}

/** Flat on a tip that is all rounded, and gap up to which the ring has its whole grip, mm (from memory). */
const ALL_ROUNDED = 0.75;
const WHOLE_GRIP = 0.8;
/** m of wear on the flanks by the time that nothing of the engagement is left (from memory). */
const FLANKS_GONE = 1.77e-3;

/**
 * What a side gives by its own numbers: a flat tip finds fewer gaps, a ring that comes near its gear's face no longer wedges on
 * its cone, and a sleeve that goes over less has worn its flanks round.
 */
export const sideAsMeasured = ({ tips, ringGap, engagement }: SideMeasures): SleeveState => ({
  rounded: within01(tips / ALL_ROUNDED),
  wear: FLANKS_GONE * within01(1 - engagement),
  coastWear: 0,
  synchro: within01(1 - ringGap / WHOLE_GRIP),
});
const within01 = (share: number): number => Math.min(1, Math.max(0, share));
/** A side that measures as new. */
export const SIDE_AS_NEW: SideMeasures = { tips: 0, ringGap: 1, engagement: 1 };

/** Share of its grip that a ring may have lost and still blocks. */
const BLOCKS_UNTIL = blocksUntil(USUAL_RING);

export type GoesIn = 'clean' | 'grinds' | 'refuses';

/**
 * Whether a gear goes in on the move.
 * @param matched the speeds are brought together by a double de-clutch first
 * @param dragNm torque with which a clutch that does not let go turns the gear on
 */
export function goesIn(sleeve: SleeveState, matched: boolean, dragNm = 0): GoesIn {
  // A ring that no longer blocks lets the sleeve through before it has braked anything.
  const blocks = sleeve.synchro < BLOCKS_UNTIL;
  const brakes = blocks ? Math.max(0, SYNCHRO_NM * (1 - sleeve.synchro) - dragNm) : 0;
  const slip = matched ? MATCHED_SLIP : SHIFT_SLIP;
  const left = Math.max(LEAST_SLIP, slip - (brakes * HAND_SECONDS) / GEAR_INERTIA);
  const takes = TIPS_TAKE * (1 - sleeve.rounded);
  if (left <= takes) return 'clean';
  return sleeve.rounded > 0 && takes < LEAST_SLIP / 2 ? 'refuses' : 'grinds';
}

/** N·m through the sleeve from which flanks with this wear, m, push it out of gear; `Infinity` when it stays in. */
function flanksPushAbove(wear: number): number {
  const pushes = Math.tan(TAPER + TAPER_PER_METRE * wear) - FLANK_FRICTION;
  return pushes > 0 ? (DETENT_FORCE * DOG_RADIUS) / pushes : Infinity;
}

/** N·m through the sleeve from which it jumps out of gear while it drives. */
export const jumpsOutAbove = ({ wear }: Pick<SleeveState, 'wear'>): number => flanksPushAbove(wear);
/** N·m from which it does so on the overrun, where the other flanks carry. */
export const jumpsOutOnCoastAbove = ({ coastWear }: Pick<SleeveState, 'coastWear'>): number =>
  flanksPushAbove(coastWear);
