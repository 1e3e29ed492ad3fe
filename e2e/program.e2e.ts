import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import https from 'node:https';
import { createServer, type AddressInfo, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { io } from 'socket.io-client';
import { randomFromSeed } from '../core/numerics';
import type { Room } from '../core/room';
import { PATIENCE_MS } from './browser';
import { lesson } from '../server/rooms/tests/aLesson';
import { certificate } from '../server/rooms/tests/certificate';

/** The program as it is built and started in a shop. */
const dir = mkdtempSync(path.join(tmpdir(), 'program-'));
afterAll(() => rmSync(dir, { recursive: true }));

/** Ended with the test, whatever becomes of it. */
const left: (() => void)[] = [];
afterEach(() => left.splice(0).forEach((end) => end()));
const start = (env: Record<string, string>) => {
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, DATA: path.join(dir, 'data'), ...env },
  });
  left.push(() => child.kill('SIGKILL'));
  const lines: string[] = [];
  const said = (pattern: RegExp) =>
    new Promise<string>((done) => {
      const check = () => {
        const hit = lines.join('').match(pattern);
        if (hit) done(hit[0]);
      };
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (d: Buffer) => {
          lines.push(d.toString());
          check();
        });
    });
  const ended = new Promise<number | null>((done) => child.once('exit', (code) => done(code)));
  return { child, said, ended };
};

test('prints its address and ends cleanly on SIGTERM', async () => {
  const { child, said, ended } = start({ PORT: '0' });
  const address = await said(/http:\/\/127\.0\.0\.1:\d+/);
  expect((await fetch(address)).status).toBe(200);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
});

test('with a certificate it speaks TLS, and says so in its address', async () => {
  const tls = certificate(dir, 'program', 2);
  const { child, said, ended } = start({ PORT: '0', ...tls });
  const address = await said(/https:\/\/127\.0\.0\.1:\d+/);
  const where = await new Promise<string>((done, fail) =>
    https
      .get(`${address}/rooms/where`, { ca: readFileSync(tls.TLS_CERT) }, (res) =>
        res.setEncoding('utf8').on('data', done),
      )
      .on('error', fail),
  );
  expect(JSON.parse(where)).toEqual({ addresses: [address] });
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
  const half = start({ PORT: '0', TLS_CERT: tls.TLS_CERT });
  const told = half.said(/TLS_KEY is missing/);
  expect(await half.ended).toBe(1);
  await told;
});

test('killed while a class comes in, again and again: whoever was told so is in', async () => {
  const random = randomFromSeed('server kills');
  const env = { PORT: '0', DATA: path.join(dir, 'killed') };
  let room: { code: string; hostKey: string } | null = null;
  const told: string[] = [];
  for (let round = 0; round < 4; round++) {
    const { child, said, ended } = start(env);
    const address = await said(/http:\/\/127\.0\.0\.1:\d+/);
    const socket = () => {
      const own = io(address, { transports: ['websocket'], forceNew: true });
      left.push(() => own.disconnect());
      return own;
    };
    room ??= (await fetch(`${address}/rooms`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ lesson, pace: 'led' }),
    }).then((res) => res.json())) as { code: string; hostKey: string };
    const { code, hostKey } = room;
    const host = socket();
    const there = (await host.emitWithAck('enter', { code, host: hostKey })) as { room: Room };
    expect(there.room.students.map((s) => s.name)).toEqual(expect.arrayContaining(told));
    for (let k = 0; k < 30; k++) {
      const name = `Student ${round}.${k}`;
      socket().emit('enter', { code, name }, (answer: { ok: boolean }) => {
        if (answer.ok) told.push(name);
      });
    }
    // Somewhere in the middle of them.
    const few = told.length + random.whole(1, 20);
    const patience = Date.now() + PATIENCE_MS;
    while (told.length < few && Date.now() < patience)
      await new Promise((done) => setTimeout(done, 1));
    child.kill('SIGKILL');
    await ended;
  }
  expect(told.length).toBeGreaterThan(8);
});

test('a busy port and a bad port are told in plain words', async () => {
  const blocker: Server = createServer().listen(0, '127.0.0.1');
  await new Promise((done) => blocker.once('listening', done));
  const busy = start({ PORT: String((blocker.address() as AddressInfo).port) });
  const bad = start({ PORT: 'harbour' });
  const told = [busy.said(/already in use/), bad.said(/PORT must be a whole number/)];
  expect(await Promise.all([busy.ended, bad.ended])).toEqual([1, 1]);
  expect(await Promise.all(told)).toEqual(['already in use', 'PORT must be a whole number']);
  blocker.close();
});
