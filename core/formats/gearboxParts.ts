import { z } from 'zod';
import { BIND_REASONS } from '../lesson';
import { RAMP_LIMITS, SPEED_MARKS, WAITING_MARKS, WORN_LIMITS, WORN_PARTS } from '../shift';
import { markdown, reference } from './parts';

/** Questions and answers about gearboxes and dual clutches: parts of lesson and attempt, version 1. */
const vary = z.exactOptional(z.boolean());
const base = { prompt: markdown, unit: reference, vary };
/** Id of an element, or of a range, of a unit. */
const part = z.string().min(1).max(80);
const MOST_WORN = Math.max(...Object.values(WORN_LIMITS).flat());
const MOST_SPEED = 60;
const MOST_FLARE = 2000;

export const gearboxQuestions = [
  z.strictObject({
    ...base,
    kind: z.literal('which-side'),
    part: z.enum(WORN_PARTS),
    side: part,
    value: z.number().min(0).max(MOST_WORN),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('two-gears'),
    sides: z.tuple([part, part]),
    clutches: z.array(part).max(10),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('set-waiting'),
    vehicle: reference,
    speeds: z.array(z.number().min(0).max(MOST_SPEED)).length(SPEED_MARKS.length),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('draw-crossing'),
    vehicle: reference,
    engine: reference,
    from: z.string().max(80),
    to: z.string().max(80),
    dip: z.number().min(0).max(1),
    flare: z.number().min(0).max(MOST_FLARE),
  }),
] as const;

const between = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);
const ramp = z.strictObject({
  at: between(RAMP_LIMITS.at),
  over: between(RAMP_LIMITS.over),
});

export const gearboxAnswers = [
  z.strictObject({
    kind: z.literal('which-side'),
    part: z.enum(WORN_PARTS),
    side: z.exactOptional(part),
  }),
  z.strictObject({ kind: z.literal('two-gears'), binds: z.boolean(), why: z.enum(BIND_REASONS) }),
  z.strictObject({
    kind: z.literal('set-waiting'),
    gears: z.array(part).length(WAITING_MARKS.length),
  }),
  z.strictObject({
    kind: z.literal('draw-crossing'),
    ramps: z.strictObject({ off: ramp, on: ramp }),
  }),
] as const;
