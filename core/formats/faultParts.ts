import { z } from 'zod';
import { DIFFICULTIES, DRIVE_SYMPTOMS, REMEDIES } from '../faults';
import { faultV1 } from './faultCaseV1';
import { MOST_RANGES } from './limits';
import { id, markdown, reference } from './parts';

/** Questions, blocks and answers about faults: parts of lesson and attempt, version 1. */
const checkId = z.string().min(1).max(200);
const MOST_CHECKS = 200;
const vary = z.exactOptional(z.boolean());
const unitBase = { prompt: markdown, unit: reference, vary };
const caseBase = { prompt: markdown, case: reference };

export const faultQuestions = [
  z.strictObject({
    ...unitBase,
    kind: z.literal('symptom-row'),
    fault: faultV1,
    ranges: z.array(id).max(MOST_RANGES),
  }),
  z.strictObject({ ...unitBase, kind: z.literal('which-element'), fault: faultV1 }),
  z.strictObject({
    ...caseBase,
    kind: z.literal('which-test'),
    done: z.array(checkId).max(MOST_CHECKS),
    offered: z.array(checkId).max(MOST_CHECKS),
    vary,
  }),
  z.strictObject({
    ...caseBase,
    kind: z.literal('diagnose'),
    vary,
    draw: z.exactOptional(z.strictObject({ seed: id, difficulty: z.enum(DIFFICULTIES) })),
  }),
] as const;

const MOST_ROWS = 200;

export const faultBlocks = [
  z.strictObject({
    id,
    kind: z.literal('fault-table'),
    unit: reference,
    faults: z.array(faultV1).max(MOST_ROWS),
    allow: z.strictObject({ filter: z.boolean() }),
  }),
] as const;

export const faultAnswers = [
  z.strictObject({
    kind: z.literal('symptom-row'),
    cells: z.array(z.strictObject({ range: id, drive: z.enum(DRIVE_SYMPTOMS) })).max(MOST_RANGES),
  }),
  z.strictObject({ kind: z.literal('which-element'), element: z.string().max(80) }),
  z.strictObject({ kind: z.literal('which-test'), check: checkId }),
  z.strictObject({
    kind: z.literal('diagnose'),
    entries: z
      .array(z.strictObject({ check: checkId, expected: z.string().max(80), safe: z.boolean() }))
      .max(MOST_CHECKS),
    cause: z.string().max(400),
    remedy: z.enum(REMEDIES),
  }),
] as const;
