import type { Unit } from '../geartrain';
import type { Vehicle } from '../vehicle';
import type { Gears } from './gears';
import type { OilShift } from './shiftInTime';

/** rev/min of the input at which an upshift is looked at, and s for which it is followed. */
export const LOOKED_AT_RPM = 1900;
const LOOKED_AT_SECONDS = 1.6;

export interface UpshiftAsked {
  readonly unit: Unit;
  readonly gears: Gears;
  readonly vehicle: Vehicle | null | undefined;
  /** The lower one, 1 for the first. */
  readonly gear: number;
  readonly throttle: number;
  readonly celsius: number;
  /** N·m at the input, and kg·m² of what turns with it. */
  readonly inputNm: number;
  readonly inputInertia: number;
}

/** An upshift in the main lever place, without its oil; `null` without a vehicle to move, or a next gear. */
export function upshiftOf(asked: UpshiftAsked): Omit<OilShift, 'circuit'> | null {
  const { unit, vehicle, gear, throttle, celsius, inputNm, inputInertia } = asked;
  const { forward, mainLever } = asked.gears;
  const [low, high] = [forward[gear - 1], forward[gear]];
  if (!vehicle || !low || !high || mainLever === null) return null;
  return {
    unit,
    vehicle,
    from: { range: low.range.id, gear },
    to: { range: high.range.id, gear: gear + 1 },
    running: {
      lever: mainLever,
      throttle,
      outputRpm: LOOKED_AT_RPM / low.ratio,
      engineRpm: LOOKED_AT_RPM,
      celsius,
    },
    inputNm,
    inputInertia,
    inputRpm: LOOKED_AT_RPM,
    seconds: LOOKED_AT_SECONDS,
  };
}
