import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openBrowser, PATIENCE_MS, type Browser } from './browser';
import { removeProfile } from './chromium';
import { startServer } from './server';

/**
 * What a shop does to a browser: the current fails in mid-sentence, two tabs stand open, the disk is damaged. A few
 * rounds of each go with the other tests; `npm run torture` goes on for long, and prints what it counted.
 */
const LONG = process.env['TORTURE'] === 'long';
const rounds = (few: number, many: number) => (LONG ? many : few);
/** ms that a test may take. */
const MOST = LONG ? 3_600_000 : 600_000;

const ROUTE = '/teach/lessons/name-the-parts';

/** Titles of all lessons that the browser keeps. */
const titlesOf = (b: Browser) =>
  b.driver.executeAsyncScript<string[]>(
    `const done = arguments[0];
     const open = indexedDB.open('fair-sprocket');
     open.onsuccess = () => {
       const all = open.result.transaction('documents').objectStore('documents').getAll();
       all.onsuccess = () => {
         open.result.close();
         done(all.result.flatMap((r) => (r.lesson ? [r.lesson.title] : [])));
       };
     };`,
  );

/** Counts what `see` reads in the page without waiting. */
const says = async (b: Browser, text: string) => (await b.text()).includes(text);

let server: Awaited<ReturnType<typeof startServer>>;
let profile: string;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());
beforeEach(() => {
  profile = mkdtempSync(path.join(tmpdir(), 'e2e-torture-'));
});
afterEach(() => removeProfile(profile));

test(
  'killed in mid-sentence: what was called saved is there',
  async () => {
    const counted = { kills: 0, lost: 0 };
    let called = 0;
    for (let round = 1; round <= rounds(2, 40); round++) {
      const b = await openBrowser({ profile });
      await b.open(server.url + ROUTE);
      await b.see('Saved');
      const title = await b.role('textbox', 'Title of the lesson');
      const now = Number(/round (\d+)/.exec((await title.getAttribute('value'))!)?.[1] ?? 0);
      if (now < called) counted.lost++;
      expect([round, now >= called]).toEqual([round, true]);
      // Every other round on a machine six times as slow.
      if (round % 2 === 0) await b.devtools('Emulation.setCPUThrottlingRate', { rate: 6 });
      await b.fill('textbox', 'Title of the lesson', `Name the parts, round ${round}`);
      const until = Date.now() + 300 + ((round * 397) % 1700);
      while (Date.now() < until)
        if ((await titlesOf(b)).includes(`Name the parts, round ${round}`)) {
          // It is called saved from here on, whatever the screen says a frame later.
          if (await says(b, 'Saved')) called = round;
          break;
        }
      await b.kill();
      counted.kills++;
    }
    process.stdout.write(`torture: ${counted.kills} kills, ${counted.lost} lost\n`);
  },
  MOST,
);

test.each([
  ['with a secure address', (url: string) => url],
  ['over plain http', (url: string) => url.replace('127.0.0.1', 'shop.test')],
])(
  'two tabs write one lesson, %s: nothing goes in silence',
  async (_how, addressOf) => {
    const b = await openBrowser({ profile });
    try {
      const address = addressOf(server.url) + ROUTE;
      const counted = { rounds: 0, asked: 0, followed: 0 };
      await b.open(address);
      await b.see('Saved');
      const first = await b.driver.getWindowHandle();
      await b.driver.switchTo().newWindow('tab');
      await b.open(address);
      await b.see('Saved');
      const second = await b.driver.getWindowHandle();
      for (let round = 1; round <= rounds(1, 20); round++) {
        const mine: string[] = [];
        for (const tab of [first, second]) {
          const text = `Parts, round ${round}, ${tab === first ? 'left' : 'right'} tab`;
          await b.driver.switchTo().window(tab);
          await b.fill('textbox', 'Title of the lesson', text);
          mine.push(text);
        }
        // Each tab says what became of its own: kept, or in question.
        for (const tab of [first, second]) {
          await b.driver.switchTo().window(tab);
          await b.see(/Saved|also changed in another tab/);
          if (await says(b, 'also changed in another tab')) {
            counted.asked++;
            await b.press('button', 'Keep both, mine as a copy');
            await b.see('Saved');
            await b.open(address);
            await b.see('Saved');
          } else counted.followed++;
        }
        counted.rounds++;
        await b.driver.wait(
          async () => {
            const kept = await titlesOf(b);
            return mine.some((text) => kept.some((t) => t.startsWith(text)));
          },
          PATIENCE_MS,
          `round ${round}: none of ${mine.join(' / ')} is kept`,
        );
      }
      process.stdout.write(`torture: two tabs, ${JSON.stringify(counted)}\n`);
    } finally {
      await b.quit();
    }
  },
  MOST,
);

/** Files of the browser's database under this folder. */
function databaseFiles(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.includes('indexeddb') && /\.(log|ldb)$|MANIFEST/.test(f))
    .map((f) => path.join(folder, f));
}

test(
  'a damaged store: the work is there, or the screen says that it is gone',
  async () => {
    const counted = { rounds: 0, whole: 0, told: 0 };
    for (let round = 1; round <= rounds(1, 12); round++) {
      removeProfile(profile);
      const b = await openBrowser({ profile });
      await b.open(server.url + ROUTE);
      await b.see('Saved');
      await b.fill('textbox', 'Title of the lesson', 'Own work');
      await b.driver.wait(async () => (await titlesOf(b)).includes('Own work'), PATIENCE_MS);
      await b.see('Saved');
      // The mark beside the database is written to the disk a moment later.
      await b.driver.sleep(6000);
      await b.kill();
      for (const file of databaseFiles(profile)) {
        const bytes = readFileSync(file);
        for (let k = (round * 13) % 64; k < bytes.length; k += 64) bytes[k]! ^= 0x5a;
        writeFileSync(file, round % 2 === 0 ? bytes.subarray(0, bytes.length / 2) : bytes);
      }
      const again = await openBrowser({ profile });
      await again.open(`${server.url}/teach/lessons`);
      await again.see(/Own work|and it is gone|can.t be read|keeps nothing/);
      if (await says(again, 'Own work')) counted.whole++;
      else counted.told++;
      counted.rounds++;
      await again.quit();
    }
    process.stdout.write(`torture: damaged store, ${JSON.stringify(counted)}\n`);
  },
  MOST,
);
