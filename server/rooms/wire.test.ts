import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { io, type Socket } from 'socket.io-client';
import type { Room, StudentView } from '../../core/room';
import { createApp } from '../app';
import { Rooms } from './rooms';
import { storeFrom } from './storeFrom';
import { entry, lesson, question } from './tests/aLesson';
import { PATIENCE_MS, places } from './tests/places';
import { addRoomRoutes, attachRooms } from './wire';

/** A process that serves rooms. */
interface Process {
  readonly url: string;
  readonly rooms: Rooms;
  end(): Promise<void>;
}

async function startProcess(env: Record<string, string>): Promise<Process> {
  const kept = await storeFrom(env);
  const rooms = await Rooms.start(kept.store);
  const app = createApp(tmpdir(), (to) => addRoomRoutes(to, rooms, () => ['http://127.0.0.1:1']));
  const http = createServer(app);
  const live = attachRooms(http, rooms, kept.adapter);
  await new Promise<void>((ready) => http.listen(0, '127.0.0.1', ready));
  return {
    url: `http://127.0.0.1:${(http.address() as AddressInfo).port}`,
    rooms,
    async end() {
      await live.close();
      await rooms.close();
    },
  };
}

const at = places();

describe.each([
  ['a folder', 1, () => ({ DATA: at.dir })],
  ['Redis', 1, () => ({ REDIS_URL: at.redisUrl })],
  ['Redis, two processes', 2, () => ({ REDIS_URL: at.redisUrl })],
])('rooms in %s', (_name, count, env) => {
  const processes: Process[] = [];
  const open: Socket[] = [];
  beforeEach(async () => {
    for (let k = 0; k < count; k++) processes.push(await startProcess(env()));
  });
  afterEach(async () => {
    for (const socket of open.splice(0)) socket.disconnect();
    for (const one of processes.splice(0)) await one.end();
  });

  const post = (body: unknown) =>
    fetch(`${processes[0]!.url}/rooms`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const opening = async () =>
    (await (await post({ lesson, pace: 'led' })).json()) as { code: string; hostKey: string };
  /** Devices come to one process after the other. */
  const socket = (options: object = {}, to = open.length % count): Socket => {
    const own = io(processes[to]!.url, {
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
    own.timeout(PATIENCE_MS).emitWithAck('enter', entrance) as Promise<Answer>;
  const act = (own: Socket, action: object): Promise<Answer> =>
    own.timeout(PATIENCE_MS).emitWithAck('act', action) as Promise<Answer>;
  const commit = (own: Socket, message: object): Promise<Answer> =>
    own.timeout(PATIENCE_MS).emitWithAck('commit', message) as Promise<Answer>;
  /** What a socket hears, and a wait until the last of it is so: however slow the machine, no longer than it takes. */
  const hears = <T>(own: Socket) => {
    const heard: T[] = [];
    own.on('room', (value: T) => heard.push(value));
    const until = async (isSo: (last: T | undefined) => boolean): Promise<T | undefined> => {
      const patience = Date.now() + PATIENCE_MS;
      while (!isSo(heard.at(-1)) && Date.now() < patience)
        await new Promise((done) => setTimeout(done, 5));
      return heard.at(-1);
    };
    return { heard, until };
  };

  test('ask, commit, vote again, reveal: no student hears of another’s name or answer', async () => {
    const { code, hostKey } = await opening();
    const host = socket();
    expect(await enter(host, { code, host: hostKey })).toMatchObject({ ok: true });
    const [ina, bo] = [socket(), socket()];
    await enter(ina, { code, name: ' Ina  Hawse ' });
    const { view } = await enter(bo, { code, name: 'Bo' });
    expect(view).toMatchObject({ name: 'Bo', counts: { inside: 2, committed: 0 }, turn: null });
    const atHost = hears<Room>(host);
    const atBo = hears<{ turn: { revealed: boolean } | null }>(bo);
    expect(await commit(ina, { vote: 1, entry: entry(4) })).toEqual({
      ok: false,
      why: 'not-asked',
    });
    await act(host, { kind: 'asked', question });
    expect(await commit(ina, { vote: 1, entry: entry(4) })).toEqual({ ok: true });
    const whole = await atHost.until((room) => room?.commits.length === 1);
    expect(whole?.commits).toMatchObject([{ vote: 1, entry: { answer: { value: 4 } } }]);
    expect(await commit(ina, { vote: 1, entry: entry(5) })).toEqual({
      ok: false,
      why: 'committed-already',
    });
    await act(host, { kind: 'voted-again' });
    expect(await commit(ina, { vote: 2, entry: entry(5) })).toEqual({ ok: true });
    await act(host, { kind: 'revealed' });
    expect(await commit(bo, { vote: 2, entry: entry(5) })).toEqual({ ok: false, why: 'revealed' });
    await atBo.until((view) => view?.turn?.revealed === true);
    expect(JSON.stringify(atBo.heard)).not.toMatch(/Ina|"value":4|"value":5/);
    expect(atBo.heard.at(-1)).toMatchObject({ turn: { revealed: true, vote: 2 }, commits: [] });
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
    const { students } = (await processes.at(-1)!.rooms.room(code))!;
    const atDoor = hears<unknown>(again);
    await act(host, { kind: 'removed', student: students[0]!.id });
    expect(await atDoor.until((view) => view === null)).toBeNull();
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
    const guesser = socket({}, 0);
    const answers: string[] = [];
    for (let k = 0; k < 30; k++)
      answers.push((await enter(guesser, { code: 'AAAAA2', name: 'x' })).why!);
    const other = socket({}, 0);
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
    expect(await (await fetch(`${processes.at(-1)!.url}/rooms/${code}/lesson`)).json()).toEqual(
      lesson,
    );
    expect((await fetch(`${processes.at(-1)!.url}/rooms/AAAAA2/lesson`)).status).toBe(404);
    expect((await fetch(`${processes.at(-1)!.url}/rooms/..%2f..%2fetc/lesson`)).status).toBe(404);
    expect(await (await fetch(`${processes.at(-1)!.url}/rooms/where`)).json()).toEqual({
      addresses: ['http://127.0.0.1:1'],
    });
  });

  test('forty commit at once: each is kept once, in every process alike', async () => {
    const { code, hostKey } = await opening();
    const host = socket();
    await enter(host, { code, host: hostKey });
    const students = Array.from({ length: 40 }, () => socket());
    const entered = await Promise.all(
      students.map((own, k) => enter(own, { code, name: `Student ${k}` })),
    );
    expect(entered.every((e) => e.ok)).toBe(true);
    await act(host, { kind: 'asked', question });
    const told = await Promise.all(
      students.flatMap((own, k) =>
        // A finger that presses twice.
        [k, k].map((value) => commit(own, { vote: 1, entry: entry(value) })),
      ),
    );
    expect(told.filter((t) => t.ok)).toHaveLength(40);
    expect(new Set(told.flatMap((t) => t.why ?? []))).toEqual(new Set(['committed-already']));
    const rooms = await Promise.all(processes.map((p) => p.rooms.room(code)));
    for (const room of rooms) {
      expect(room).toEqual(rooms[0]);
      expect(new Set(room!.commits.map((c) => c.student)).size).toBe(40);
    }
    // Two of one name, wherever they come in: one is in.
    const twins = await Promise.all(
      [socket(), socket()].map((own) => enter(own, { code, name: 'Ina' })),
    );
    expect(twins.map((t) => t.why ?? 'in').sort()).toEqual(['in', 'name-taken']);
  });
});
