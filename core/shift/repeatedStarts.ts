import { ironCooled, USUAL_AIR_C, type IronTemperature } from '../clutch';
import { engage } from './engagement';
import type { EngagementResult, EngagementSetup } from './engagementSetup';

/** The same start again and again, with a wait between, so that the iron keeps what it could not give away. */
export interface RepeatedStart {
  readonly result: EngagementResult;
  /** Hottest of this start, °C, and what the iron comes down to before the next. */
  readonly peakC: number;
  readonly cooled: IronTemperature;
}

/**
 * @param times starts, 1 or more @param wait s between the end of one and the next
 * @throws Error as `engage`
 */
export function repeatStarts(setup: EngagementSetup, times: number, wait: number): RepeatedStart[] {
  const starts: RepeatedStart[] = [];
  let iron = setup.start?.iron;
  for (let k = 0; k < times; k++) {
    const result = engage({ ...setup, start: { ...setup.start, ...(iron ? { iron } : {}) } });
    const cooled = ironCooled(setup.clutch.cover, result.iron, setup.airC ?? USUAL_AIR_C, wait);
    starts.push({ result, peakC: result.summary.peakC, cooled });
    iron = cooled;
  }
  return starts;
}
