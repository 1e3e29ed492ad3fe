import { z } from 'zod';
import { attemptAnswerV1 } from './attemptV1';
import { id } from './parts';

/** What may come over the wire in a room: anything else is refused before it is looked at. */
const name = z.string().min(1).max(200);
const key = z.string().regex(/^[A-Za-z0-9_-]{16,64}$/);
export const roomCode = z.string().regex(/^[A-Z2-9]{6}$/);

/** How a device comes in: an instructor by the host's key, a student by a name, or by the key that a name was given. */
export const roomEntrance = z.union([
  z.strictObject({ code: roomCode, host: key }),
  z.strictObject({ code: roomCode, student: key }),
  z.strictObject({ code: roomCode, name }),
]);

export const roomCommit = z.strictObject({
  vote: z.union([z.literal(1), z.literal(2)]),
  entry: attemptAnswerV1,
});

/** What an instructor does. */
export const hostAction = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('asked'), question: id }),
  z.strictObject({ kind: z.literal('voted-again') }),
  z.strictObject({ kind: z.literal('spread'), shown: z.boolean() }),
  z.strictObject({ kind: z.literal('revealed') }),
  z.strictObject({ kind: z.literal('locked'), locked: z.boolean() }),
  z.strictObject({ kind: z.literal('paced'), pace: z.enum(['led', 'own']) }),
  z.strictObject({ kind: z.literal('renamed'), student: key, name }),
  z.strictObject({ kind: z.literal('removed'), student: key }),
  z.strictObject({ kind: z.literal('closed') }),
]);

/** A new room: its lesson is opened as every file is. */
export const roomOpening = z.strictObject({
  lesson: z.unknown(),
  pace: z.enum(['led', 'own']),
});

export type RoomEntrance = z.output<typeof roomEntrance>;
export type HostAction = z.output<typeof hostAction>;
