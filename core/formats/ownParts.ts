import { z } from 'zod';
import { OWN_PARTS } from '../lesson';
import { answerNumbers, markdown, tolerance } from './parts';

/** An instructor's own questions and answers to them: parts of lesson and attempt, version 1. */
const part = z.string().max(200);
const base = { prompt: markdown, reason: markdown };
const place = z
  .number()
  .int()
  .min(0)
  .max(OWN_PARTS.most - 1);
const places = z.array(place).max(OWN_PARTS.most);

export const ownQuestions = [
  z.strictObject({
    ...base,
    kind: z.literal('own-choice'),
    options: z.array(part).max(OWN_PARTS.most),
    right: places,
  }),
  z.strictObject({
    ...base,
    kind: z.literal('own-number'),
    value: answerNumbers.signed,
    unit: z.string().max(20),
    tolerance,
  }),
  z.strictObject({
    ...base,
    kind: z.literal('own-order'),
    steps: z.array(part).max(OWN_PARTS.most),
  }),
] as const;

export const ownAnswers = [
  z.strictObject({ kind: z.literal('own-choice'), choice: place }),
  z.strictObject({ kind: z.literal('own-number'), value: answerNumbers.signed }),
  z.strictObject({ kind: z.literal('own-order'), order: places }),
] as const;
