import { z } from 'zod';
import { PLAN_FAULT_KINDS, SHIFT_MOMENTS } from '../hydraulics';
import { BODY_LIMITS, DRAWN_AT, SETTING_LIMITS, THIN_THREADS } from '../lesson';
import { MOST_OIL_PARTS, MOST_RANGES } from './limits';
import { answerNumbers, id, markdown, reference, tolerance } from './parts';

/** Questions and answers about oil: parts of lesson and attempt, version 1. */
const base = {
  prompt: markdown,
  hydraulics: reference,
  unit: reference,
  vary: z.exactOptional(z.boolean()),
};
const throttle = z.number().min(0).max(1);
const outputRpm = z.number().min(0).max(20_000);
const gear = z.int().min(1).max(MOST_RANGES);
const driven = { lever: z.string().max(200), throttle, outputRpm };
/** Id of a part of a plan. */
const partId = z.string().min(1).max(120);

const gauge = z.strictObject({ lever: z.string().max(200), gear, element: z.string().max(80) });

const between = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);
const setting = z.strictObject({
  slack: between(SETTING_LIMITS.slack),
  feed: between(SETTING_LIMITS.feed),
  spring: between(SETTING_LIMITS.spring),
  out: between(SETTING_LIMITS.out),
});

/** A shift that has to keep within something. */
const limited = {
  vehicle: reference,
  gear,
  throttle,
  jerk: z.number().min(0).max(1000),
  flare: z.number().min(0).max(10_000),
  dip: z.number().min(-10).max(1),
  kelvin: z.number().min(0).max(1000),
};

/** Pa at each time of a drawing. */
const drawn = z.array(z.number().min(0).max(1e7)).max(DRAWN_AT.length);

export const planFault = z.strictObject({
  kind: z.enum(PLAN_FAULT_KINDS),
  part: partId,
  amount: z.exactOptional(z.number().min(0).max(10)),
});

export const oilQuestions = [
  z.strictObject({ ...base, ...driven, kind: z.literal('trace-oil'), element: z.string().max(80) }),
  z.strictObject({ ...base, ...driven, kind: z.literal('spool-places') }),
  z.strictObject({
    ...base,
    kind: z.literal('shift-speed'),
    gear,
    throttle,
    fault: planFault.nullable(),
    tolerance,
  }),
  z.strictObject({ ...base, kind: z.literal('oil-fault-row'), throttle, fault: planFault }),
  z.strictObject({
    ...base,
    ...limited,
    kind: z.literal('set-shift'),
    found: setting,
  }),
  z.strictObject({
    ...base,
    kind: z.literal('which-ball'),
    throttle,
    ball: z.string().max(120),
    gauges: z.tuple([gauge, gauge]),
    gear,
  }),
  z.strictObject({ ...base, ...limited, kind: z.literal('draw-pressures') }),
  z.strictObject({
    ...base,
    kind: z.literal('bolt-order'),
    job: z.enum(['off', 'on']),
    body: z.strictObject({
      spring: between(BODY_LIMITS.spring),
      travel: between(BODY_LIMITS.travel),
      thin: z.enum(THIN_THREADS),
    }),
  }),
  z.strictObject({ ...base, kind: z.literal('kick-down'), gear, throttle, outputRpm, tolerance }),
] as const;

export const oilBlocks = [
  z.strictObject({
    id,
    kind: z.literal('shift-bench'),
    hydraulics: reference,
    unit: reference,
    ...driven,
    fault: planFault.nullable(),
    allow: z.strictObject({ driving: z.boolean(), fault: z.boolean() }),
  }),
] as const;

export const oilAnswers = [
  z.strictObject({ kind: z.literal('trace-oil'), parts: z.array(partId).max(MOST_OIL_PARTS) }),
  z.strictObject({ kind: z.literal('spool-places'), up: z.array(partId).max(MOST_RANGES) }),
  z.strictObject({
    kind: z.literal('shift-speed'),
    up: answerNumbers.magnitude,
    down: answerNumbers.magnitude,
  }),
  z.strictObject({
    kind: z.literal('oil-fault-row'),
    row: z.array(z.enum(SHIFT_MOMENTS)).max(MOST_RANGES),
  }),
  z.strictObject({ kind: z.literal('which-ball'), ball: partId }),
  z.strictObject({ kind: z.literal('set-shift'), setting }),
  z.strictObject({ kind: z.literal('draw-pressures'), coming: drawn, going: drawn }),
  z.strictObject({
    kind: z.literal('bolt-order'),
    order: z.array(z.string().min(1).max(8)).max(40),
    inTurns: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('kick-down'), gear, engineRpm: answerNumbers.magnitude }),
] as const;
