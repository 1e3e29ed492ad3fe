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
}

/** kg/m³ at sea level and 15 °C (ISA; published). */
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
  const slope = Math.atan(grade);
  const air = (AIR_DENSITY * dragAreaM2 * speed * speed) / 2;
  return air + massKg * GRAVITY * (rolling * Math.cos(slope) + Math.sin(slope));
}
