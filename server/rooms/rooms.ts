import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { lessonHash, openValue } from '../../core/formats';
import type { Lesson } from '../../core/lesson';
import { apply, type Pace, type Room, type RoomEvent, type RoomRefusal } from '../../core/room';
import { ROOM_LIFE_MS, type RoomStore } from './store';
import { Turns } from './turns';

/** Letters and figures that nobody takes for each other. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 6;
export const MOST_ROOMS = 500;

export type Trouble = RoomRefusal | 'no-room' | 'not-kept' | 'not-a-lesson' | 'too-many-rooms';
export type Told<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly why: Trouble };
const told = <T>(value: T): Told<T> => ({ ok: true, value });
const trouble = (why: Trouble) => ({ ok: false, why }) as const;

/** A line of a journal: what happened, and with it what only the server knows. */
type Line = Opening | { event: RoomEvent; studentKey?: string };
type Opened = Extract<RoomEvent, { kind: 'opened' }>;
interface Opening {
  readonly event: Opened;
  readonly lesson: Lesson;
  readonly hostKey: string;
}

/** The line that a room begins with; `null` where it is not whole. */
function openingOf(lines: readonly unknown[] | null): Opening | null {
  const first = lines?.[0] as Line | undefined;
  return first && 'hostKey' in first && first.event.kind === 'opened' ? first : null;
}

interface Held {
  room: Room;
  readonly lesson: Lesson;
  /** Hashes of the keys: a journal that is read gives nobody's place away. */
  readonly hostKey: string;
  readonly students: Map<string, string>;
  /** Lines that are in `room`. */
  lines: number;
}

const hashed = (key: string): string => createHash('sha256').update(key).digest('hex');
const same = (key: string, hash: string): boolean =>
  timingSafeEqual(Buffer.from(hashed(key)), Buffer.from(hash));
const newKey = (): string => randomBytes(18).toString('base64url');
const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');

/**
 * Every room that this process has to do with: its lines in a store, what they add up to in memory. Other processes may write
 * into the same store: whatever is asked of a room, its newest lines are read before.
 */
export class Rooms {
  readonly #store: RoomStore;
  readonly #now: () => number;
  readonly #held = new Map<string, Held>();
  readonly #turns = new Turns();

  private constructor(store: RoomStore, now: () => number) {
    this.#store = store;
    this.#now = now;
  }

  /** Rooms that were open when the server stopped are open again. */
  static async start(store: RoomStore, now: () => number = Date.now): Promise<Rooms> {
    const rooms = new Rooms(store, now);
    await rooms.sweep();
    return rooms;
  }

  /** Lets go of rooms that are over. @returns how many are left */
  async sweep(): Promise<number> {
    let left = 0;
    for (const code of await this.#store.codes()) {
      if (await this.#isOver(code)) {
        this.#held.delete(code);
        await this.#store.remove(code);
      } else left++;
    }
    return left;
  }

  /** Closed, a day old, or not even its opening is whole. A room that only this version can't read is another process's. */
  async #isOver(code: string): Promise<boolean> {
    const room = await this.room(code);
    if (room?.closed) return true;
    const openedAt = room?.openedAt ?? openingOf(await this.#store.after(code, 0))?.event.at;
    return openedAt === undefined || this.#now() - Date.parse(openedAt) > ROOM_LIFE_MS;
  }

  async open(document: unknown, pace: Pace): Promise<Told<{ code: string; hostKey: string }>> {
    const opened = openValue(document, 'fair-sprocket/lesson');
    if (!opened.ok) return trouble('not-a-lesson');
    const lesson = opened.document;
    const event: Opened = {
      kind: 'opened',
      at: new Date(this.#now()).toISOString(),
      title: lesson.title,
      lesson: lessonHash(lesson),
      pace,
    };
    const applied = apply(null, event);
    if (!applied.ok) return trouble(applied.refusal);
    const hostKey = newKey();
    const line: Line = { event, lesson, hostKey: hashed(hostKey) };
    try {
      if ((await this.sweep()) >= MOST_ROOMS) return trouble('too-many-rooms');
      let code = newCode();
      while (!(await this.#store.create(code, line))) code = newCode();
      return told({ code, hostKey });
    } catch {
      return trouble('not-kept');
    }
  }

  /** In turn: the room with all that was kept of it, by whomever. @throws Error when the store does not answer */
  async #current(code: string): Promise<Held | null> {
    const held = this.#held.get(code);
    const lines = (await this.#store.after(code, held?.lines ?? 0)) as Line[] | null;
    if (lines && held) for (const line of lines) take(held, line);
    const now = lines && (held ?? replayed(lines));
    if (now) this.#held.set(code, now);
    else this.#held.delete(code);
    return now;
  }

  #ask<T>(code: string, what: (held: Held) => T): Promise<T | null> {
    return this.#turns.take(code, async () => {
      const held = await this.#current(code);
      return held && what(held);
    });
  }

  room(code: string): Promise<Room | null> {
    return this.#ask(code, ({ room }) => room);
  }

  lesson(code: string): Promise<Lesson | null> {
    return this.#ask(code, ({ lesson }) => lesson);
  }

  async isHost(code: string, key: string): Promise<boolean> {
    return (await this.#ask(code, ({ hostKey }) => same(key, hostKey))) ?? false;
  }

  /** The student whose key this is; `null` for nobody in the room. */
  studentOf(code: string, key: string): Promise<string | null> {
    return this.#ask(code, ({ room, students }) => {
      for (const [student, hash] of students)
        if (same(key, hash)) return room.students.some((s) => s.id === student) ? student : null;
      return null;
    });
  }

  async join(code: string, name: string): Promise<Told<{ student: string; key: string }>> {
    const [student, key] = [newKey(), newKey()];
    const done = await this.happen(code, { kind: 'joined', student, name }, hashed(key));
    return done.ok ? told({ student, key }) : done;
  }

  /** One more event: first into the store, then into the room. */
  happen(code: string, event: RoomEvent, studentKey?: string): Promise<Told<Room>> {
    const line: Line = { event, ...(studentKey === undefined ? {} : { studentKey }) };
    return this.#turns.take(code, async () => {
      try {
        for (;;) {
          const held = await this.#current(code);
          if (!held) return trouble('no-room');
          const applied = apply(held.room, event);
          if (!applied.ok) return trouble(applied.refusal);
          const done = await this.#store.append(code, held.lines, line);
          if (done === 'gone') return trouble('no-room');
          if (done === 'behind') continue;
          take(held, line);
          return told(held.room);
        }
      } catch {
        return trouble('not-kept');
      }
    });
  }

  /** What is under way is done before. */
  async close(): Promise<void> {
    await this.#turns.done();
    this.#held.clear();
    await this.#store.close();
  }
}

/** What one more line of the journal makes of a room; what can't be, never was. */
function take(held: Held, line: Line): void {
  held.lines++;
  const next = apply(held.room, line.event);
  if (!next.ok) return;
  held.room = next.room;
  if (line.event.kind === 'joined' && 'studentKey' in line && line.studentKey !== undefined)
    held.students.set(line.event.student, line.studentKey);
}

/** A room out of its journal; `null` when its opening is not there, or is none that this version can read. */
function replayed(lines: readonly Line[]): Held | null {
  const first = openingOf(lines);
  if (!first) return null;
  const opened = openValue(first.lesson, 'fair-sprocket/lesson');
  const applied = apply(null, first.event);
  if (!opened.ok || !applied.ok) return null;
  const held: Held = {
    room: applied.room,
    lesson: opened.document,
    hostKey: first.hostKey,
    students: new Map(),
    lines: 1,
  };
  for (const line of lines.slice(1)) take(held, line);
  return held;
}
