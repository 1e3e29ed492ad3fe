import { RPM_TO_RAD } from '../quantities';
import { CASE, memberInertias, solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { drivelineDrag, GRAVITY, roadLoad, type Vehicle } from '../vehicle';
import { traceAt, type Trace } from './trace';
import { train, type Rubbing, type Spin, type Spring } from './train';

/**
 * A shift: torque handed from the elements of one range to those of another while the vehicle rolls, stepped by
 * `train.ts`. What an element can hold at each moment comes in as a trace; flare, tie-up, harshness and delay come out.
 *
 * In the torque phase the on-coming element takes the torque over at an unchanged ratio; in the inertia phase the input
 * changes its speed (any text on automatic transmissions).
 */
export interface HandOver {
  readonly unit: Unit;
  readonly from: readonly string[];
  readonly to: readonly string[];
  /** N·m at the unit's input all the while, and kg·m² of what turns with it. */
  readonly inputNm: number;
  /** Share of it over time from the command on; all of it where nothing is said. */
  readonly inputShare?: Trace;
  readonly inputInertia: number;
  readonly vehicle: Vehicle;
  /** rev/min of the input at the start. */
  readonly inputRpm: number;
  /** N·m that each element can hold from the command on; one that is left out holds what it must. */
  readonly holds: ReadonlyMap<string, Trace>;
  readonly seconds: number;
  /** s; 1 ms or less. */
  readonly step: number;
}

export interface HandOverSample {
  readonly time: number;
  readonly inputRpm: number;
  /** Of the unit's output: behind it the shafts twist. */
  readonly outputRpm: number;
  /** N·m at the unit's output, and m/s² of the vehicle. */
  readonly outputNm: number;
  readonly acceleration: number;
  readonly speed: number;
  /** N·m in each element that has to do with it. */
  readonly torques: Readonly<Record<string, number>>;
}

export interface HandOverSummary {
  /** s from the command until the input's speed begins to go to the new ratio; `null` when it never does. */
  readonly begins: number | null;
  /** s from the command until it has arrived; `null` when it never does. */
  readonly arrives: number | null;
  /** rev/min by which the input ran above its speed before. */
  readonly flareRpm: number;
  /** Least output torque over that before the shift; below 0 it brakes. */
  readonly dip: number;
  /** Largest change of acceleration, m/s³, over 20 ms. */
  readonly jerk: number;
  /** s for which next to nothing reached the output. */
  readonly gap: number;
}

export interface HandOverResult {
  readonly samples: readonly HandOverSample[];
  readonly summary: HandOverSummary;
  /** J: work of input and road, what is kept in motion and springs, what was rubbed or damped away. */
  readonly energy: {
    readonly work: number;
    readonly kept: number;
    readonly rubbed: number;
    readonly damped: number;
    /** Rubbed away in each element. */
    readonly heats: Readonly<Record<string, number>>;
  };
  readonly why: 'done' | 'unstable';
}

/** Shafts and tyres as for an engagement: N·m/rad at the wheels for each kg of vehicle, and s of damping (memory). */
const SHAFT_PER_KG = 9;
const SHAFT_DAMPING = 0.012;
const ROAD = '.road';
const SAMPLE_EVERY = 0.01;
const JERK_OVER = 0.02;
/** The command comes once the drive has settled. */
const SETTLES = 0.1;

/** @throws Error on an unknown element, a step or a duration that is not above zero, or ranges that do not drive */
export function handOver(setup: HandOver): HandOverResult {
  const { unit, vehicle, step, seconds } = setup;
  if (!(step > 0) || !(seconds > 0)) throw new Error('handOver: expected a step and a duration');
  const before = solveUnit(unit, setup.from);
  const after = solveUnit(unit, setup.to);
  if (!before.ratio) throw new Error('handOver: expected a range that drives at the start');
  const [ratio, ratioAfter] = [toNumber(before.ratio), after.ratio ? toNumber(after.ratio) : null];
  const metres = vehicle.tyreRadiusM / vehicle.finalDrive;
  const inertias = memberInertias(unit);
  const members: Spin[] = [
    ...unit.members
      .filter((m) => m.id !== CASE)
      .map((m) => ({
        id: m.id,
        inertia: inertias.get(m.id)! + (m.id === unit.input ? setup.inputInertia : 0),
      })),
    { id: ROAD, inertia: vehicle.massKg * metres * metres },
  ];
  const used = unit.elements.filter(
    (e) => e.kind === 'one-way' || setup.from.includes(e.id) || setup.to.includes(e.id),
  );
  const elements: Rubbing[] = used.map((e) => ({
    id: e.id,
    between: e.between,
    kind: e.kind === 'one-way' ? 'one-way' : 'both-ways',
  }));
  const stiffness = (SHAFT_PER_KG * vehicle.massKg) / vehicle.finalDrive ** 2;
  const shaft: Spring = {
    id: ROAD,
    between: [unit.output, ROAD],
    stiffness,
    damping: stiffness * SHAFT_DAMPING,
  };
  const machine = train({ members, gearsets: unit.gearsets, elements, springs: [shaft] }, step);
  const turning = (setup.inputRpm * RPM_TO_RAD) / ratio;
  const start = new Map<string, number>([[ROAD, turning]]);
  for (const [id, share] of before.speeds)
    if (share) start.set(id, toNumber(share) * setup.inputRpm * RPM_TO_RAD);
  const state = machine.start(start);
  // Already pulling as hard as it will: engine and vehicle gain speed together, and the shaft is twisted by what that takes.
  const mass = vehicle.massKg * metres * metres;
  const together = mass + setup.inputInertia * ratio * ratio;
  state.twists[0] = ((mass / together) * setup.inputNm * ratio) / stiffness;
  const [inAt, outAt, roadAt] = [unit.input, unit.output, ROAD].map((id) =>
    machine.indexOf.get(id)!,
  ) as [number, number, number];
  const torques = new Float64Array(members.length);
  const capacities = new Float64Array(elements.length);
  const weight = vehicle.massKg * GRAVITY;
  const samples: HandOverSample[] = [];
  const kept = machine.energy(state);
  const energy = { work: 0, kept: 0, rubbed: 0, damped: 0 };
  const heats = new Float64Array(elements.length);
  const steps = Math.round((SETTLES + seconds) / step);
  const every = Math.max(1, Math.round(SAMPLE_EVERY / step));
  let [why, speedBefore]: [HandOverResult['why'], number] = ['done', state.speeds[roadAt]!];
  for (let k = 0; k < steps; k++) {
    const time = k * step - SETTLES;
    used.forEach((e, i) => {
      const held = setup.holds.get(e.id);
      const was = setup.from.includes(e.id);
      const stays = e.kind === 'one-way' || (time < 0 ? was : setup.to.includes(e.id));
      capacities[i] = time >= 0 && held ? traceAt(held, time) : stays ? Infinity : 0;
    });
    torques[inAt] =
      setup.inputNm * (setup.inputShare && time >= 0 ? traceAt(setup.inputShare, time) : 1);
    const speed = state.speeds[roadAt]! * metres;
    torques[roadAt] =
      drivelineDrag(vehicle, stiffness * state.twists[0], speed) -
      (roadLoad({ ...vehicle, rolling: 0 }, Math.abs(speed), 0) + weight * vehicle.rolling) *
        metres *
        Math.sign(speed);
    if (!machine.step(state, torques, capacities)) {
      why = 'unstable';
      break;
    }
    energy.work += state.work.outside;
    energy.damped += state.work.damped;
    state.heats.forEach((heat, i) => {
      energy.rubbed += heat;
      heats[i]! += heat;
    });
    if (k % every !== every - 1) continue;
    const road = state.speeds[roadAt]!;
    const acceleration = ((road - speedBefore) * metres) / (every * step);
    speedBefore = road;
    samples.push({
      time: time + step,
      inputRpm: state.speeds[inAt]! / RPM_TO_RAD,
      outputRpm: state.speeds[outAt]! / RPM_TO_RAD,
      outputNm: stiffness * state.twists[0],
      acceleration,
      speed: road * metres,
      torques: Object.fromEntries(used.map((e, i) => [e.id, Math.abs(state.torques[i]!)])),
    });
  }
  const end = machine.energy(state);
  energy.kept = end.kinetic + end.sprung - kept.kinetic - kept.sprung;
  return {
    samples,
    summary: summaryOf(samples, ratio, ratioAfter),
    energy: { ...energy, heats: Object.fromEntries(used.map((e, i) => [e.id, heats[i]!])) },
    why,
  };
}

/** Share of the way between both speeds at which a shift has begun, and at which it has arrived. */
const BEGUN = 0.1;
const ARRIVED = 0.95;
/** Share of the output torque before that counts as nothing. */
const NOTHING = 0.15;

function summaryOf(
  samples: readonly HandOverSample[],
  ratio: number,
  ratioAfter: number | null,
): HandOverSummary {
  const before = samples.filter((s) => s.time <= 0).at(-1);
  const shift = samples.filter((s) => s.time > 0);
  const settled = before?.outputNm ?? 0;
  const way = (s: HandOverSample): number => {
    const [old, next] = [s.outputRpm * ratio, s.outputRpm * (ratioAfter ?? ratio)];
    return next === old ? 0 : (s.inputRpm - old) / (next - old);
  };
  const begins = shift.find((s) => way(s) >= BEGUN)?.time ?? null;
  let arrives: number | null = null;
  for (let k = shift.length - 1; k >= 0; k--) {
    if (Math.abs(way(shift[k]!) - 1) > 1 - ARRIVED) break;
    arrives = shift[k]!.time;
  }
  const spacing = shift.length > 1 ? shift[1]!.time - shift[0]!.time : SAMPLE_EVERY;
  const over = Math.max(1, Math.round(JERK_OVER / spacing));
  let jerk = 0;
  for (let k = over; k < shift.length; k++)
    jerk = Math.max(
      jerk,
      Math.abs(shift[k]!.acceleration - shift[k - over]!.acceleration) / (over * spacing),
    );
  const nothing = shift.filter((s) => Math.abs(s.outputNm) < NOTHING * Math.abs(settled));
  // Against the speed that the old ratio asks for, so that a vehicle gaining speed is not taken for a flare.
  const flare = shift.map((s) => s.inputRpm - s.outputRpm * ratio);
  return {
    begins: ratioAfter === null ? null : begins,
    arrives: ratioAfter === null ? null : arrives,
    flareRpm: Math.max(0, ...flare),
    dip: settled === 0 ? 0 : Math.min(...shift.map((s) => s.outputNm / settled)),
    jerk,
    gap: nothing.length * spacing,
  };
}

export type ShiftQuality =
  | 'smooth'
  | 'harsh'
  | 'flares'
  | 'bumps'
  | 'late'
  | 'slips-in-new-gear'
  | 'no-shift';

/** What a driver says of a shift (figures from memory). */
const FLARE_FELT_RPM = 180;
const LATE_S = 0.5;
const HARSH_JERK = 60;
const BUMP_DIP = 0.05;

export function shiftQuality({
  begins,
  arrives,
  flareRpm,
  jerk,
  dip,
}: HandOverSummary): ShiftQuality {
  if (flareRpm > FLARE_FELT_RPM) return 'flares';
  if (begins === null) return 'no-shift';
  // It left the old gear and never reached the new one: the on-coming element takes hold and goes on slipping.
  if (arrives === null) return 'slips-in-new-gear';
  if (dip < BUMP_DIP) return 'bumps';
  if (jerk > HARSH_JERK) return 'harsh';
  return begins > LATE_S ? 'late' : 'smooth';
}
