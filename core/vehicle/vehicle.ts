import { USUAL_SCHEDULE, type ShiftSchedule } from './schedule';

/** A vehicle as people exchange it: what the road asks of the wheels. Its schema is `formats/vehicleV1.ts`. */
export interface Vehicle {
  format: 'fair-sprocket/vehicle';
  version: 1;
  id: string;
  name: string;
  /** Markdown. */
  notes?: string;
  massKg: number;
  tyreRadiusM: number;
  /** Gear ratio behind the unit. */
  finalDrive: number;
  /** c_d·A, m². */
  dragAreaM2: number;
  /** Rolling resistance over weight. */
  rolling: number;
  /** Share of the power behind the gears that reaches the wheels; left out, `USUAL_DRIVELINE`. */
  driveline?: number;
  /** When it changes gear; left out, a usual schedule follows from the engine. */
  schedule?: ShiftSchedule;
  /** The transmission's fluid and its cooler; left out, usual ones are taken. */
  fluid?: FluidLoop;
}

/** All of the fluid as one lump at one temperature, and a cooler that takes heat in proportion. */
export interface FluidLoop {
  massKg: number;
  /** W/K between the fluid and what cools it. */
  coolerWK: number;
  /** °C of what cools it; the fluid starts as warm. */
  coolantC: number;
}

/** About those of a passenger car (memory). */
export const USUAL_FLUID: FluidLoop = { massKg: 7, coolerWK: 180, coolantC: 80 };

/** The vehicle's own, or a usual one. */
export const scheduleOf = ({ schedule }: Vehicle): ShiftSchedule => schedule ?? USUAL_SCHEDULE;
export const fluidOf = ({ fluid }: Vehicle): FluidLoop => fluid ?? USUAL_FLUID;

/** Shafts, joints and final drive of a car or light truck pass on about so much (memory). */
export const USUAL_DRIVELINE = 0.95;
export const drivelineOf = ({ driveline }: Vehicle): number => driveline ?? USUAL_DRIVELINE;

/**
 * What is left of a force or torque behind the driveline: it loses the same share of the power whichever end drives.
 * One loss for every bench: launch, pull, start, shift and what a gear asks of its clutch.
 */
export const afterDriveline = (vehicle: Vehicle, force: number): number =>
  force >= 0 ? force * drivelineOf(vehicle) : force / drivelineOf(vehicle);

/** m/s below which a rolling vehicle's driveline takes less than its whole share, so that it does not push one that stands. */
const CREEPS = 0.05;

/** The same loss as a torque against the motion of the road's side. @param speed m/s */
export function drivelineDrag(vehicle: Vehicle, torque: number, speed: number): number {
  const way = Math.max(-1, Math.min(1, speed / CREEPS));
  const driven = torque * Math.sign(way);
  return -(driven - afterDriveline(vehicle, driven)) * way;
}

/** J/(kg·K) of transmission fluid near 80 °C (memory). */
export const FLUID_HEAT_CAPACITY = 2000;

/** kg/m³ at sea level and 15 °C (published: ISO 2533). */
const AIR_DENSITY = 1.225;
/** m/s² (standard gravity; published, exact by definition). */
export const GRAVITY = 9.80665;

/**
 * Force against the motion, N: air, rolling, grade (any text on vehicle dynamics).
 * @param speed m/s, 0 or above
 * @param grade rise over run
 */
export function roadLoad(vehicle: Vehicle, speed: number, grade: number): number {
  const { massKg, dragAreaM2, rolling } = vehicle;
  const along = 1 / Math.sqrt(1 + grade * grade);
  const air = (AIR_DENSITY * dragAreaM2 * speed * speed) / 2;
  return air + massKg * GRAVITY * along * (rolling + grade);
}
