import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { io, type Socket } from 'socket.io-client';
import { createApp } from '../server/app';
import { Rooms } from '../server/rooms/rooms';
import { addRoomRoutes, attachRooms } from '../server/rooms/wire';

const STUDENTS = 40;

/** Forty students of one room commit at once: how long each waits until it is on the disk and acknowledged. */
export async function benchRoom(): Promise<void> {
  const dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
  const rooms = new Rooms(dir);
  const server = createServer(createApp(dir, (to) => addRoomRoutes(to, rooms, () => [])));
  const live = attachRooms(server, rooms);
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const lesson = JSON.parse(readFileSync('demo/lessons/hold-one-drive-one.json', 'utf8')) as {
    steps: { blocks: { kind: string; id: string }[] }[];
  };
  const question = lesson.steps.flatMap((s) => s.blocks).find((b) => b.kind === 'question')!.id;
  const opened = rooms.open(lesson, 'led');
  if (!opened.ok) throw new Error(opened.why);
  const { code } = opened.value;
  const sockets: Socket[] = [];
  for (let k = 0; k < STUDENTS; k++) {
    const socket = io(url, { transports: ['websocket'], forceNew: true });
    sockets.push(socket);
    await socket.timeout(10_000).emitWithAck('enter', { code, name: `Student ${k}` });
  }
  rooms.happen(code, { kind: 'asked', question });
  const waits = await Promise.all(
    sockets.map(async (socket, k) => {
      const began = performance.now();
      const entry = {
        question,
        round: 0,
        answer: { kind: 'number', value: 2 + k / 10, direction: 'same' },
        confidence: 'certain',
        at: '2030-01-01T08:00:00.000Z',
        score: 0,
      };
      await socket.timeout(20_000).emitWithAck('commit', { vote: 1, entry });
      return performance.now() - began;
    }),
  );
  waits.sort((a, b) => a - b);
  const at = (share: number) =>
    waits[Math.min(waits.length - 1, Math.floor(share * waits.length))]!;
  console.log(
    `room: ${STUDENTS} students commit at once; acknowledged after ${at(0.5).toFixed(0)} ms at the median, ${at(0.95).toFixed(0)} ms at the 95th percentile`,
  );
  for (const socket of sockets) socket.disconnect();
  await live.close();
  rooms.close();
  rmSync(dir, { recursive: true, force: true });
}
