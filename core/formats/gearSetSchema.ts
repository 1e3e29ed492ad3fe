import { z } from 'zod';
import { FEWEST_TEETH, MOST_PINIONS, MOST_TEETH, PORTS, REACTIONS } from '../geartrain';
import { MOST_SPEED_RPM, MOST_TORQUE_NM } from './limits';

/** One planetary set and how it is run, as lessons and attempts carry it. */
const toothCount = z.number().int().min(FEWEST_TEETH).max(MOST_TEETH);
const pinions = z.number().int().min(1).max(MOST_PINIONS);

/** The ring goes round the sun: a set whose sun is as large can't be built, whatever its ratio would be. */
function ringRoundSun(context: z.core.ParsePayload<{ sun: number; ring: number }>): void {
  const { sun, ring } = context.value;
  if (ring > sun) return;
  context.issues.push({
    code: 'custom',
    path: ['ring'],
    params: { code: 'ring-not-larger', id: String(ring), minimum: sun },
    input: ring,
    message: `the ring must have more teeth than the sun's ${sun}`,
  });
}

export const singlePinionTeeth = z
  .strictObject({
    sun: toothCount,
    pinion: z.exactOptional(toothCount),
    ring: toothCount,
  })
  .check(ringRoundSun);

export const doublePinionTeeth = z
  .strictObject({
    sun: toothCount,
    inner: z.exactOptional(toothCount),
    outer: z.exactOptional(toothCount),
    ring: toothCount,
  })
  .check(ringRoundSun);

export const pinionCount = z.exactOptional(pinions);
export const pairToothCount = toothCount;

export const port = z.enum(PORTS);

export const roles = z
  .strictObject({ drives: port, driven: port, reaction: z.enum(REACTIONS) })
  .refine((r) => r.drives !== r.driven, {
    path: ['driven'],
    params: { code: 'same-part' },
    error: 'driven must be another part than drives',
  });

const planetarySet = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('single-pinion'),
    teeth: singlePinionTeeth,
    pinions: pinionCount,
  }),
  z.strictObject({
    kind: z.literal('double-pinion'),
    teeth: doublePinionTeeth,
    pinions: pinionCount,
  }),
]);

export const gearSetSetup = z.strictObject({
  set: planetarySet,
  roles,
  inputSpeedRpm: z.number().min(-MOST_SPEED_RPM).max(MOST_SPEED_RPM),
  inputTorqueNm: z.number().min(-MOST_TORQUE_NM).max(MOST_TORQUE_NM),
});
