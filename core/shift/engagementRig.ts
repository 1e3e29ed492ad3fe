import { RPM_TO_RAD } from '../quantities';
import {
  atPedal,
  dragTorque,
  frictionAt,
  frictionNow,
  ironAfter,
  radiusOf,
  releaseCurve,
  USUAL_AIR_C,
  type IronTemperature,
} from '../clutch';
import { CASE, memberInertias, portsOf, solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { drivelineDrag, GRAVITY, roadLoad } from '../vehicle';
import type { EngagementSetup } from './engagementSetup';
import { traceAt } from './trace';
import { train, type Rubbing, type Spin, type Spring, type Train, type TrainState } from './train';

/**
 * Engine, clutch with its damper, gears, shafts, road and brakes put together as a train, and what acts on it in each
 * step: the clutch's capacity from pedal, slip and temperature, the engine's torque, the road (derived here).
 */
/** Shafts and tyres, at the unit's output: N·m/rad at the wheels for each kg of vehicle, and s of damping (memory). */
const SHAFT_PER_KG = 9;
const SHAFT_DAMPING = 0.007;
/** Share of a vehicle's weight that all brakes hold on a dry road. */
const BRAKE_SHARE = 0.8;
/** Share of idle below which an engine has stopped firing. */
const DEAD_BELOW = 0.45;
/** A dead engine turns against this share of its full torque near idle (memory). */
const DEAD_DRAG = 0.4;
/** How much a tipped plate, and oil in patches, make the torque wave round a turn of slip (memory). */
const TIPPED_SHARE = 0.5;
const OILED_SHARE = 0.45;
const MOST_UNEVEN = 0.6;
const START_C = 60;

export interface Rig {
  readonly machine: Train;
  readonly state: TrainState;
  readonly torques: Float64Array;
  readonly capacities: Float64Array;
  /** Sets torques and capacities for the step that begins now. */
  prepare(time: number): void;
  /** Takes up heat and angles of the step that has been. */
  after(): void;
  readonly now: Now;
  /** Places of members. */
  readonly at: { readonly engine: number; readonly disc: number; readonly road: number };
  /** m of road for each radian of the output. */
  readonly metres: number;
}

export interface Now {
  pedal: number;
  throttle: number;
  holdsNm: number;
  iron: IronTemperature;
  dead: boolean;
}

/**
 * The element that is the dry clutch, where the unit's file has one: alone on an input shaft that carries no gear. The
 * dry clutch then stands in its place; else it stands before the unit's input.
 */
export function mainClutchOf(unit: Unit): { readonly id: string; readonly driven: string } | null {
  const touching = unit.elements.filter((e) => e.between.includes(unit.input));
  const geared = unit.gearsets.some((set) => portsOf(set).some((p) => p.member === unit.input));
  const only = touching.length === 1 ? touching[0]! : null;
  if (geared || only?.kind !== 'clutch') return null;
  return { id: only.id, driven: only.between.find((m) => m !== unit.input)! };
}

const ENGINE = '.engine';
const DISC = '.disc';
const ROAD = '.road';
const CLUTCH = '.clutch';
const DAMPER = '.damper-friction';
const WHEELS = '.wheels';
const DEAD = '.dead-engine';

export function rigUp(setup: EngagementSetup): Rig {
  const { engine, clutch, vehicle, grade, step } = setup;
  const metres = vehicle.tyreRadiusM / vehicle.finalDrive;
  const curve = releaseCurve(clutch, setup.state);
  const { spec, start } = layOut(setup, metres);
  const machine = train(spec, step);
  const state = machine.start(start);
  const index = (id: string) => machine.indexOf.get(id)!;
  const at = { engine: index(ENGINE), disc: index(DISC), road: index(ROAD) };
  const torques = new Float64Array(spec.members.length);
  const capacities = new Float64Array(spec.elements.length).fill(Infinity);
  const place = (id: string) => spec.elements.findIndex((e) => e.id === id);
  const [damperAt, wheelsAt, deadAt] = [DAMPER, WHEELS, DEAD].map(place) as [
    number,
    number,
    number,
  ];
  const shaftAt = spec.springs.findIndex((s) => s.id === ROAD);
  const shaft = spec.springs[shaftAt]!;
  const friction = frictionNow(clutch, setup.state);
  const radius = radiusOf(clutch);
  const along = 1 / Math.sqrt(1 + grade * grade);
  const weight = vehicle.massKg * GRAVITY * along;
  const deadNm = DEAD_DRAG * engine.torque(engine.idleRpm, 1);
  const residual = dragTorque(clutch, setup.state, 0);
  const { runOut, uneven, oil } = setup.state;
  const tipped = Math.min(1, (runOut + uneven) / (2 * clutch.disc.cushion.travel));
  const unevenShare = Math.min(MOST_UNEVEN, TIPPED_SHARE * tipped + OILED_SHARE * oil);
  let turned = 0;
  const airC = setup.airC ?? USUAL_AIR_C;
  const begins = setup.start?.iron ?? { skinC: START_C, massC: START_C };
  const now: Now = {
    pedal: traceAt(setup.pedal, 0),
    throttle: traceAt(setup.throttle, 0),
    holdsNm: 0,
    iron: begins,
    dead: false,
  };
  return {
    machine,
    state,
    torques,
    capacities,
    now,
    at,
    metres,
    prepare(time) {
      now.pedal = traceAt(setup.pedal, time);
      now.throttle = traceAt(setup.throttle, time);
      const rpm = state.speeds[at.engine]! / RPM_TO_RAD;
      if (rpm < DEAD_BELOW * engine.idleRpm) now.dead = true;
      const slip = state.slips[0]!;
      const mu = frictionAt(friction, slip * radius, now.iron.skinC);
      const { clamp } = atPedal(curve, now.pedal * curve.floor);
      // A plate that is not parallel, or a facing with oil in patches, bites more once a turn of slip.
      const waving = 1 + unevenShare * Math.cos(turned) * (curve.freeClamp > clamp ? 1 : 0);
      now.holdsNm = residual + 2 * clutch.disc.discs * mu * clamp * radius * waving;
      capacities[0] = now.holdsNm;
      capacities[damperAt] = clutch.disc.damper.friction * setup.state.damper;
      capacities[deadAt] = now.dead ? deadNm : 0;
      const brakes = traceAt(setup.brake, time) * BRAKE_SHARE;
      capacities[wheelsAt] = weight * (vehicle.rolling + brakes) * metres;
      torques[at.engine] = now.dead ? 0 : engine.torque(rpm, now.throttle);
      const speed = state.speeds[at.road]! * metres;
      const air = roadLoad({ ...vehicle, rolling: 0 }, Math.abs(speed), 0) * Math.sign(speed);
      const drag = drivelineDrag(vehicle, shaft.stiffness * state.twists[shaftAt]!, speed);
      torques[at.road] = drag - (air + weight * grade) * metres;
    },
    after() {
      turned += state.slips[0]! * step;
      now.iron = ironAfter(clutch.cover, now.iron, state.heats[0]!, airC, step);
    },
  };
}

/** Members, elements and springs of the whole, and the speeds at the start. */
function layOut(setup: EngagementSetup, metres: number) {
  const { engine, clutch, unit, vehicle, apply } = setup;
  const inertias = memberInertias(unit);
  const main = mainClutchOf(unit);
  const driven = main?.driven ?? unit.input;
  const members: Spin[] = [
    ...unit.members
      .filter((m) => m.id !== CASE && !(main && m.id === unit.input))
      .map((m) => ({
        id: m.id,
        inertia: inertias.get(m.id)! * (m.inertia === undefined ? (setup.estimate ?? 1) : 1),
      })),
    { id: DISC, inertia: clutch.disc.inertia },
    { id: ENGINE, inertia: engine.inertia },
    { id: ROAD, inertia: vehicle.massKg * metres * metres },
  ];
  for (const id of apply)
    if (!unit.elements.some((e) => e.id === id))
      throw new Error(`engage: expected an element of unit "${unit.id}", got "${id}"`);
  const elements: Rubbing[] = [
    { id: CLUTCH, between: [ENGINE, DISC], kind: 'both-ways' },
    ...unit.elements
      .filter((e) => e.id !== main?.id && (e.kind === 'one-way' || apply.includes(e.id)))
      .map((e): Rubbing => ({
        id: e.id,
        between: e.between,
        kind: e.kind === 'one-way' ? 'one-way' : 'both-ways',
      })),
    { id: DAMPER, between: [DISC, driven], kind: 'both-ways' },
    { id: WHEELS, between: [ROAD, CASE], kind: 'both-ways' },
    { id: DEAD, between: [ENGINE, CASE], kind: 'both-ways' },
  ];
  const { stiffness } = clutch.disc.damper;
  const shaft = (SHAFT_PER_KG * vehicle.massKg) / vehicle.finalDrive ** 2;
  const springs: Spring[] = [
    { id: DAMPER, between: [DISC, driven], stiffness, damping: 0 },
    { id: ROAD, between: [unit.output, ROAD], stiffness: shaft, damping: shaft * SHAFT_DAMPING },
  ];
  const speed = setup.start?.speed ?? 0;
  const turning = speed / metres;
  const solution = solveUnit(unit, main ? [...new Set([...apply, main.id])] : apply);
  const ratio = solution.ratio ? toNumber(solution.ratio) : 0;
  const input = turning * ratio;
  const start = new Map<string, number>([
    [
      ENGINE,
      (setup.start?.engineRpm ?? (speed > 0 ? input / RPM_TO_RAD : engine.idleRpm)) * RPM_TO_RAD,
    ],
    [DISC, input],
    [ROAD, turning],
    [unit.output, turning],
  ]);
  for (const [id, share] of solution.speeds) if (share) start.set(id, toNumber(share) * input);
  return { spec: { members, gearsets: unit.gearsets, elements, springs }, start };
}
