import type { Workbox } from 'workbox-window';
import { isVersionWaiting, listenForVersion, takeNewVersion, versionWaits } from './newVersion';

test('nothing waits at first; what waits is told, and taken only when asked for', () => {
  const told: boolean[] = [];
  const stop = listenForVersion(() => told.push(isVersionWaiting()));
  takeNewVersion();
  expect([isVersionWaiting(), told]).toEqual([false, []]);

  const done: string[] = [];
  let takesOver = () => undefined as unknown;
  const worker = {
    addEventListener: (event: string, listener: () => void) => {
      done.push(event);
      takesOver = listener;
    },
    messageSkipWaiting: () => done.push('skip'),
  };
  versionWaits(worker as unknown as Workbox);
  expect([isVersionWaiting(), told, done]).toEqual([true, [true], []]);

  // The page is loaded again once the new one has taken over, and not before.
  let loaded = 0;
  Object.assign(globalThis, { location: { reload: () => loaded++ } });
  takeNewVersion();
  expect([done, loaded]).toEqual([['controlling', 'skip'], 0]);
  takesOver();
  expect(loaded).toBe(1);
  Reflect.deleteProperty(globalThis, 'location');

  stop();
  versionWaits(worker as unknown as Workbox);
  expect(told).toEqual([true]);
});
