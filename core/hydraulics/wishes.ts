/** What a plan is made for. Whatever is left out is usual. */
export interface PlanWishes {
  /** What tells the valves how far the pedal is down. */
  readonly throttle?: 'cable' | 'modulator' | 'solenoid';
  /** Spools that a governor moves, or solenoids that a control unit moves. */
  readonly shifting?: 'valves' | 'solenoids';
  /** With a clutch in the converter, and what brings it on. */
  readonly lockUp?: boolean;
  /** N·m of the engine at full throttle, and how often the converter multiplies it at a start. */
  readonly inputNm?: number;
  readonly startTimes?: number;
  readonly idleRpm?: number;
  readonly governedRpm?: number;
}

/** Pa and m³: about those of a car's transmission (memory). */
export const USUAL_PRESSURES = {
  /** Regulated, with the throttle closed and open. */
  idle: 450e3,
  full: 1200e3,
  /** In reverse, over that in forward ranges. */
  reverseBoost: 1.35,
  /** Throttle pressure with the throttle open. */
  throttleFull: 600e3,
  /** m³ that the pump moves in one turn, and m³/s for each √Pa of everything that always leaks. */
  pump: 22e-6,
  leak: 0.16e-6,
} as const;

/** Torque and speeds of an engine that nobody has named. */
export const USUAL_ENGINE = { inputNm: 200, startTimes: 1.8, idleRpm: 700, governedRpm: 4500 };

/** Share of full torque for which shifts are timed. */
export const TIMED_AT = 0.45;

/** Share of what it is asked for at which a coming element has taken over, and the going one lets go (memory). */
export const TAKEN_OVER = 0.8;
