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
