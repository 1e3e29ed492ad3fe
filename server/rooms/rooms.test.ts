import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server as HttpServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { io, type Socket } from 'socket.io-client';
import type { AttemptAnswer, Lesson } from '../../core/lesson';
import { randomFromSeed } from '../../core/numerics';
import type { Room, StudentView } from '../../core/room';
import { createApp } from '../app';
import { Rooms } from './rooms';
import { addRoomRoutes, attachRooms } from './wire';
import { demoFile } from '../../core/tests/demoFile';

const lesson = demoFile<Lesson>('lessons/hold-one-drive-one');
const question = lesson.steps.flatMap((s) => s.blocks).find((b) => b.kind === 'question')!.id;
/** Quick to open a thousand times. */
const short: Lesson = { ...lesson, steps: [{ id: 's', title: 'S', blocks: [] }] };
const entry = (value: number, of = question): AttemptAnswer => ({
  question: of,
  round: 0,
  answer: { kind: 'number', value, direction: 'same' },
  confidence: 'certain',
  at: '2030-01-01T08:00:00.000Z',
  score: 0,
});

let dir: string;
beforeEach(() => {
  dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
});
afterEach(() => rmSync(dir, { recursive: true, force: true }));

const opened = (rooms: Rooms, of = lesson) => {
  const told = rooms.open(of, 'led');
  if (!told.ok) throw new Error(told.why);
  return told.value;
};
const joined = (rooms: Rooms, code: string, name: string) => {
  const told = rooms.join(code, name);
  if (!told.ok) throw new Error(told.why);
  return told.value;
};

test('a server that comes back has its rooms, keys and answers as they were', () => {
  const rooms = new Rooms(dir);
  const { code, hostKey } = opened(rooms);
  const ina = joined(rooms, code, 'Ina');
  rooms.happen(code, { kind: 'asked', question });
  rooms.happen(code, { kind: 'committed', student: ina.student, vote: 1, entry: entry(4) });
  const before = rooms.room(code);
  rooms.close();
  const again = new Rooms(dir);
  expect(again.room(code)).toEqual(before);
  expect(again.lesson(code)).toEqual(lesson);
  expect([again.isHost(code, hostKey), again.isHost(code, `${hostKey}x`)]).toEqual([true, false]);
  expect(again.studentOf(code, ina.key)).toBe(ina.student);
  expect(again.studentOf(code, hostKey)).toBeNull();
  again.close();
  // No key stands in the journal as it is.
  const text = readFileSync(path.join(dir, readdirSync(dir)[0]!), 'utf8');
  expect(text).not.toContain(hostKey);
  expect(text).not.toContain(ina.key);
});

test('broken off at any byte, nothing that was acknowledged is lost, and it goes on from there', () => {
  const rooms = new Rooms(dir);
  const { code } = opened(rooms, short);
  const file = path.join(dir, readdirSync(dir)[0]!);
  /** Bytes on the disk when each was acknowledged, and the room then. */
  const acknowledged = [{ size: readFileSync(file).length, room: rooms.room(code) }];
  for (let k = 0; k < 12; k++) {
    joined(rooms, code, `Student ${k}`);
    acknowledged.push({ size: readFileSync(file).length, room: rooms.room(code) });
  }
  rooms.close();
  const whole = readFileSync(file);
  const random = randomFromSeed('kills');
  for (let k = 0; k < 1000; k++) {
    const at = random.whole(acknowledged[0]!.size, whole.length);
    // Sometimes the disk had begun a line that makes no sense.
    const torn = random.next() < 0.3 ? Buffer.from('{"event":{"ki') : Buffer.alloc(0);
    writeFileSync(file, Buffer.concat([whole.subarray(0, at), torn]));
    const back = new Rooms(dir);
    const known = acknowledged.findLast((a) => a.size <= at)!;
    expect(back.room(code)).toEqual(known.room);
    if (k % 100 === 0) {
      joined(back, code, 'Late');
      back.close();
      const later = new Rooms(dir);
      expect(later.room(code)!.students.at(-1)!.name).toBe('Late');
      later.close();
    } else back.close();
  }
});

test('a journal of which not even the opening is whole is no room', () => {
  const rooms = new Rooms(dir);
  opened(rooms);
  rooms.close();
  const file = path.join(dir, readdirSync(dir)[0]!);
  writeFileSync(file, readFileSync(file).subarray(0, 200));
  expect(new Rooms(dir).count).toBe(0);
  expect(readdirSync(dir)).toEqual([]);
});

test('a disk that is full: what can’t be kept does not count, and is told', () => {
  const rooms = new Rooms(dir);
  const { code } = opened(rooms);
  rooms.close();
  const again = new Rooms(dir);
  joined(again, code, 'Ina');
  const before = again.room(code);
  const write = JSON.stringify;
  JSON.stringify = () => {
    throw new Error('ENOSPC');
  };
  const told = again.join(code, 'Bo');
  JSON.stringify = write;
  expect(told).toEqual({ ok: false, why: 'not-kept' });
  expect(again.room(code)).toEqual(before);
  expect(joined(again, code, 'Bo').student).toBeTruthy();
  again.close();
});

test('rooms end after a day, or when they are closed; a clock that runs back ends none', () => {
  let now = Date.parse('2030-01-01T08:00:00Z');
  const rooms = new Rooms(dir, () => now);
  const one = opened(rooms);
  now -= 3600_000;
  const two = opened(rooms);
  rooms.happen(two.code, { kind: 'closed' });
  rooms.sweep();
  expect([rooms.room(one.code) !== null, rooms.room(two.code)]).toEqual([true, null]);
  now += 26 * 3600_000;
  rooms.sweep();
  expect(rooms.count).toBe(0);
  expect(readdirSync(dir)).toEqual([]);
  expect(rooms.open({ format: 'something else' }, 'led')).toEqual({
    ok: false,
    why: 'not-a-lesson',
  });
  rooms.close();
});

describe('over the wire', () => {
  let http: HttpServer;
  let rooms: Rooms;
  let url: string;
  const open: Socket[] = [];
  let close: () => Promise<void>;
  beforeEach(async () => {
    rooms = new Rooms(dir);
    const app = createApp(dir, (to) => addRoomRoutes(to, rooms, () => ['http://127.0.0.1:1']));
    http = createServer(app);
    const live = attachRooms(http, rooms);
    await new Promise<void>((ready) => http.listen(0, '127.0.0.1', ready));
    url = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
    close = () => live.close();
  });
  afterEach(async () => {
    for (const socket of open.splice(0)) socket.disconnect();
    await close();
    rooms.close();
  });

  const post = (body: unknown) =>
    fetch(`${url}/rooms`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const opening = async () =>
    (await (await post({ lesson, pace: 'led' })).json()) as { code: string; hostKey: string };
  const socket = (options: object = {}): Socket => {
    const own = io(url, {
      transports: ['websocket'],
      forceNew: true,
      reconnection: false,
      ...options,
    });
    open.push(own);
    return own;
  };
  type Answer = { ok: boolean; why?: string; key?: string; room?: Room; view?: StudentView };
  const enter = (own: Socket, entrance: object): Promise<Answer> =>
    own.timeout(5000).emitWithAck('enter', entrance) as Promise<Answer>;
  const act = (own: Socket, action: object): Promise<Answer> =>
    own.timeout(5000).emitWithAck('act', action) as Promise<Answer>;
  const commit = (own: Socket, message: object): Promise<Answer> =>
    own.timeout(5000).emitWithAck('commit', message) as Promise<Answer>;
  const next = <T>(own: Socket): Promise<T> =>
    new Promise((done) => own.once('room', (value: T) => done(value)));

  test('ask, commit, vote again, reveal: no student hears of another’s name or answer', async () => {
    const { code, hostKey } = await opening();
    const host = socket();
    expect(await enter(host, { code, host: hostKey })).toMatchObject({ ok: true });
    const [ina, bo] = [socket(), socket()];
    await enter(ina, { code, name: ' Ina  Hawse ' });
    const { view } = await enter(bo, { code, name: 'Bo' });
    expect(view).toMatchObject({ name: 'Bo', counts: { inside: 2, committed: 0 }, turn: null });
    const heard: unknown[] = [];
    bo.on('room', (v) => heard.push(v));
    expect(await commit(ina, { vote: 1, entry: entry(4) })).toEqual({
      ok: false,
      why: 'not-asked',
    });
    await act(host, { kind: 'asked', question });
    const whole = next<Room>(host);
    expect(await commit(ina, { vote: 1, entry: entry(4) })).toEqual({ ok: true });
    expect((await whole).commits).toMatchObject([{ vote: 1, entry: { answer: { value: 4 } } }]);
    expect(await commit(ina, { vote: 1, entry: entry(5) })).toEqual({
      ok: false,
      why: 'committed-already',
    });
    await act(host, { kind: 'voted-again' });
    expect(await commit(ina, { vote: 2, entry: entry(5) })).toEqual({ ok: true });
    await act(host, { kind: 'revealed' });
    expect(await commit(bo, { vote: 2, entry: entry(5) })).toEqual({ ok: false, why: 'revealed' });
    await new Promise((done) => setTimeout(done, 100));
    expect(JSON.stringify(heard)).not.toMatch(/Ina|"value":4|"value":5/);
    expect(heard.at(-1)).toMatchObject({ turn: { revealed: true, vote: 2 }, commits: [] });
  });

  test('one who reloads falls back into place; one who is taken out hears no more', async () => {
    const { code, hostKey } = await opening();
    const host = socket();
    await enter(host, { code, host: hostKey });
    const first = socket();
    const { key } = await enter(first, { code, name: 'Ina' });
    await act(host, { kind: 'asked', question });
    await commit(first, { vote: 1, entry: entry(4) });
    first.disconnect();
    const again = socket();
    const back = await enter(again, { code, student: key! });
    expect(back.view).toMatchObject({ name: 'Ina', commits: [{ vote: 1 }], counts: { inside: 1 } });
    const { students } = rooms.room(code)!;
    const gone = next(again);
    await act(host, { kind: 'removed', student: students[0]!.id });
    expect(await gone).toBeNull();
    expect(await enter(socket(), { code, student: key! })).toEqual({
      ok: false,
      why: 'unknown-student',
    });
    await act(host, { kind: 'locked', locked: true });
    expect(await enter(socket(), { code, name: 'Late' })).toEqual({ ok: false, why: 'locked' });
  });

  test('only the opener leads: no key, no word; nonsense and another page are refused', async () => {
    const { code } = await opening();
    const stranger = socket();
    expect(await enter(stranger, { code, host: 'a'.repeat(24) })).toEqual({
      ok: false,
      why: 'not-the-host',
    });
    expect(await enter(stranger, { code, name: 'Ina' })).toMatchObject({ ok: true });
    const silent: unknown = await stranger
      .timeout(300)
      .emitWithAck('act', { kind: 'revealed' })
      .catch(() => 'no answer');
    expect(silent).toBe('no answer');
    for (const odd of [null, 7, { code: 'x' }, { code, name: 'x'.repeat(5000) }, { code, name: 1 }])
      expect((await enter(socket(), odd as never)).ok).toBe(false);
    expect((await commit(stranger, { vote: 3, entry: entry(1) })).why).toBe('not-understood');
    const foreign = socket({ extraHeaders: { origin: 'http://elsewhere.example' } });
    expect(await new Promise((done) => foreign.once('connect_error', () => done('refused')))).toBe(
      'refused',
    );
  });

  test('forty wrong codes from one place, and it is asked to wait', async () => {
    const guesser = socket();
    const answers: string[] = [];
    for (let k = 0; k < 30; k++)
      answers.push((await enter(guesser, { code: 'AAAAA2', name: 'x' })).why!);
    const other = socket();
    for (let k = 0; k < 12; k++)
      answers.push((await enter(other, { code: 'AAAAA3', name: 'x' })).why!);
    expect(answers.slice(0, 40).every((w) => w === 'no-room')).toBe(true);
    expect(answers.slice(40)).toEqual(['too-often', 'too-often']);
  });

  test('a message of four megabytes, and a lesson of nine, are refused; the room goes on', async () => {
    const { code } = await opening();
    const ina = socket();
    await enter(ina, { code, name: 'Ina' });
    const lost = new Promise((done) => ina.once('disconnect', done));
    ina.emit('commit', { vote: 1, entry: 'x'.repeat(4 * 1024 * 1024) }, () => undefined);
    await lost;
    const big = await post({
      lesson: { ...lesson, summary: 'x'.repeat(9 * 1024 * 1024) },
      pace: 'led',
    });
    expect(big.status).toBe(413);
    expect((await post({ lesson: 7, pace: 'led' })).status).toBe(400);
    expect(await enter(socket(), { code, name: 'Bo' })).toMatchObject({ ok: true });
  });

  test('its lesson is fetched by code; what does not exist is told', async () => {
    const { code } = await opening();
    expect(await (await fetch(`${url}/rooms/${code}/lesson`)).json()).toEqual(lesson);
    expect((await fetch(`${url}/rooms/AAAAA2/lesson`)).status).toBe(404);
    expect((await fetch(`${url}/rooms/..%2f..%2fetc/lesson`)).status).toBe(404);
    expect(await (await fetch(`${url}/rooms/where`)).json()).toEqual({
      addresses: ['http://127.0.0.1:1'],
    });
  });
});
