/** A room ends after a day. */
export const ROOM_LIFE_MS = 24 * 3600 * 1000;

/** How one more line of a room went: it is kept · others came before it · the room is not there (any more). */
export type Appended = 'kept' | 'behind' | 'gone';

/**
 * Where the lines of rooms are kept, each room's in the order in which they were taken. Of two that would take one place, one is
 * kept and the other is told that it is behind: whoever writes has seen everything before it, whichever process that was.
 * Everything throws where nothing can be kept at all.
 */
export interface RoomStore {
  /** Rooms that are there. */
  codes(): Promise<string[]>;
  /** @returns whether the code was free */
  create(code: string, line: unknown): Promise<boolean>;
  /** @param at how many lines the room has had so far */
  append(code: string, at: number, line: unknown): Promise<Appended>;
  /** The lines after the first so many; `null` where the room is not there. */
  after(code: string, at: number): Promise<unknown[] | null>;
  remove(code: string): Promise<void>;
  close(): Promise<void>;
}
