import { z } from 'zod';
import { BEARINGS, CLUTCH_FAULTS, MEASURED, UPGRADE_LIMITS, UPGRADES } from '../clutch';
import { HOLD_ASKS, UPGRADE_ASKS } from '../lesson';
import { FEET_AT } from '../shift';
import { MOST_JOULES, MOST_PLATES, MOST_TORQUE_NM } from './limits';
import { answerNumbers, id, markdown, reference, tolerance } from './parts';

/** Questions, blocks and answers about clutches and packs: parts of lesson and attempt, version 1. */
const share = z.number().min(0).max(1);
const small = z.number().min(-0.2).max(0.2);
const grade = z.number().min(-1).max(1);
const wear = z.number().min(0).max(0.1);
const joules = z.number().positive().max(MOST_JOULES);
const bearing = z.enum(BEARINGS);
const vary = z.exactOptional(z.boolean());
const clutchBase = { prompt: markdown, clutch: reference, vary };
const packBase = { prompt: markdown, pack: reference, vary };
const driven = { engine: reference, vehicle: reference, unit: reference };

const duty = z.strictObject({
  joules,
  seconds: z.number().min(0.01).max(60),
  times: z.number().int().min(1).max(100),
  every: z.number().min(0).max(600),
  oilC: z.number().min(-40).max(200),
});

export const clutchQuestions = [
  z.strictObject({ ...clutchBase, kind: z.literal('set-free-play'), wear }),
  z.strictObject({
    ...clutchBase,
    ...driven,
    kind: z.literal('will-it-hold'),
    ask: z.enum(HOLD_ASKS),
    range: reference,
    throttle: share,
    grade,
    wear,
    oil: share,
    tolerance,
  }),
  z.strictObject({
    ...clutchBase,
    kind: z.literal('adjust-order'),
    wear: z.exactOptional(wear),
  }),
  z.strictObject({
    ...clutchBase,
    kind: z.literal('noise-test'),
    engine: reference,
    first: bearing,
    second: bearing,
  }),
  z.strictObject({
    ...clutchBase,
    ...driven,
    kind: z.literal('draw-start'),
    range: reference,
    grade,
    brakeUntil: z.number().min(0).max(10),
    heat: joules,
  }),
  z.strictObject({
    ...packBase,
    kind: z.literal('choose-selective'),
    fitted: z.number().min(0).max(0.1),
    measured: z.exactOptional(z.enum(MEASURED)),
  }),
  z.strictObject({
    ...packBase,
    kind: z.literal('upgrade-limit'),
    ask: z.enum(UPGRADE_ASKS),
    upgrade: z.enum(UPGRADES),
    duty,
    load: z.number().min(0).max(MOST_TORQUE_NM),
    tolerance,
  }),
] as const;

const setting = z.strictObject({
  pedal: share,
  wear,
  forkRod: small,
  turnbuckle: small,
  fault: z.nullable(z.enum(CLUTCH_FAULTS)),
});

export const clutchBlocks = [
  z.strictObject({
    id,
    kind: z.literal('clutch-bench'),
    clutch: reference,
    setting,
    allow: z.strictObject({
      pedal: z.boolean(),
      wear: z.boolean(),
      adjust: z.boolean(),
      fault: z.boolean(),
    }),
  }),
  z.strictObject({
    id,
    kind: z.literal('pack-bench'),
    pack: reference,
    allow: z.strictObject({ plates: z.boolean(), pressure: z.boolean() }),
  }),
] as const;

const feet = z.array(share).length(FEET_AT.length);

export const clutchAnswers = [
  z.strictObject({ kind: z.literal('set-free-play'), forkRod: small, turnbuckle: small }),
  z.strictObject({
    kind: z.literal('will-it-hold'),
    holds: z.exactOptional(z.boolean()),
    value: z.exactOptional(answerNumbers.magnitude),
    range: z.exactOptional(id),
  }),
  z.strictObject({ kind: z.literal('adjust-order'), order: z.array(id).max(MOST_PLATES) }),
  z.strictObject({ kind: z.literal('noise-test'), test: id }),
  z.strictObject({ kind: z.literal('draw-start'), pedal: feet, throttle: feet }),
  z.strictObject({ kind: z.literal('choose-selective'), thickness: z.number().min(0).max(0.1) }),
  z.strictObject({
    kind: z.literal('upgrade-limit'),
    limit: z.exactOptional(z.enum(UPGRADE_LIMITS)),
    value: z.exactOptional(answerNumbers.magnitude),
  }),
] as const;
