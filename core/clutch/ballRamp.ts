/**
 * An all-wheel coupling: a coil pulls a small pilot pack, the pilot pack twists a ramp, balls climb it and press the
 * main pack (derived here).
 *
 *   T_pilot = k·I     F = T_pilot/(r_b·tan α) − F_return     T = T_drag + T_pilot + n·μ·F·r_m
 *
 * Balls that do not roll back leave a share of the full force on the pack with no current. Lengths m, SI throughout.
 */
export interface Coupling {
  /** N·m of the pilot pack at full current. */
  readonly pilotNm: number;
  /** Slope of the ramp, rad, and radius of the balls' orbit. */
  readonly rampAngle: number;
  readonly ballRadius: number;
  /** Pushes the balls back. */
  readonly returnForce: number;
  readonly packFaces: number;
  readonly friction: number;
  readonly packRadius: number;
  /** Oil and preload, N·m, current off. */
  readonly dragNm: number;
  /** Ohm of a sound coil. */
  readonly coilOhm: number;
  /** Height of the pack, new and worn out, and how far the balls can press it. */
  readonly stackNew: number;
  readonly stackWorn: number;
  readonly rampTravel: number;
}

/** A coupling of the demo world; common practice, no source: 10 to 20 N·m drag at the flange of a sound one. The rest from memory. */
export const USUAL_COUPLING: Coupling = {
  pilotNm: 28,
  rampAngle: 0.3,
  ballRadius: 0.032,
  returnForce: 180,
  packFaces: 16,
  friction: 0.11,
  packRadius: 0.046,
  dragNm: 12,
  coilOhm: 2.6,
  stackNew: 0.0418,
  stackWorn: 0.0402,
  rampTravel: 0.0026,
};

/** How one coupling is now. */
export interface CouplingState {
  /** Share of the full ramp force that stays with no current. */
  readonly jammed: number;
  readonly coilOpen: boolean;
  /** Share of the pilot pack's torque that is gone. */
  readonly pilotWorn: number;
  /** m lost by the main pack. */
  readonly wear: number;
  /** Oil of another kind in it: more friction at first touch, and it sticks and lets go. */
  readonly wrongOil: boolean;
}

export const COUPLING_AS_BUILT: CouplingState = {
  jammed: 0,
  coilOpen: false,
  pilotWorn: 0,
  wear: 0,
  wrongOil: false,
};

const WRONG_OIL_FRICTION = 1.35;

const rampForce = ({ rampAngle, ballRadius }: Coupling, pilotNm: number): number =>
  pilotNm / (ballRadius * Math.tan(rampAngle));

/** N·m that the coupling carries. @param current share of the full current, 0 to 1 */
export function couplingTorque(coupling: Coupling, state: CouplingState, current: number): number {
  const { pilotNm, returnForce, packFaces, friction, packRadius, dragNm } = coupling;
  const pilot = state.coilOpen ? 0 : pilotNm * current * (1 - state.pilotWorn);
  // A worn pack lets the balls climb to the end of the ramp before they press fully.
  const reach = Math.max(0, Math.min(1, (coupling.rampTravel - state.wear) / coupling.rampTravel));
  const stuck = state.jammed * rampForce(coupling, pilotNm);
  const force = Math.max(0, Math.max(rampForce(coupling, pilot) - returnForce, stuck) * reach);
  const mu = friction * (state.wrongOil ? WRONG_OIL_FRICTION : 1);
  return dragNm + pilot + packFaces * mu * force * packRadius;
}

/** Torque wrench at the flange, current off, N·m. */
export const flangeDrag = (coupling: Coupling, state: CouplingState): number =>
  couplingTorque(coupling, state, 0);

/** m between the caliper's jaws. */
export const couplingStack = ({ stackNew }: Coupling, { wear }: CouplingState): number =>
  stackNew - wear;

/** Ohm at the coil's plug; `Infinity` when it is open. */
export const coilReading = ({ coilOhm }: Coupling, { coilOpen }: CouplingState): number =>
  coilOpen ? Infinity : coilOhm;

/** N·m at full lock from which front and rear axle fight each other, felt as hopping (memory). */
const HOPS_FROM = 60;
export type TightCircle = 'rolls' | 'shudders' | 'hops';

/** A slow circle at full lock, current off: the axles want different speeds. */
export function tightCircle(coupling: Coupling, state: CouplingState): TightCircle {
  if (flangeDrag(coupling, state) > HOPS_FROM) return 'hops';
  return state.wrongOil ? 'shudders' : 'rolls';
}

/** Shares of the sound torque from which a start on loose ground pulls, or does so weakly (memory). */
const PULLS_FROM = 0.7;
const PULLS_WEAKLY_FROM = 0.2;
export type LooseStart = 'pulls' | 'pulls-weakly' | 'does-not-pull';

/** A start on loose ground at full current: what reaches the axle behind the coupling. */
export function looseStart(coupling: Coupling, state: CouplingState): LooseStart {
  const share = couplingTorque(coupling, state, 1) / couplingTorque(coupling, COUPLING_AS_BUILT, 1);
  return share >= PULLS_FROM
    ? 'pulls'
    : share >= PULLS_WEAKLY_FROM
      ? 'pulls-weakly'
      : 'does-not-pull';
}
