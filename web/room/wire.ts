import type { Socket } from 'socket.io-client';
import type { Lesson } from '../../core/lesson';
import { openValue } from '../../core/formats';
import type { Pace } from '../../core/room';

/** What a page asks of the server that it came from. */

export class RoomTrouble extends Error {}

async function answered(response: Response): Promise<unknown> {
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body;
  const why = (body as { why?: unknown } | null)?.why;
  throw new RoomTrouble(typeof why === 'string' ? why : 'no-server');
}

const asked = (path: string, init?: RequestInit): Promise<unknown> =>
  fetch(path, init).then(answered, () => {
    throw new RoomTrouble('no-server');
  });

/** @throws RoomTrouble with the reason's code */
export const openRoom = async (
  lesson: Lesson,
  pace: Pace,
): Promise<{ code: string; hostKey: string }> =>
  (await asked('/rooms', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ lesson, pace }),
  })) as { code: string; hostKey: string };

/** The lesson of a room, checked as every file is. @throws RoomTrouble with the reason's code */
export async function lessonOfRoom(code: string): Promise<Lesson> {
  const opened = openValue(await asked(`/rooms/${code}/lesson`), 'fair-sprocket/lesson');
  if (!opened.ok) throw new RoomTrouble('not-a-lesson');
  return opened.document;
}

/** Addresses of this server, those of the shop's network after this machine's own. */
export const addressesOfServer = async (): Promise<string[]> =>
  ((await asked('/rooms/where')) as { addresses: string[] }).addresses;

export async function newSocket(): Promise<Socket> {
  const { io } = await import('socket.io-client');
  return io({
    autoConnect: false,
    reconnectionDelay: 500,
    reconnectionDelayMax: 3000,
    // One connection meets one process, where a school has several; where none can be held open, requests have to do.
    transports: ['websocket', 'polling'],
    tryAllTransports: true,
  });
}
