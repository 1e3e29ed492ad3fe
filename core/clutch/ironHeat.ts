/**
 * The iron that a dry facing rubs on, as two lumps for a wall that conducts: a skin that warms at once and the mass behind
 * it, which loses heat to the air of the housing (derived here; shares and rates from memory).
 *
 *   C·s·dϑ_skin/dt = heat − C·k·(ϑ_skin − ϑ_mass)
 *   C·(1 − s)·dϑ_mass/dt = C·k·(ϑ_skin − ϑ_mass) − cooling·(ϑ_mass − ϑ_air)
 *
 * so that both together store C·(mean rise), and what comes in is stored or given to the air, to rounding.
 */
export interface IronTemperature {
  /** °C. */
  readonly skinC: number;
  readonly massC: number;
}

export interface Iron {
  /** J/K of both together. */
  readonly heatCapacity: number;
  /** W/K to the air. */
  readonly cooling: number;
}

/** Share of the heat capacity that is skin, and what passes inward, 1/s of the whole capacity. */
export const SKIN_SHARE = 0.06;
const SKIN_RATE = 0.12;

/** °C of the housing's air where nothing else is said. */
export const USUAL_AIR_C = 40;

/**
 * One step of time, implicit, so that a long wait is as good as many short steps.
 * @param heat J rubbed in during the step
 * @param step s
 */
export function ironAfter(
  { heatCapacity, cooling }: Iron,
  { skinC, massC }: IronTemperature,
  heat: number,
  airC: number,
  step: number,
): IronTemperature {
  const inward = heatCapacity * SKIN_RATE * step;
  const lost = cooling * step;
  const [skin, mass] = [heatCapacity * SKIN_SHARE, heatCapacity * (1 - SKIN_SHARE)];
  // (skin + inward)·ϑs − inward·ϑm = skin·ϑs₀ + heat;  −inward·ϑs + (mass + inward + lost)·ϑm = mass·ϑm₀ + lost·ϑ_air
  const [a, d] = [skin + inward, mass + inward + lost];
  const [e, f] = [skin * skinC + heat, mass * massC + lost * airC];
  const det = a * d - inward * inward;
  return { skinC: (e * d + inward * f) / det, massC: (a * f + inward * e) / det };
}

const WAIT_STEP = 0.25;

/** What is left after a wait without rubbing. @param seconds 0 or above */
export function ironCooled(
  iron: Iron,
  from: IronTemperature,
  airC: number,
  seconds: number,
): IronTemperature {
  const steps = Math.ceil(seconds / WAIT_STEP);
  let now = from;
  for (let k = 0; k < steps; k++) now = ironAfter(iron, now, 0, airC, seconds / steps);
  return now;
}
