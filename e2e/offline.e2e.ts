import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
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
const start = async (options?: { dist: string }): Promise<Server> =>
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
}, 180_000);

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
