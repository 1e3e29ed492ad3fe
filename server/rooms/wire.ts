import type { Server as HttpServer } from 'node:http';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Server, type DefaultEventsMap, type ServerOptions, type Socket } from 'socket.io';
import {
  hostAction,
  roomCode,
  roomCommit,
  roomEntrance,
  roomOpening,
  type RoomEntrance,
} from '../../core/formats';
import { studentView, type RoomEvent } from '../../core/room';
import type { Rooms, Told } from './rooms';

/** A lesson at most; one message of a student at most. */
const LESSON_BYTES = '8mb';
const MESSAGE_BYTES = 256 * 1024;
/** Tries of a wrong code from one address, and rooms opened from it, in so many minutes. */
const WRONG_CODES = 40;
const OPENINGS = 60;
const WINDOW_MS = 10 * 60 * 1000;

/** What is known of a connection. */
interface Known {
  /** Has asked to be let in, or is. */
  entering?: boolean;
  code?: string;
  student?: string;
}
interface BetweenProcesses {
  kept: (code: string) => void;
}
type Io = Server<DefaultEventsMap, DefaultEventsMap, BetweenProcesses, Known>;
type Wire = Socket<DefaultEventsMap, DefaultEventsMap, BetweenProcesses, Known>;

type Ack = (answer: unknown) => void;
const isAck = (value: unknown): value is Ack => typeof value === 'function';

const limit = (most: number, skipGood: boolean) =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit: most,
    skipSuccessfulRequests: skipGood,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    message: { why: 'too-often' },
  });

/**
 * Opening a room and fetching its lesson, over plain HTTP.
 * @param addresses under which this server is reached
 */
export function addRoomRoutes(app: Express, rooms: Rooms, addresses: () => string[]): void {
  app.get('/rooms/where', (_req, res) => {
    res.set('Cache-Control', 'no-store').json({ addresses: addresses() });
  });
  app.post(
    '/rooms',
    limit(OPENINGS, false),
    express.json({ limit: LESSON_BYTES, strict: true }),
    async (req, res) => {
      const asked = roomOpening.safeParse(req.body);
      if (!asked.success) {
        res.status(400).json({ why: 'not-a-lesson' });
        return;
      }
      const opened = await rooms.open(asked.data.lesson, asked.data.pace);
      if (opened.ok) res.status(201).set('Cache-Control', 'no-store').json(opened.value);
      else res.status(opened.why === 'not-kept' ? 507 : 400).json({ why: opened.why });
    },
  );
  app.get('/rooms/:code/lesson', limit(WRONG_CODES, true), async (req, res) => {
    const code = roomCode.safeParse(req.params['code']);
    res.set('Cache-Control', 'no-store');
    try {
      const lesson = code.success ? await rooms.lesson(code.data) : null;
      if (lesson) res.json(lesson);
      else res.status(404).json({ why: 'no-room' });
    } catch {
      res.status(503).json({ why: 'not-kept' });
    }
  });
}

/** Messages of one device in so many ms: a finger is slower. */
const MESSAGES = 40;
const MESSAGES_MS = 10_000;

/** Counts wrong codes by address; a whole class behind one address is let in by right ones. */
class WrongCodes {
  readonly #since = new Map<string, { at: number; count: number }>();

  tooMany(address: string): boolean {
    const known = this.#since.get(address);
    if (known && Date.now() - known.at > WINDOW_MS) this.#since.delete(address);
    return (this.#since.get(address)?.count ?? 0) >= WRONG_CODES;
  }

  add(address: string): void {
    const known = this.#since.get(address);
    if (known) known.count++;
    else this.#since.set(address, { at: Date.now(), count: 1 });
    if (this.#since.size > 10_000) this.#since.clear();
  }
}

/** One process's part in its rooms. */
interface Live {
  readonly io: Io;
  readonly rooms: Rooms;
  /** Whether other processes have devices of the same rooms. */
  readonly shared: boolean;
  /** Rooms whose devices are told within moments. */
  readonly due: Set<string>;
}

/**
 * Everything that is live in a room.
 * @param adapter how processes that share their rooms hear of each other; left out, there is this one
 */
export function attachRooms(
  http: HttpServer,
  rooms: Rooms,
  adapter?: ServerOptions['adapter'],
): Io {
  const io: Io = new Server(http, {
    ...(adapter ? { adapter } : {}),
    maxHttpBufferSize: MESSAGE_BYTES,
    serveClient: false,
    // Only pages of this very server: others send another origin.
    allowRequest: (req, done) => {
      const { origin, host } = req.headers;
      done(null, origin === undefined || sameHost(origin, host));
    },
  });
  const live: Live = { io, rooms, shared: adapter !== undefined, due: new Set() };
  const wrong = new WrongCodes();
  // Another process has kept something: its devices are told by it, ours by us.
  io.on('kept', (code: string) => tellSoon(live, code));
  io.on('connection', (socket) => {
    let [began, count] = [Date.now(), 0];
    socket.use((_event, next) => {
      if (Date.now() - began > MESSAGES_MS) [began, count] = [Date.now(), 0];
      if (++count > MESSAGES) socket.disconnect(true);
      else next();
    });
    socket.on('enter', (message: unknown, ack: unknown) => {
      if (!isAck(ack)) return;
      const address = socket.handshake.address;
      if (wrong.tooMany(address)) {
        ack({ ok: false, why: 'too-often' });
        return;
      }
      const entrance = roomEntrance.safeParse(message);
      if (!entrance.success || socket.data.entering) {
        ack({ ok: false, why: 'not-understood' });
        return;
      }
      socket.data.entering = true;
      enter(live, socket, entrance.data).then(
        (answer) => {
          if (!answer.ok) socket.data.entering = false;
          if (answer.why === 'no-room' || answer.why === 'not-the-host') wrong.add(address);
          ack(answer);
        },
        () => {
          socket.data.entering = false;
          ack({ ok: false, why: 'not-kept' });
        },
      );
    });
  });
  return io;
}

function sameHost(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** What a device hears of its request. */
type Answer = { readonly ok: boolean; readonly why?: string } & Record<string, unknown>;

async function enter(live: Live, socket: Wire, entrance: RoomEntrance): Promise<Answer> {
  const { rooms } = live;
  const { code } = entrance;
  if (!(await rooms.room(code))) return { ok: false, why: 'no-room' };
  if ('host' in entrance) {
    if (!(await rooms.isHost(code, entrance.host))) return { ok: false, why: 'not-the-host' };
    asHost(live, socket, code);
    return { ok: true, room: await rooms.room(code) };
  }
  const joined: Told<{ student: string; key: string }> =
    'name' in entrance
      ? await rooms.join(code, entrance.name)
      : await comeBack(rooms, code, entrance.student);
  if (!joined.ok) return { ok: false, why: joined.why };
  const { student, key } = joined.value;
  asStudent(live, socket, code, student);
  tell(live, code);
  const room = await rooms.room(code);
  return { ok: true, key, view: room && studentView(room, student) };
}

async function comeBack(
  rooms: Rooms,
  code: string,
  key: string,
): Promise<Told<{ student: string; key: string }>> {
  const student = await rooms.studentOf(code, key);
  return student === null
    ? { ok: false, why: 'unknown-student' }
    : { ok: true, value: { student, key } };
}

/** Answers one kind of message: what it can't read is not looked at further. */
function answer<T>(
  socket: Wire,
  event: string,
  schema: { safeParse(message: unknown): { success: true; data: T } | { success: false } },
  act: (message: T) => Promise<Told<unknown>>,
): void {
  socket.on(event, async (message: unknown, ack: unknown) => {
    if (!isAck(ack)) return;
    const read = schema.safeParse(message);
    const done: { ok: true } | { ok: false; why: string } = read.success
      ? await act(read.data)
      : { ok: false, why: 'not-understood' };
    ack(done.ok ? { ok: true } : { ok: false, why: done.why });
  });
}

function asHost(live: Live, socket: Wire, code: string): void {
  socket.data.code = code;
  void socket.join(hostsOf(code));
  answer(socket, 'act', hostAction, (action) => happen(live, code, action));
}

function asStudent(live: Live, socket: Wire, code: string, student: string): void {
  socket.data.code = code;
  socket.data.student = student;
  void socket.join(code);
  answer(socket, 'commit', roomCommit, (commit) =>
    happen(live, code, { kind: 'committed', student, ...commit }),
  );
}

const hostsOf = (code: string): string => `${code} host`;

async function happen(live: Live, code: string, event: RoomEvent): Promise<Told<unknown>> {
  const done = await live.rooms.happen(code, event);
  if (done.ok) tell(live, code);
  return done;
}

function tell(live: Live, code: string): void {
  tellSoon(live, code);
  if (live.shared) live.io.serverSideEmit('kept', code);
}

/** What a class does at one moment is told once, ms. */
const TOGETHER_MS = 15;

function tellSoon(live: Live, code: string): void {
  if (live.due.has(code)) return;
  live.due.add(code);
  setTimeout(() => {
    live.due.delete(code);
    // What can't be read now is told with the next thing that happens.
    tellNow(live, code).catch(() => undefined);
  }, TOGETHER_MS).unref();
}

/** The room as it is now, to the devices of this process: all of it to the instructor, to each student their own. */
async function tellNow({ io, rooms }: Live, code: string): Promise<void> {
  const { adapter, sockets } = io.sockets;
  const devices = [...(adapter.rooms.get(code) ?? [])];
  if (devices.length === 0 && !adapter.rooms.has(hostsOf(code))) return;
  const room = await rooms.room(code);
  if (!room) return;
  io.local.to(hostsOf(code)).emit('room', room);
  for (const id of devices) {
    const socket = sockets.get(id);
    const student = socket?.data.student;
    if (!socket || student === undefined) continue;
    const view = studentView(room, student);
    socket.emit('room', view);
    // Who was taken out hears it, and no more.
    if (!view) socket.disconnect();
  }
}
