import {
  fraction,
  negate,
  ONE,
  onceFor,
  signOf,
  subtract,
  toNumber,
  type Fraction,
} from '../numerics';
import { pinionSpeeds, type PinionSpeed } from './pinionSpeeds';
import { solveUnit, type Outcome } from './solve';
import {
  CASE,
  type DoublePinionTeeth,
  type GearSet,
  type SinglePinionTeeth,
  type Unit,
} from './unit';

/**
 * One planetary set on its own, as the Ratio bench and lessons use it: who drives, who is driven and
 * what the third part does. It is turned into a unit and solved by the solver for whole units.
 */
export const PORTS = ['sun', 'carrier', 'ring'] as const;
export type Port = (typeof PORTS)[number];

/** What the third part does: held to the case, locked to the driving part, or left free. */
export const REACTIONS = ['held', 'locked', 'free'] as const;
export type Reaction = (typeof REACTIONS)[number];

export interface Roles {
  drives: Port;
  driven: Port;
  reaction: Reaction;
}

export type PlanetarySet =
  | { kind: 'single-pinion'; teeth: SinglePinionTeeth; pinions?: number }
  | { kind: 'double-pinion'; teeth: DoublePinionTeeth; pinions?: number };

export interface GearSetSetup {
  set: PlanetarySet;
  roles: Roles;
  inputSpeedRpm: number;
  inputTorqueNm: number;
}

/** The part that neither drives nor is driven. @throws Error when both roles name the same part. */
export function thirdPort(roles: Pick<Roles, 'drives' | 'driven'>): Port {
  if (roles.drives === roles.driven)
    throw new Error(`roles: expected two different parts, got "${roles.drives}" twice`);
  return PORTS.find((p) => p !== roles.drives && p !== roles.driven)!;
}

/** What the ratio does to the speed. */
export type Effect =
  | 'reduction'
  | 'direct'
  | 'overdrive'
  | 'reverse-reduction'
  | 'reverse-direct'
  | 'reverse-overdrive'
  | 'neutral'
  | 'tied-up';

export function effectOf(outcome: Outcome, ratio: Fraction | null): Effect {
  if (outcome === 'tied-up') return 'tied-up';
  if (!ratio) return 'neutral';
  const size = signOf(ratio) < 0 ? negate(ratio) : ratio;
  const against = signOf(subtract(size, ONE));
  const name = against > 0 ? 'reduction' : against < 0 ? 'overdrive' : 'direct';
  return signOf(ratio) < 0 ? `reverse-${name}` : name;
}

/** The set as a unit whose input and output follow the roles. */
export function unitOfSet(set: PlanetarySet, roles: Roles): Unit {
  const third = thirdPort(roles);
  const ports = { id: 'P1', sun: 'sun', carrier: 'carrier', ring: 'ring' };
  const pinions = set.pinions === undefined ? {} : { pinions: set.pinions };
  const gearset: GearSet =
    set.kind === 'single-pinion'
      ? { ...ports, ...pinions, kind: set.kind, teeth: set.teeth }
      : { ...ports, ...pinions, kind: set.kind, teeth: set.teeth };
  return {
    format: 'fair-sprocket/unit',
    version: 1,
    id: 'one-set',
    name: 'One set',
    members: PORTS.map((id) => ({ id, name: id })),
    input: roles.drives,
    output: roles.driven,
    gearsets: [gearset],
    elements: [
      { id: 'hold', name: 'Brake', kind: 'brake', between: [third, CASE] },
      { id: 'lock', name: 'Clutch', kind: 'clutch', between: [roles.drives, third] },
    ],
    ranges: [],
  };
}

export interface SetSolution {
  readonly outcome: Outcome;
  readonly ratio: Fraction | null;
  readonly effect: Effect;
  /** ω/ω_in of each part; `null` when it floats. */
  readonly speeds: Readonly<Record<Port, Fraction | null>>;
  /** Torque each part's shaft puts **into** the set, × input torque; `null` when nothing is carried. */
  readonly torques: Readonly<Record<Port, Fraction | null>>;
  /** Speed of each pinion against the carrier, ÷ ω_in; outside to inside order as the power flows from the sun. */
  readonly pinions: readonly PinionSpeed[];
}

/** Speeds, ratio and torques of one set. */
export const solveSet = (set: PlanetarySet, roles: Roles): SetSolution =>
  solved(set, `${roles.drives} ${roles.driven} ${roles.reaction}`, () => solveAnew(set, roles));

const solved = onceFor<PlanetarySet, SetSolution>();

function solveAnew(set: PlanetarySet, roles: Roles): SetSolution {
  const applied = { held: ['hold'], locked: ['lock'], free: [] }[roles.reaction];
  const unit = unitOfSet(set, roles);
  const solution = solveUnit(unit, applied);
  const speeds = {
    sun: solution.speeds.get('sun') ?? null,
    carrier: solution.speeds.get('carrier') ?? null,
    ring: solution.speeds.get('ring') ?? null,
  };
  return {
    outcome: solution.outcome,
    ratio: solution.ratio,
    effect: effectOf(solution.outcome, solution.ratio),
    speeds,
    torques: shaftTorques(roles, solution.outputTorque),
    pinions: pinionSpeeds(set, speeds.sun, speeds.carrier),
  };
}

/** Input +1, output −i, and what the case must take so that all three sum to zero. */
function shaftTorques(roles: Roles, output: Fraction | null): Record<Port, Fraction | null> {
  const torques: Record<Port, Fraction | null> = { sun: null, carrier: null, ring: null };
  if (!output) return torques;
  torques[roles.drives] = ONE;
  torques[roles.driven] = negate(output);
  torques[thirdPort(roles)] = subtract(output, ONE);
  return torques;
}

/** The seven things to know about a set: six with one part held, and any two locked together. */
export const ARRANGEMENTS: readonly Roles[] = [
  { drives: 'sun', driven: 'carrier', reaction: 'held' },
  { drives: 'ring', driven: 'carrier', reaction: 'held' },
  { drives: 'carrier', driven: 'sun', reaction: 'held' },
  { drives: 'carrier', driven: 'ring', reaction: 'held' },
  { drives: 'sun', driven: 'ring', reaction: 'held' },
  { drives: 'ring', driven: 'sun', reaction: 'held' },
  { drives: 'sun', driven: 'carrier', reaction: 'locked' },
];

/** Two ways to set a set up are the same arrangement: any two parts locked are. */
export const sameArrangement = (a: Roles, b: Roles): boolean =>
  a.reaction === b.reaction &&
  (a.reaction === 'locked' || (a.drives === b.drives && a.driven === b.driven));

export interface SetReading {
  /** rev/min; `null` when the part floats. */
  readonly speedRpm: number | null;
  /** N·m put into the set by this part's shaft; `null` when nothing is carried. */
  readonly torqueNm: number | null;
}

/** What gauges on the three shafts would read. */
export function readSet(setup: GearSetSetup, solution: SetSolution): Record<Port, SetReading> {
  const reading = (port: Port): SetReading => {
    const speed = solution.speeds[port];
    const torque = solution.torques[port];
    return {
      speedRpm: speed && toNumber(speed) * setup.inputSpeedRpm,
      torqueNm: torque && toNumber(torque) * setup.inputTorqueNm,
    };
  };
  return { sun: reading('sun'), carrier: reading('carrier'), ring: reading('ring') };
}

/** e = Nr/Ns, the set's own tooth ratio. */
export const toothRatio = (set: PlanetarySet): Fraction => fraction(set.teeth.ring, set.teeth.sun);

/**
 * Speeds to show, × input speed. As solved; with nothing held the load stands still and the free part runs.
 */
export function shownSpeeds(set: PlanetarySet, roles: Roles): Record<Port, number> {
  const load: Roles = { drives: roles.drives, driven: thirdPort(roles), reaction: 'held' };
  const { speeds } = solveSet(set, roles.reaction === 'free' ? load : roles);
  const shown = (port: Port) => (speeds[port] ? toNumber(speeds[port]) : 0);
  return { sun: shown('sun'), carrier: shown('carrier'), ring: shown('ring') };
}

export type Role = 'drives' | 'driven' | Reaction;

/** What a part does under these roles. */
export function roleOf(roles: Roles, port: Port): Role {
  if (port === roles.drives) return 'drives';
  return port === roles.driven ? 'driven' : roles.reaction;
}

/** Gives a part a role; the part that had it takes the other's place, so that every role stays filled. */
export function withRole(roles: Roles, port: Port, role: Role): Roles {
  const third = thirdPort(roles);
  const reaction = role === 'drives' || role === 'driven' ? roles.reaction : role;
  const slots = { drives: roles.drives, driven: roles.driven, third };
  const wanted = role === 'drives' || role === 'driven' ? role : 'third';
  const current = (Object.keys(slots) as (keyof typeof slots)[]).find((k) => slots[k] === port)!;
  const swapped = { ...slots, [current]: slots[wanted], [wanted]: port };
  return { drives: swapped.drives, driven: swapped.driven, reaction };
}
