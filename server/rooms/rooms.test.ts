import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Lesson } from '../../core/lesson';
import { randomFromSeed } from '../../core/numerics';
import { MOST_STUDENTS } from '../../core/room';
import { fileStore } from './fileStore';
import { Rooms } from './rooms';
import { entry, lesson, question } from './tests/aLesson';

/** Quick to open a thousand times. */
const short: Lesson = { ...lesson, steps: [{ id: 's', title: 'S', blocks: [] }] };

let dir: string;
beforeEach(() => {
  dir = mkdtempSync(path.join(tmpdir(), 'rooms-'));
});
afterEach(() => rmSync(dir, { recursive: true, force: true }));

const opened = async (rooms: Rooms, of = lesson) => {
  const told = await rooms.open(of, 'led');
  if (!told.ok) throw new Error(told.why);
  return told.value;
};
const joined = async (rooms: Rooms, code: string, name: string) => {
  const told = await rooms.join(code, name);
  if (!told.ok) throw new Error(told.why);
  return told.value;
};

test('a server that comes back has its rooms, keys and answers as they were', async () => {
  const rooms = await Rooms.start(fileStore(dir));
  const { code, hostKey } = await opened(rooms);
  const ina = await joined(rooms, code, 'Ina');
  await rooms.happen(code, { kind: 'asked', question });
  await rooms.happen(code, { kind: 'committed', student: ina.student, vote: 1, entry: entry(4) });
  // Nobody waits for this one: a server that stops does.
  const late = rooms.join(code, 'Bo');
  await rooms.close();
  expect(await late).toMatchObject({ ok: true });
  const again = await Rooms.start(fileStore(dir));
  expect(await again.room(code)).toMatchObject({
    students: [{ name: 'Ina' }, { name: 'Bo' }],
    commits: [{ student: ina.student, vote: 1, entry: entry(4) }],
  });
  expect(await again.lesson(code)).toEqual(lesson);
  expect([await again.isHost(code, hostKey), await again.isHost(code, `${hostKey}x`)]).toEqual([
    true,
    false,
  ]);
  expect(await again.studentOf(code, ina.key)).toBe(ina.student);
  expect(await again.studentOf(code, hostKey)).toBeNull();
  await again.close();
  // No key stands in the journal as it is.
  const text = readFileSync(path.join(dir, readdirSync(dir)[0]!), 'utf8');
  expect(text).not.toContain(hostKey);
  expect(text).not.toContain(ina.key);
});

test('broken off at any byte, nothing that was acknowledged is lost, and it goes on from there', async () => {
  const rooms = await Rooms.start(fileStore(dir));
  const { code } = await opened(rooms, short);
  const file = path.join(dir, readdirSync(dir)[0]!);
  /** Bytes on the disk when each was acknowledged, and the room then. */
  const acknowledged = [{ size: readFileSync(file).length, room: await rooms.room(code) }];
  for (let k = 0; k < 12; k++) {
    await joined(rooms, code, `Student ${k}`);
    acknowledged.push({ size: readFileSync(file).length, room: await rooms.room(code) });
  }
  await rooms.close();
  const whole = readFileSync(file);
  const random = randomFromSeed('kills');
  for (let k = 0; k < 1000; k++) {
    const at = random.whole(acknowledged[0]!.size, whole.length);
    // Sometimes the disk had begun a line that makes no sense.
    const torn = random.next() < 0.3 ? Buffer.from('{"event":{"ki') : Buffer.alloc(0);
    writeFileSync(file, Buffer.concat([whole.subarray(0, at), torn]));
    const back = await Rooms.start(fileStore(dir));
    const known = acknowledged.findLast((a) => a.size <= at)!;
    expect(await back.room(code)).toEqual(known.room);
    if (k % 100 === 0) {
      await joined(back, code, 'Late');
      await back.close();
      const later = await Rooms.start(fileStore(dir));
      expect((await later.room(code))!.students.at(-1)!.name).toBe('Late');
      await later.close();
    } else await back.close();
  }
});

test('a journal of which not even the opening is whole is no room', async () => {
  const rooms = await Rooms.start(fileStore(dir));
  await opened(rooms);
  await rooms.close();
  const file = path.join(dir, readdirSync(dir)[0]!);
  writeFileSync(file, readFileSync(file).subarray(0, 200));
  const back = await Rooms.start(fileStore(dir));
  expect(await back.sweep()).toBe(0);
  expect(readdirSync(dir)).toEqual([]);
});

test('a room that only a newer version can read is left alone until its day is over', async () => {
  let now = Date.now();
  const rooms = await Rooms.start(fileStore(dir), () => now);
  const { code } = await opened(rooms);
  await rooms.close();
  const file = path.join(dir, readdirSync(dir)[0]!);
  writeFileSync(file, readFileSync(file, 'utf8').replace('"version":1', '"version":99'));
  const older = await Rooms.start(fileStore(dir), () => now);
  expect(await older.room(code)).toBeNull();
  expect(await older.join(code, 'Ina')).toEqual({ ok: false, why: 'no-room' });
  expect(await older.sweep()).toBe(1);
  expect(readdirSync(dir)).toHaveLength(1);
  now += 25 * 3600_000;
  expect(await older.sweep()).toBe(0);
  expect(readdirSync(dir)).toEqual([]);
  await older.close();
});

test('a disk that is full: what can’t be kept does not count, and is told', async () => {
  const rooms = await Rooms.start(fileStore(dir));
  const { code } = await opened(rooms);
  await rooms.close();
  const again = await Rooms.start(fileStore(dir));
  await joined(again, code, 'Ina');
  const before = await again.room(code);
  const write = JSON.stringify;
  JSON.stringify = () => {
    throw new Error('ENOSPC');
  };
  const told = await again.join(code, 'Bo');
  JSON.stringify = write;
  expect(told).toEqual({ ok: false, why: 'not-kept' });
  expect(await again.room(code)).toEqual(before);
  expect((await joined(again, code, 'Bo')).student).toBeTruthy();
  await again.close();
});

test('ten thousand come in: as many as a room has places, and its journal grows no further', async () => {
  const rooms = await Rooms.start(fileStore(dir));
  const { code } = await opened(rooms, short);
  const file = path.join(dir, readdirSync(dir)[0]!);
  const answers = await Promise.all(
    Array.from({ length: 10_000 }, (_, k) => rooms.join(code, `Student ${k}`)),
  );
  expect(answers.filter((a) => a.ok)).toHaveLength(MOST_STUDENTS);
  expect(answers.slice(MOST_STUDENTS).every((a) => !a.ok && a.why === 'full')).toBe(true);
  expect(readFileSync(file, 'utf8').trimEnd().split('\n')).toHaveLength(1 + MOST_STUDENTS);
  await rooms.close();
});

test('rooms end after a day, or when they are closed; a clock that runs back ends none', async () => {
  let now = Date.parse('2030-01-01T08:00:00Z');
  const rooms = await Rooms.start(fileStore(dir), () => now);
  const one = await opened(rooms);
  now -= 3600_000;
  const two = await opened(rooms);
  await rooms.happen(two.code, { kind: 'closed' });
  await rooms.sweep();
  expect([(await rooms.room(one.code)) !== null, await rooms.room(two.code)]).toEqual([true, null]);
  now += 26 * 3600_000;
  expect(await rooms.sweep()).toBe(0);
  expect(readdirSync(dir)).toEqual([]);
  expect(await rooms.open({ format: 'something else' }, 'led')).toEqual({
    ok: false,
    why: 'not-a-lesson',
  });
  await rooms.close();
});
