import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { lessonHash, openValue } from '../../core/formats';
import type { Lesson } from '../../core/lesson';
import { apply, type Pace, type Room, type RoomEvent, type RoomRefusal } from '../../core/room';
import { Journal, journalsIn } from './journal';

/** Letters and figures that nobody takes for each other. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 6;
const DAY_MS = 24 * 3600 * 1000;
export const MOST_ROOMS = 500;

export type Trouble = RoomRefusal | 'no-room' | 'not-kept' | 'not-a-lesson' | 'too-many-rooms';
export type Told<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly why: Trouble };
const told = <T>(value: T): Told<T> => ({ ok: true, value });
const trouble = (why: Trouble) => ({ ok: false, why }) as const;

/** A line of a journal: what happened, and with it what only the server knows. */
type Line =
  | { event: RoomEvent; lesson: Lesson; hostKey: string }
  | { event: RoomEvent; studentKey?: string };

interface Held {
  room: Room;
  readonly lesson: Lesson;
  /** Hashes of the keys: a journal that is read gives nobody's place away. */
  readonly hostKey: string;
  readonly students: Map<string, string>;
  readonly journal: Journal;
}

const hashed = (key: string): string => createHash('sha256').update(key).digest('hex');
const same = (key: string, hash: string): boolean =>
  timingSafeEqual(Buffer.from(hashed(key)), Buffer.from(hash));
const newKey = (): string => randomBytes(18).toString('base64url');

/** Every room of this server: in memory, and line by line on the disk. */
export class Rooms {
  readonly #dir: string;
  readonly #now: () => number;
  readonly #held = new Map<string, Held>();

  /** Rooms that were open when the server stopped are open again. @throws Error when the folder can't be made */
  constructor(dir: string, now: () => number = Date.now) {
    this.#dir = dir;
    this.#now = now;
    mkdirSync(dir, { recursive: true, mode: 0o700 });
    for (const code of journalsIn(dir)) this.#replay(code);
    this.sweep();
  }

  #replay(code: string): void {
    const { journal, lines } = Journal.open(this.#dir, code);
    const held = replayed(lines, journal);
    if (held) this.#held.set(code, held);
    else journal.remove();
  }

  get count(): number {
    return this.#held.size;
  }

  /** Lets go of rooms that are a day old, or closed. */
  sweep(): void {
    for (const [code, { room, journal }] of this.#held)
      if (room.closed || this.#now() - Date.parse(room.openedAt) > DAY_MS) {
        journal.remove();
        this.#held.delete(code);
      }
  }

  open(document: unknown, pace: Pace): Told<{ code: string; hostKey: string }> {
    this.sweep();
    if (this.#held.size >= MOST_ROOMS) return trouble('too-many-rooms');
    const opened = openValue(document, 'fair-sprocket/lesson');
    if (!opened.ok) return trouble('not-a-lesson');
    const lesson = opened.document;
    const event: RoomEvent = {
      kind: 'opened',
      at: new Date(this.#now()).toISOString(),
      title: lesson.title,
      lesson: lessonHash(lesson),
      pace,
    };
    const applied = apply(null, event);
    if (!applied.ok) return trouble(applied.refusal);
    const [code, hostKey] = [this.#newCode(), newKey()];
    try {
      const journal = Journal.create(this.#dir, code);
      try {
        journal.add({ event, lesson, hostKey: hashed(hostKey) } satisfies Line);
      } catch (error) {
        journal.remove();
        throw error;
      }
      const held = {
        lesson,
        hostKey: hashed(hostKey),
        students: new Map<string, string>(),
        journal,
      };
      this.#held.set(code, { ...held, room: applied.room });
    } catch {
      return trouble('not-kept');
    }
    return told({ code, hostKey });
  }

  #newCode(): string {
    for (;;) {
      const letters = Array.from(
        { length: CODE_LENGTH },
        () => ALPHABET[randomInt(ALPHABET.length)],
      );
      const code = letters.join('');
      if (!this.#held.has(code)) return code;
    }
  }

  room(code: string): Room | null {
    return this.#held.get(code)?.room ?? null;
  }

  lesson(code: string): Lesson | null {
    return this.#held.get(code)?.lesson ?? null;
  }

  isHost(code: string, key: string): boolean {
    const held = this.#held.get(code);
    return held !== undefined && same(key, held.hostKey);
  }

  /** The student whose key this is; `null` for nobody in the room. */
  studentOf(code: string, key: string): string | null {
    const held = this.#held.get(code);
    for (const [student, hash] of held?.students ?? [])
      if (same(key, hash))
        return held!.room.students.some((s) => s.id === student) ? student : null;
    return null;
  }

  join(code: string, name: string): Told<{ student: string; key: string }> {
    const [student, key] = [newKey(), newKey()];
    const done = this.happen(code, { kind: 'joined', student, name }, hashed(key));
    return done.ok ? told({ student, key }) : done;
  }

  /** One more event: first onto the disk, then into the room. */
  happen(code: string, event: RoomEvent, studentKey?: string): Told<Room> {
    const held = this.#held.get(code);
    if (!held) return trouble('no-room');
    const applied = apply(held.room, event);
    if (!applied.ok) return trouble(applied.refusal);
    try {
      held.journal.add({
        event,
        ...(studentKey === undefined ? {} : { studentKey }),
      } satisfies Line);
    } catch {
      return trouble('not-kept');
    }
    take(held, event, studentKey);
    held.room = applied.room;
    return told(held.room);
  }

  close(): void {
    for (const { journal } of this.#held.values()) journal.close();
    this.#held.clear();
  }
}

function take(
  held: Pick<Held, 'students'>,
  event: RoomEvent,
  studentKey: string | undefined,
): void {
  if (event.kind === 'joined' && studentKey !== undefined)
    held.students.set(event.student, studentKey);
}

/** A room out of its journal; `null` when not even its opening is there. */
function replayed(lines: readonly unknown[], journal: Journal): Held | null {
  const [first, ...rest] = lines as Line[];
  if (!first || !('hostKey' in first) || first.event.kind !== 'opened') return null;
  const opened = openValue(first.lesson, 'fair-sprocket/lesson');
  const applied = apply(null, first.event);
  if (!opened.ok || !applied.ok) return null;
  const held: Held = {
    room: applied.room,
    lesson: opened.document,
    hostKey: first.hostKey,
    students: new Map(),
    journal,
  };
  for (const line of rest) {
    const next = apply(held.room, line.event);
    if (!next.ok) continue;
    held.room = next.room;
    take(held, line.event, 'studentKey' in line ? line.studentKey : undefined);
  }
  return held;
}
