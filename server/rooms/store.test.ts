import { fileStore } from './fileStore';
import { redisAt, redisStore } from './redisStore';
import { Rooms } from './rooms';
import { ROOM_LIFE_MS, type RoomStore } from './store';
import { lesson } from './tests/aLesson';
import { places } from './tests/places';
import { startRedis } from './tests/startRedis';

const at = places();

const STORES: [string, () => Promise<RoomStore>][] = [
  ['a folder', () => Promise.resolve(fileStore(at.dir))],
  ['Redis', async () => redisStore(await redisAt(at.redisUrl))],
];

test.each(STORES)('%s keeps lines in order, and one line at each place', async (_name, make) => {
  const store = await make();
  expect(await store.after('AAAAAA', 0)).toBeNull();
  expect(await store.append('AAAAAA', 0, { n: 1 })).toBe('gone');
  expect(await store.create('AAAAAA', { n: 1 })).toBe(true);
  expect(await store.create('AAAAAA', { n: 9 })).toBe(false);
  const both = await Promise.all([2, 3].map((n) => store.append('AAAAAA', 1, { n })));
  expect(both.toSorted()).toEqual(['behind', 'kept']);
  const second = both[0] === 'kept' ? 2 : 3;
  expect(await store.append('AAAAAA', 2, { n: 'Ä “quoted”\n' })).toBe('kept');
  const lines = [{ n: 1 }, { n: second }, { n: 'Ä “quoted”\n' }];
  for (const at of [0, 1, 2, 3]) expect(await store.after('AAAAAA', at)).toEqual(lines.slice(at));
  expect(await store.create('BBBBBB', {})).toBe(true);
  expect((await store.codes()).toSorted()).toEqual(['AAAAAA', 'BBBBBB']);
  await store.remove('AAAAAA');
  expect(await store.codes()).toEqual(['BBBBBB']);
  expect(await store.after('AAAAAA', 3)).toBeNull();
  expect(await store.append('AAAAAA', 3, {})).toBe('gone');
  await store.remove('BBBBBB');
  await store.close();
});

test('in Redis a room ends with its day, whoever is still there to end it', async () => {
  const client = await redisAt(at.redisUrl);
  const store = redisStore(client);
  await store.create('CCCCCC', {});
  await store.append('CCCCCC', 1, {});
  const left = await client.pTTL('fair-sprocket:room:CCCCCC');
  expect(left).toBeGreaterThan(ROOM_LIFE_MS - 60_000);
  expect(left).toBeLessThanOrEqual(ROOM_LIFE_MS);
  await client.pExpire('fair-sprocket:room:CCCCCC', 1);
  await new Promise((done) => setTimeout(done, 20));
  expect(await store.after('CCCCCC', 2)).toBeNull();
  await store.remove('CCCCCC');
  await store.close();
});

test('a Redis that goes away: what is not kept does not count, and it goes on when it is back', async () => {
  const own = await startRedis();
  const troubles: string[] = [];
  const rooms = await Rooms.start(
    redisStore(await redisAt(own.url, ({ message }) => troubles.push(message))),
  );
  const opened = await rooms.open(lesson, 'led');
  const code = opened.ok ? opened.value.code : '';
  expect(await rooms.join(code, 'Ina')).toMatchObject({ ok: true });
  await own.end();
  expect(await rooms.join(code, 'Bo')).toEqual({ ok: false, why: 'not-kept' });
  expect(await rooms.open(lesson, 'led')).toEqual({ ok: false, why: 'not-kept' });
  await expect(rooms.room(code)).rejects.toThrow();
  // This one kept nothing on a disk: the room is gone with it, and that is told.
  const back = await startRedis(own.port);
  let told = await rooms.join(code, 'Bo');
  for (let k = 0; k < 600 && !told.ok && told.why === 'not-kept'; k++) {
    await new Promise((done) => setTimeout(done, 100));
    told = await rooms.join(code, 'Bo');
  }
  expect(told).toEqual({ ok: false, why: 'no-room' });
  expect(await rooms.open(lesson, 'led')).toMatchObject({ ok: true });
  expect(troubles.length).toBeGreaterThan(0);
  await rooms.close();
  await back.end();
  await expect(redisAt(own.url)).rejects.toThrow();
});
