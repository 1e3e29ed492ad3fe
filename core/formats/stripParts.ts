import { z } from 'zod';
import {
  DECISIONS,
  LOG_LIMITS,
  MACHINE_FACTS,
  MEASURE_IDS,
  ORDER_RULES,
  REASONS,
  STATES,
  type OrderRule,
} from '../assembly';
import { DIFFICULTIES, FAULT_KINDS } from '../faults';
import { id, markdown, reference } from './parts';

/** Questions about jobs and answers to them: parts of lesson and attempt, version 1. */
const partId = z.string().max(161);
const MOST_PARTS = 2000;
/** Everything tried, put in or read in one piece of work. */
const MOST_STEPS = 5000;
const parts = z.array(partId).max(MOST_PARTS);
const base = { prompt: markdown, job: reference, vary: z.exactOptional(z.boolean()) };
const rules = Object.keys(ORDER_RULES) as [OrderRule, ...OrderRule[]];
const reading = z.number().min(-1e6).max(1e6);

export const stripQuestions = [
  z.strictObject({ ...base, kind: z.literal('free-now'), off: parts, offered: parts }),
  z.strictObject({ ...base, kind: z.literal('strip-order'), parts }),
  z.strictObject({ ...base, kind: z.literal('why-first'), first: partId, part: partId }),
  z.strictObject({ ...base, kind: z.literal('lay-out'), parts }),
  z.strictObject({ ...base, kind: z.literal('way-round'), part: partId }),
  z.strictObject({ ...base, kind: z.literal('verdict'), part: partId }),
  z.strictObject({
    ...base,
    kind: z.literal('read-gauge'),
    part: partId,
    measure: z.enum(MEASURE_IDS),
  }),
  z.strictObject({ ...base, kind: z.literal('choose-size'), part: partId }),
  z.strictObject({ ...base, kind: z.literal('worth-it'), part: partId }),
  z.strictObject({
    ...base,
    kind: z.literal('whole-job'),
    draw: z.exactOptional(z.strictObject({ seed: id, difficulty: z.enum(DIFFICULTIES) })),
  }),
] as const;

const work = z.strictObject({
  tried: z.array(partId).max(MOST_STEPS),
  taken: z
    .array(
      z.strictObject({
        part: partId,
        measure: z.enum(MEASURE_IDS),
        state: z.enum(STATES),
        value: reading,
        before: z.boolean(),
      }),
    )
    .max(MOST_STEPS),
  judged: z.record(
    partId,
    z.strictObject({ decision: z.enum(DECISIONS), reason: z.enum(REASONS) }),
  ),
  ordered: parts,
  asked: z.exactOptional(z.array(z.enum(MACHINE_FACTS)).max(MACHINE_FACTS.length)),
  fits: z
    .array(
      z.strictObject({
        part: partId,
        turned: z.boolean(),
        piece: z.exactOptional(partId),
        size: z.exactOptional(reading),
      }),
    )
    .max(MOST_STEPS),
  wasted: z.number().int().min(0).max(1e6),
  helped: z.number().int().min(0).max(1e6),
  log: z
    .array(
      z.strictObject({
        part: partId,
        note: z.string().max(LOG_LIMITS.note),
        photo: z.exactOptional(
          z
            .string()
            .max(LOG_LIMITS.photo)
            .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/),
        ),
        doubt: z.boolean(),
      }),
    )
    .max(LOG_LIMITS.entries),
});

export const stripAnswers = [
  z.strictObject({ kind: z.literal('free-now'), parts }),
  z.strictObject({ kind: z.literal('strip-order'), order: parts }),
  z.strictObject({ kind: z.literal('why-first'), rule: z.enum(rules) }),
  z.strictObject({ kind: z.literal('lay-out'), order: parts }),
  z.strictObject({
    kind: z.literal('way-round'),
    way: z.enum(['right', 'wrong']),
    becomes: z.enum([...FAULT_KINDS, 'nothing']),
  }),
  z.strictObject({
    kind: z.literal('verdict'),
    decision: z.enum(DECISIONS),
    reason: z.enum(REASONS),
  }),
  z.strictObject({
    kind: z.literal('read-gauge'),
    value: reading,
    side: z.enum(['inside', 'outside']),
  }),
  z.strictObject({ kind: z.literal('choose-size'), size: reading }),
  z.strictObject({ kind: z.literal('worth-it'), value: reading }),
  z.strictObject({ kind: z.literal('whole-job'), work }),
] as const;
