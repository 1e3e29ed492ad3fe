import { z } from 'zod';
import { CONFIDENCES, DIRECTIONS, MISCONCEPTIONS, SKETCH_AT, WAYS } from '../lesson';
import { clutchAnswers } from './clutchParts';
import { faultAnswers } from './faultParts';
import { converterSetting } from './converterSetting';
import { gearSetSetup, port } from './gearSetSchema';
import { MOST_ANSWERS, MOST_ELEMENTS, MOST_MEMBERS, MOST_RANGES, MOST_SPEED_RPM } from './limits';
import { id, name, sha256, timestamp } from './parts';

/** Schema of `fair-sprocket/attempt`, version 1. The type is `lesson/attempt.ts`. */
const answer = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('number'),
    value: z.number().min(-1e9).max(1e9),
    direction: z.exactOptional(z.enum(DIRECTIONS)),
  }),
  z.strictObject({ kind: z.literal('choice'), choice: z.string().max(80) }),
  z.strictObject({ kind: z.literal('roles'), drives: port, driven: port, held: port }),
  z.strictObject({
    kind: z.literal('fill-chart'),
    on: z.array(z.string().max(161)).max(MOST_RANGES * MOST_ELEMENTS),
  }),
  z.strictObject({ kind: z.literal('trace-path'), members: z.array(id).max(MOST_MEMBERS) }),
  z.strictObject({
    kind: z.literal('row-outcome'),
    outcome: z.enum(['drives', 'neutral', 'tied-up', 'output-held', 'input-held']),
    ratio: z.exactOptional(z.number().min(0).max(1e6)),
    direction: z.exactOptional(z.enum(DIRECTIONS)),
  }),
  z.strictObject({ kind: z.literal('reaction'), elements: z.array(id).max(MOST_ELEMENTS) }),
  z.strictObject({
    kind: z.literal('drive-or-coast'),
    braking: z.boolean(),
    letsGo: z.exactOptional(id),
  }),
  z.strictObject({ kind: z.literal('operate'), ...converterSetting.shape }),
  z.strictObject({ kind: z.literal('read-match'), value: z.number().min(-1e9).max(1e9) }),
  z.strictObject({
    kind: z.literal('sketch-curve'),
    values: z.array(z.number().min(0).max(10)).length(SKETCH_AT.length),
  }),
  z.strictObject({
    kind: z.literal('predict-change'),
    way: z.enum(WAYS),
    value: z.number().min(0).max(MOST_SPEED_RPM),
  }),
  ...clutchAnswers,
  ...faultAnswers,
  z.strictObject({ kind: z.literal('launch-order'), order: z.array(id).max(MOST_RANGES) }),
]);

export const attemptV1 = z.strictObject({
  format: z.literal('fair-sprocket/attempt'),
  version: z.literal(1),
  id,
  student: name.min(1),
  lesson: z.strictObject({ id, title: name, hash: sha256 }),
  startedAt: timestamp,
  finishedAt: z.exactOptional(timestamp),
  answers: z
    .array(
      z.strictObject({
        question: id,
        round: z.number().int().min(0).max(10_000),
        setup: z.exactOptional(gearSetSetup),
        answer,
        confidence: z.enum(CONFIDENCES),
        at: timestamp,
        score: z.number().min(0).max(1),
        misconception: z.exactOptional(z.enum(MISCONCEPTIONS)),
      }),
    )
    .max(MOST_ANSWERS),
});
