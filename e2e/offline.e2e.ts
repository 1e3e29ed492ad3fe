import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { io } from 'socket.io-client';
import type { Room } from '../core/room';
import { PATIENCE_MS } from './browser';
import { startServer } from './server';
import { session } from './session';

/** A server that really goes away, and one whose build is another under the pages that are open. */
const run = session(['main'], { fresh: true });

async function beginLesson(): Promise<void> {
  const b = run.browser();
  await b.fill('textbox', /Your name/, 'At Sea');
  await b.press('button', 'Begin');
  await b.role('button', 'Commit prediction');
}

type Server = Awaited<ReturnType<typeof startServer>>;
let running: Server | null = null;
const start = async (options?: { dist?: string; data?: string; port?: number }): Promise<Server> =>
  (running = await startServer(options));
async function stop(): Promise<void> {
  await running?.stop();
  running = null;
}
afterEach(stop);

/** Whatever failed on the way is meant to: there is no server. */
const forgetConsole = () => run.browser().consoleProblems();

test('where the browser allows it, it starts without its server: any screen, any lesson', async () => {
  const b = run.browser();
  const server = await start();
  await b.open(`${server.url}/learn/lessons`);
  await b.kept();
  await stop();
  await b.open(`${server.url}/learn/lessons/what-the-held-part-feels`);
  await beginLesson();
  await b.open(`${server.url}/teach/converter`);
  await b.press('radio', 'Launch');
  await b.see('After 15 s');
  await b.open(`${server.url}/teach/clutch`);
  await b.see('Pedal');
  await forgetConsole();
});

test('it can be installed: name, address and pictures are there as browsers want them', async () => {
  const b = run.browser();
  const server = await start();
  await b.open(`${server.url}/`);
  const told = await b.devtools('Page.getAppManifest', {});
  const { errors, data } = told as { errors: unknown[]; data: string };
  expect(errors).toEqual([]);
  const manifest = JSON.parse(data) as {
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; purpose: string }[];
  };
  expect(manifest).toMatchObject({ start_url: '/', display: 'standalone' });
  // What browsers ask of an application that can be installed: 192 and 512 (web.dev, Install criteria; published).
  expect(manifest.icons.map(({ sizes, purpose }) => [sizes, purpose])).toEqual([
    ['192x192', 'any'],
    ['512x512', 'any'],
    ['512x512', 'maskable'],
  ]);
  for (const { src, sizes } of manifest.icons) {
    const bytes = Buffer.from(await (await fetch(server.url + src)).arrayBuffer());
    // Width and height of a PNG stand in its first chunk.
    expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`).toBe(sizes);
  }
  await forgetConsole();
});

test('a new build waits until it is taken; a page of the build before goes on, parts that are gone included', async () => {
  const b = run.browser();
  const dir = mkdtempSync(path.join(tmpdir(), 'build-'));
  const dist = path.join(dir, 'web');
  cpSync('dist/web', dist, { recursive: true });
  const server = await start({ dist });
  await b.open(`${server.url}/teach/lessons`);
  await b.kept();
  const first = await b.driver.getWindowHandle();
  await b.driver.switchTo().newWindow('tab');
  const older = await b.driver.getWindowHandle();
  await b.open(`${server.url}/teach/lessons`);
  const isControlled = () =>
    b.driver.executeScript<boolean>('return !!navigator.serviceWorker.controller');
  await b.driver.wait(isControlled, PATIENCE_MS);

  // The next build has another page, and no Shift bench of this name any more.
  const at = (file: string) => path.join(dist, file);
  const edit = (file: string, change: (text: string) => string) => {
    const before = readFileSync(at(file), 'utf8');
    const after = change(before);
    expect(after).not.toBe(before);
    writeFileSync(at(file), after);
  };
  const manifest = JSON.parse(readFileSync(at('.vite/manifest.json'), 'utf8')) as Record<
    string,
    { file: string }
  >;
  const gone = manifest['shift/ShiftBench.tsx']!.file;
  rmSync(at(gone));
  edit('index.html', (page) => page.replace('<body>', '<body data-build="next">'));
  edit('sw.js', (worker) => {
    const entry = new RegExp(`\\{[^{}]*${gone.replaceAll('.', '\\.')}[^{}]*\\},?`);
    const page = /"revision":"\w+"(?=,"url":"index\.html")/;
    for (const pattern of [entry, page]) expect(worker).toMatch(pattern);
    return worker.replace(entry, '').replace(page, '"revision":"next"');
  });
  await b.driver.switchTo().window(first);
  await b.open(`${server.url}/teach/lessons`);
  const build = () => b.driver.executeScript<string | null>('return document.body.dataset.build');
  await b.see('A new version of Fair Sprocket is ready');
  expect(await build()).toBeNull();
  await b.press('button', 'Take it now');
  await b.driver.wait(async () => (await build().catch(() => null)) === 'next', PATIENCE_MS);

  await b.driver.switchTo().window(older);
  expect(await build()).toBeNull();
  expect((await fetch(`${server.url}/${gone}`)).status).toBe(404);
  // Nor does the browser's own store have it any more, as after some days.
  await b.devtools('Network.clearBrowserCache');
  await b.press('link', 'Shift bench');
  await b.see('Throttle');
  expect(await build()).toBeNull();
  await b.driver.close();
  await b.driver.switchTo().window(first);
  rmSync(dir, { recursive: true, force: true });
  await forgetConsole();
});

test('on a shop’s plain network no browser lets it start so; a lesson that is open goes on to its end', async () => {
  const b = run.browser();
  const server = await start();
  const plain = server.url.replace('127.0.0.1', 'shop.test');
  await b.open(`${plain}/learn/lessons/hold-one-drive-one`);
  expect(await b.driver.executeScript('return "serviceWorker" in navigator')).toBe(false);
  await b.kept();
  await stop();
  await beginLesson();
  await b.press('link', 'Converter bench');
  await b.press('radio', 'Launch');
  await b.see('After 15 s');
  await forgetConsole();
});

test('in a room at its own pace a phone goes on without its server, and what it answered is handed in after', async () => {
  const b = run.browser();
  const data = mkdtempSync(path.join(tmpdir(), 'rooms-'));
  try {
    const { url, port } = await start({ data });
    const lesson = JSON.parse(
      readFileSync('demo/lessons/hold-one-drive-one.json', 'utf8'),
    ) as unknown;
    const opened = await fetch(`${url}/rooms`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ lesson, pace: 'own' }),
    });
    const { code, hostKey } = (await opened.json()) as { code: string; hostKey: string };
    await b.open(`${url}/room/${code}`);
    await b.fill('textbox', /^Your name/, 'Ina Hawse');
    await b.press('button', 'Come in');
    await b.role('button', 'Commit prediction');
    await b.kept();
    await b.role('button', 'Commit prediction');
    await stop();
    await b.see('The network is lost. It ');
    await b.fill('spinbutton', 'Ratio', '3.33');
    await b.press('radio', 'same way');
    await b.press('radio', 'certain');
    await b.press('button', 'Commit prediction');
    await b.see('Right');
    await start({ data, port });
    const host = io(url, { transports: ['websocket'], forceNew: true });
    const committed = async () => {
      const { room } = (await host.emitWithAck('enter', { code, host: hostKey })) as {
        room?: Room;
      };
      return room?.commits.map((c) => c.entry.answer) ?? [];
    };
    let answers = await committed();
    host.on('room', (room: Room) => (answers = room.commits.map((c) => c.entry.answer)));
    await b.driver.wait(() => Promise.resolve(answers.length > 0), PATIENCE_MS);
    expect(answers).toEqual([{ kind: 'number', value: 3.33, direction: 'same' }]);
    host.disconnect();
  } finally {
    await stop();
    rmSync(data, { recursive: true, force: true });
    await forgetConsole();
  }
});
