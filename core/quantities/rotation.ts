/** rev/min × this = rad/s. */
export const RPM_TO_RAD = (2 * Math.PI) / 60;

/** rev/min × N·m × this = kW. */
export const POWER_PER_RPM_NM = RPM_TO_RAD / 1000;

/** Shaft power in kW; positive when torque and speed have the same sign. */
export const powerKw = (speedRpm: number, torqueNm: number): number =>
  speedRpm * torqueNm * POWER_PER_RPM_NM;
