import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { io, type Socket } from 'socket.io-client';
import { startRedis } from '../server/rooms/tests/startRedis';

const LESSON = JSON.parse(readFileSync('demo/lessons/hold-one-drive-one.json', 'utf8')) as {
  steps: { blocks: { kind: string; id: string }[] }[];
};
const QUESTION = LESSON.steps.flatMap((s) => s.blocks).find((b) => b.kind === 'question')!.id;
const STUDENTS = 40;

/** `npm start` as a school would run it, and its address. */
async function startProcess(
  env: Record<string, string>,
): Promise<{ child: ChildProcess; url: string }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    env: { ...process.env, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((done) =>
    child.stdout.on('data', (said: Buffer) => {
      const address = /http:\/\/\S+/.exec(said.toString());
      if (address) done(address[0]);
    }),
  );
  return { child, url };
}

const emit = (socket: Socket, what: string, message: object): Promise<unknown> =>
  socket.timeout(60_000).emitWithAck(what, message);

/** A room at one process, and its students, spread over all; everyone has been asked. */
async function openRoom(urls: readonly string[]): Promise<Socket[]> {
  const response = await fetch(`${urls[0]!}/rooms`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ lesson: LESSON, pace: 'led' }),
  });
  const { code, hostKey } = (await response.json()) as { code: string; hostKey: string };
  const device = (k: number) =>
    io(urls[k % urls.length], { transports: ['websocket'], forceNew: true });
  const students = Array.from({ length: STUDENTS }, (_, k) => device(k));
  for (const [k, own] of students.entries()) await emit(own, 'enter', { code, name: `No. ${k}` });
  const host = device(0);
  await emit(host, 'enter', { code, host: hostKey });
  await emit(host, 'act', { kind: 'asked', question: QUESTION });
  host.disconnect();
  return students;
}

/** How long one waits from pressing to being told that it is kept, ms. */
async function commit(own: Socket): Promise<number> {
  const began = performance.now();
  const answer = { kind: 'number', value: 3, direction: 'same' };
  const [at, confidence] = ['2030-01-01T08:00:00.000Z', 'certain'];
  const entry = { question: QUESTION, round: 0, answer, confidence, at, score: 0 };
  const told = (await emit(own, 'commit', { vote: 1, entry })) as { ok: boolean };
  if (!told.ok) throw new Error('bench: a commit was refused');
  return performance.now() - began;
}

/** Students of all rooms commit at once: how long each waits until it is kept and acknowledged. */
async function committing(
  name: string,
  rooms: number,
  processes: number,
  env: Record<string, string>,
): Promise<void> {
  const started = await Promise.all(Array.from({ length: processes }, () => startProcess(env)));
  const students: Socket[] = [];
  for (let k = 0; k < rooms; k++) {
    const urls = started.map((s) => s.url);
    students.push(...(await openRoom(urls)));
  }
  const waits = (await Promise.all(students.map(commit))).sort((a, b) => a - b);
  const at = (share: number) =>
    waits[Math.min(waits.length - 1, Math.floor(share * waits.length))]!;
  console.log(
    `rooms, ${name}: ${students.length} students commit at once; acknowledged after ${at(0.5).toFixed(0)} ms at the median, ${at(0.95).toFixed(0)} ms at the 95th percentile`,
  );
  for (const own of students) own.disconnect();
  await Promise.all(
    started.map(({ child }) => {
      child.kill('SIGTERM');
      return new Promise((done) => child.once('exit', done));
    }),
  );
}

export async function benchRooms(): Promise<void> {
  const dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
  await committing('one in a folder', 1, 1, { DATA: dir });
  const redis = await startRedis();
  await committing('one over Redis at two processes', 1, 2, { REDIS_URL: redis.url });
  await committing('25 over Redis at two processes', 25, 2, { REDIS_URL: redis.url });
  await redis.end();
  rmSync(dir, { recursive: true, force: true });
}
