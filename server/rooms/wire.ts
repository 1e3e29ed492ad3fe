import type { Server as HttpServer } from 'node:http';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Server, type DefaultEventsMap, type Socket } from 'socket.io';
import {
  hostAction,
  roomCode,
  roomCommit,
  roomEntrance,
  roomOpening,
  type RoomEntrance,
} from '../../core/formats';
import { studentView } from '../../core/room';
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
  code?: string;
  student?: string;
}
type Live = Server<DefaultEventsMap, DefaultEventsMap, DefaultEventsMap, Known>;
type Wire = Socket<DefaultEventsMap, DefaultEventsMap, DefaultEventsMap, Known>;

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
    (req, res) => {
      const asked = roomOpening.safeParse(req.body);
      if (!asked.success) {
        res.status(400).json({ why: 'not-a-lesson' });
        return;
      }
      const opened = rooms.open(asked.data.lesson, asked.data.pace);
      if (opened.ok) res.status(201).set('Cache-Control', 'no-store').json(opened.value);
      else res.status(opened.why === 'not-kept' ? 507 : 400).json({ why: opened.why });
    },
  );
  app.get('/rooms/:code/lesson', limit(WRONG_CODES, true), (req, res) => {
    const code = roomCode.safeParse(req.params['code']);
    const lesson = code.success ? rooms.lesson(code.data) : null;
    res.set('Cache-Control', 'no-store');
    if (lesson) res.json(lesson);
    else res.status(404).json({ why: 'no-room' });
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

/** Everything that is live in a room. */
export function attachRooms(http: HttpServer, rooms: Rooms): Live {
  const io: Live = new Server(http, {
    maxHttpBufferSize: MESSAGE_BYTES,
    serveClient: false,
    // Only pages of this very server: others send another origin.
    allowRequest: (req, done) => {
      const { origin, host } = req.headers;
      done(null, origin === undefined || sameHost(origin, host));
    },
  });
  const wrong = new WrongCodes();
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
      if (!entrance.success || socket.data.code !== undefined) {
        ack({ ok: false, why: 'not-understood' });
        return;
      }
      if (!rooms.room(entrance.data.code)) {
        wrong.add(address);
        ack({ ok: false, why: 'no-room' });
        return;
      }
      enter(io, rooms, socket, entrance.data, ack, () => wrong.add(address));
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

function enter(
  io: Live,
  rooms: Rooms,
  socket: Wire,
  entrance: RoomEntrance,
  ack: Ack,
  onWrong: () => void,
): void {
  const { code } = entrance;
  if ('host' in entrance) {
    if (!rooms.isHost(code, entrance.host)) {
      onWrong();
      ack({ ok: false, why: 'not-the-host' });
      return;
    }
    asHost(io, rooms, socket, code);
    ack({ ok: true, room: rooms.room(code) });
    return;
  }
  const joined: Told<{ student: string; key: string }> =
    'name' in entrance ? rooms.join(code, entrance.name) : comeBack(rooms, code, entrance.student);
  if (!joined.ok) {
    ack({ ok: false, why: joined.why });
    return;
  }
  const { student, key } = joined.value;
  asStudent(io, rooms, socket, code, student);
  ack({ ok: true, key, view: studentView(rooms.room(code)!, student) });
  tell(io, rooms, code);
}

function comeBack(rooms: Rooms, code: string, key: string): Told<{ student: string; key: string }> {
  const student = rooms.studentOf(code, key);
  return student === null
    ? { ok: false, why: 'unknown-student' }
    : { ok: true, value: { student, key } };
}

/** Answers one kind of message: what it can't read is not looked at further. */
function answer<T>(
  socket: Wire,
  event: string,
  schema: { safeParse(message: unknown): { success: true; data: T } | { success: false } },
  act: (message: T) => Told<unknown>,
): void {
  socket.on(event, (message: unknown, ack: unknown) => {
    if (!isAck(ack)) return;
    const read = schema.safeParse(message);
    const done: { ok: true } | { ok: false; why: string } = read.success
      ? act(read.data)
      : { ok: false, why: 'not-understood' };
    ack(done.ok ? { ok: true } : { ok: false, why: done.why });
  });
}

function asHost(io: Live, rooms: Rooms, socket: Wire, code: string): void {
  socket.data.code = code;
  void socket.join(`${code} host`);
  answer(socket, 'act', hostAction, (action) => {
    const done = rooms.happen(code, action);
    if (done.ok) tell(io, rooms, code);
    return done;
  });
}

function asStudent(io: Live, rooms: Rooms, socket: Wire, code: string, student: string): void {
  socket.data.code = code;
  socket.data.student = student;
  void socket.join(code);
  answer(socket, 'commit', roomCommit, (commit) => {
    const done = rooms.happen(code, { kind: 'committed', student, ...commit });
    if (done.ok) tell(io, rooms, code);
    return done;
  });
}

/** What a class does at one moment is told once, ms. */
const TOGETHER_MS = 15;
const telling = new WeakMap<Live, Set<string>>();

function tell(io: Live, rooms: Rooms, code: string): void {
  const due = telling.get(io) ?? new Set<string>();
  telling.set(io, due);
  if (due.has(code)) return;
  due.add(code);
  setTimeout(() => {
    due.delete(code);
    tellNow(io, rooms, code);
  }, TOGETHER_MS).unref();
}

/** The room as it is now: all of it to the instructor, to each student their own. */
function tellNow(io: Live, rooms: Rooms, code: string): void {
  const room = rooms.room(code);
  if (!room) return;
  io.to(`${code} host`).emit('room', room);
  for (const id of io.sockets.adapter.rooms.get(code) ?? []) {
    const socket = io.sockets.sockets.get(id);
    const student = socket?.data.student;
    if (!socket || student === undefined) continue;
    const view = studentView(room, student);
    socket.emit('room', view);
    // Who was taken out hears it, and no more.
    if (!view) socket.disconnect();
  }
}
