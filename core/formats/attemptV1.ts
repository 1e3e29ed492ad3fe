import { z } from 'zod';
import { CONFIDENCES, DIRECTIONS, MOST_WORDS, SKETCH_AT, WAYS, type UnreadAnswer } from '../lesson';
import { clutchAnswers } from './clutchParts';
import { faultAnswers } from './faultParts';
import { gearboxAnswers } from './gearboxParts';
import { oilAnswers } from './oilParts';
import { ownAnswers } from './ownParts';
import { stripAnswers } from './stripParts';
import { converterSetting } from './converterSetting';
import { gearSetSetup, port } from './gearSetSchema';
import { MOST_ANSWERS, MOST_ELEMENTS, MOST_MEMBERS, MOST_RANGES } from './limits';
import { answerNumbers, hex, id, name, sha256, timestamp } from './parts';

/** Schema of `fair-sprocket/attempt`, version 1. The type is `lesson/attempt.ts`. */
const { signed, magnitude } = answerNumbers;

const answer = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('number'),
    value: signed,
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
    ratio: z.exactOptional(magnitude),
    direction: z.exactOptional(z.enum(DIRECTIONS)),
  }),
  z.strictObject({ kind: z.literal('reaction'), elements: z.array(id).max(MOST_ELEMENTS) }),
  z.strictObject({
    kind: z.literal('drive-or-coast'),
    braking: z.boolean(),
    letsGo: z.exactOptional(id),
  }),
  z.strictObject({ kind: z.literal('operate'), ...converterSetting.shape }),
  z.strictObject({ kind: z.literal('read-match'), value: signed }),
  z.strictObject({
    kind: z.literal('sketch-curve'),
    values: z.array(z.number().min(0).max(10)).length(SKETCH_AT.length),
  }),
  z.strictObject({
    kind: z.literal('predict-change'),
    way: z.enum(WAYS),
    value: magnitude,
  }),
  ...clutchAnswers,
  ...faultAnswers,
  ...gearboxAnswers,
  ...oilAnswers,
  ...stripAnswers,
  ...ownAnswers,
  z.strictObject({ kind: z.literal('launch-order'), order: z.array(id).max(MOST_RANGES) }),
]);

/** Of an answer that can't be read this much is kept. */
const MOST_RAW = 4000;

export const attemptAnswerV1 = z.strictObject({
  question: id,
  round: z.number().int().min(0).max(10_000),
  setup: z.exactOptional(gearSetSetup),
  drawn: z.exactOptional(hex(4)),
  answer,
  confidence: z.enum(CONFIDENCES),
  words: z.exactOptional(z.string().max(MOST_WORDS)),
  at: timestamp,
  score: z.number().min(0).max(1),
  // Said when it was answered, by name; every reader works it out again.
  misconception: z.exactOptional(z.string().max(80)),
});

export const attemptV1 = z.strictObject({
  format: z.literal('fair-sprocket/attempt'),
  version: z.literal(1),
  id,
  student: name.min(1),
  lesson: z.strictObject({ id, title: name, hash: sha256 }),
  startedAt: timestamp,
  finishedAt: z.exactOptional(timestamp),
  answers: z.array(attemptAnswerV1).max(MOST_ANSWERS),
  setAside: z.exactOptional(
    z
      .array(
        z.strictObject({
          at: z.number().int().min(0).max(MOST_ANSWERS),
          raw: z.string().max(MOST_RAW),
        }),
      )
      .max(MOST_ANSWERS),
  ),
  seal: z.exactOptional(
    z.strictObject({
      key: hex(32),
      links: z.array(sha256).max(MOST_ANSWERS),
      signature: hex(64),
    }),
  ),
});

/**
 * A record with answers that can't be read: they are set aside as they came, so that the others can. `null` where something
 * else is wrong with it.
 */
export function setAsideUnread(
  document: Record<string, unknown>,
  paths: readonly (readonly PropertyKey[])[],
): Record<string, unknown> | null {
  const { answers, setAside } = document;
  const places = new Set(paths.map(([field, k]) => (field === 'answers' ? k : null)));
  const before = setAside ?? [];
  if (!Array.isArray(answers) || !Array.isArray(before)) return null;
  if (![...places].every((k): k is number => typeof k === 'number')) return null;
  const taken = new Set(before.map((a: Partial<UnreadAnswer>) => a.at));
  // Places count all answers: those set aside before keep theirs.
  let place = -1;
  const unread: UnreadAnswer[] = [];
  answers.forEach((answer: unknown, k) => {
    do place++;
    while (taken.has(place));
    if (places.has(k))
      unread.push({ at: place, raw: (JSON.stringify(answer) ?? 'null').slice(0, MOST_RAW) });
  });
  return {
    ...document,
    answers: answers.filter((_a, k) => !places.has(k)),
    setAside: [...(before as UnreadAnswer[]), ...unread],
  };
}
