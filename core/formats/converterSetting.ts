import { z } from 'zod';
import { MOST_SPEED_RPM } from './limits';

/** How the Converter bench is run, as lessons and attempts carry it. */
export const converterSetting = z.strictObject({
  throttle: z.number().min(0).max(1),
  turbineRpm: z.number().min(0).max(MOST_SPEED_RPM),
  lockUp: z.boolean(),
});
