import { closeSync, openSync, readFileSync, truncateSync } from 'node:fs';
import { strToU8, zipSync } from 'fflate';
import { Key } from 'selenium-webdriver';
import { openBrowser, type Browser } from './browser';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { startFullDisk } from './fullDisk';
import { session } from './session';

/** Files, storage and tabs that go wrong: each is told in its own words, and nothing is lost. */
const run = session(['main'], { fresh: true });
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const beforeEveryPage = (browser: Browser, source: string) =>
  browser.devtools('Page.addScriptToEvaluateOnNewDocument', { source });

const good = readFileSync('demo/lessons/name-the-parts.json', 'utf8');
const changed = (change: (lesson: Record<string, unknown>) => void): string => {
  const lesson = JSON.parse(good) as Record<string, unknown>;
  change(lesson);
  return JSON.stringify(lesson);
};

test('each bad file gets its own message, and the library stays as it was', async () => {
  await b.open(run.at('/teach/lessons'));
  await b.see('Two pinions in a row');
  const titles = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".lesson-card h2")].map((e) => e.innerText)',
    );
  const before = await titles();
  const huge = writeFile(b, 'huge.lesson.zip', '');
  closeSync(openSync(huge, 'r+'));
  truncateSync(huge, 200 * 1024 * 1024);
  const manifest = strToU8(
    JSON.stringify({
      format: 'fair-sprocket/pack',
      version: 1,
      lesson: { id: 'x', title: 'X' },
      files: [],
    }),
  );
  const files: [string, string | Uint8Array, RegExp][] = [
    ['empty.json', '', /The file is empty/],
    ['words.json', 'good morning', /can.t be read as JSON/],
    ['cut.json', good.slice(0, 900), /breaks off in the middle/],
    ['other.json', '{"format":"someone/else"}', /not a Fair Sprocket file/],
    [
      'new.json',
      changed((l) => (l['version'] = 9)),
      /version 9 of its format; this program reads up to version 1/,
    ],
    [
      'proto.json',
      '{"format":"fair-sprocket/lesson","__proto__":{"x":1}}',
      /“__proto__”, which could do harm/,
    ],
    ['deep.json', '['.repeat(1000), /nested more than 40 levels/],
    [
      'absurd.json',
      good.replace('"sun": 30', '"sun": 1e300'),
      /places? in the file (is|are) wrong.*teeth\.sun/s,
    ],
    [
      'picture.json',
      new Uint8Array([0x89, 0x50, 0xff, 0xfe, 0x00]),
      /neither text nor a lesson pack/,
    ],
    [
      'slip.lesson.zip',
      zipSync({ 'manifest.json': manifest, '../outside.json': manifest }),
      /“..\/outside.json”, a place where no part/,
    ],
    [
      'bomb.lesson.zip',
      zipSync({ 'manifest.json': manifest, 'media/a.png': new Uint8Array(70 * 1024 * 1024) }),
      /Unpacked the pack would be 70 MB/,
    ],
    [
      'half.lesson.zip',
      zipSync({ 'manifest.json': manifest }).slice(0, 90),
      /damaged or breaks off/,
    ],
  ];
  for (const [name, content, message] of files) {
    await chooseFile(b, writeFile(b, name, content));
    await b.see(new RegExp(`${name}[\\s\\S]*${message.source}`, message.flags));
    await b.see('Nothing here was changed.');
  }
  await chooseFile(b, huge);
  await b.see(/huge.lesson.zip[\s\S]*The file is 200 MB; the most this program opens is 64 MB/);
  await b.driver.navigate().refresh();
  await b.see('Two pinions in a row');
  expect(await titles()).toEqual(before);
});

test('script in an instructor’s text is shown or dropped, never run', async () => {
  const hostile = changed((l) => {
    l['id'] = 'hostile';
    l['title'] = '<img src=x onerror="window.ran=1">';
    const [step] = l['steps'] as { blocks: { markdown?: string }[] }[];
    const text = step!.blocks.find((x) => x.markdown?.includes('sun'));
    text!.markdown =
      '<script>window.ran=1</script><img src=x onerror="window.ran=1"> [a](javascript:window.ran=1) ![p](http://127.0.0.1:9/x.png) **kept**';
  });
  await b.open(run.at('/teach/lessons'));
  await chooseFile(b, writeFile(b, 'hostile.json', hostile));
  await b.see('is in the library');
  await b.open(run.at('/teach/lessons/hostile/preview'));
  await b.press('button', 'Begin');
  await b.see('kept');
  const found = await b.driver.executeScript<unknown>(
    'return { ran: window.ran ?? null, links: [...document.querySelectorAll("main .markdown a")].map((a) => a.getAttribute("href")), images: document.querySelectorAll("main img").length }',
  );
  expect(found).toEqual({ ran: null, links: [], images: 0 });
});

test('a lesson of the same name but other content is never put in place unasked', async () => {
  const other = changed((l) => (l['title'] = 'Name the parts, other version'));
  await b.open(run.at('/teach/lessons'));
  await chooseFile(b, writeFile(b, 'other-version.json', other));
  await b.see('other content');
  await b.press('button', 'Leave mine as it is');
  await b.see('was left as it is');
  await chooseFile(b, writeFile(b, 'other-version.json', other));
  await b.press('button', 'Keep both');
  await b.see('is in the library');
  await b.see('Name the parts, say who turns');
  expect(await b.count('heading', 'Name the parts, other version')).toBe(1);
});

const stepTitle = (wanted: string) => b.holds('textbox', 'Title of the step', wanted);

test('two tabs: a clean one follows, a changed one is asked', async () => {
  const address = run.at('/teach/lessons/what-the-held-part-feels');
  await b.open(address);
  const first = await b.driver.getWindowHandle();
  await b.driver.switchTo().newWindow('tab');
  const second = await b.driver.getWindowHandle();
  await b.open(address);
  await b.fill('textbox', 'Title of the step', 'From the second tab');
  await b.see('Saved');
  await b.driver.switchTo().window(first);
  await stepTitle('From the second tab');

  // A tab that heard nothing of the other's save.
  await b.driver.switchTo().window(second);
  await beforeEveryPage(b, 'delete window.BroadcastChannel;');
  await b.open(address);
  await b.driver.switchTo().window(first);
  await b.fill('textbox', 'Title of the step', 'First again');
  await b.see('Saved');
  await b.driver.switchTo().window(second);
  await b.fill('textbox', 'Title of the step', 'Second, unaware');
  await b.see('This lesson was also changed in another tab');
  await b.press('button', 'Keep both, mine as a copy');
  await stepTitle('Second, unaware');
  expect(await (await b.role('textbox', 'Title of the lesson')).getAttribute('value')).toContain(
    '(my version)',
  );
  await b.driver.close();
  await b.driver.switchTo().window(first);
  await b.open(address);
  await stepTitle('First again');
});

test('a bench whose address names a unit that is not there says which, and shows no other', async () => {
  for (const bench of ['shift', 'strip-down', 'apply']) {
    await b.visit(run.at(`/teach/${bench}/gone-unit`));
    await b.see('There is no unit “gone-unit” in this browser');
    expect(await b.count('link', 'Models')).toBeGreaterThan(0);
  }
});

test('storage full is told, and what is on the screen can be taken along', async () => {
  const [full, disk] = await Promise.all([openBrowser(), startFullDisk()]);
  try {
    await full.open(`${disk.url}/teach/lessons/name-the-parts`);
    await full.see('Saved');
    await disk.fill(full);
    await full.fill('textbox', 'Title of the lesson', 'Unsaved work');
    await full.see(/Not saved: QuotaExceededError: no space left/);
    await full.press('button', 'Export what is on the screen');
    const text = new TextDecoder().decode(bytesOf(await downloaded(full, '.lesson.json')));
    expect(text).toContain('Unsaved work');
    // It is not tried over and over: the state stands still until something changes.
    const tries = await disk.tries(full);
    expect(tries).toBeGreaterThan(0);
    await full.driver.sleep(1500);
    expect(await disk.tries(full)).toBe(tries);
  } finally {
    await full.quit();
    await disk.stop();
  }
});

test('storage refused is told; the demo world still opens, from memory', async () => {
  const refused = await openBrowser();
  try {
    await beforeEveryPage(
      refused,
      `for (const name of ['indexedDB', 'localStorage'])
         Object.defineProperty(window, name, { get() { throw new DOMException('refused', 'SecurityError'); } });`,
    );
    await refused.open(run.at('/learn/lessons'));
    await refused.see('This browser keeps nothing.');
    await refused.press('link', 'Two pinions in a row');
    await refused.fill('textbox', /Your name/, 'Nobody Kept');
    await refused.press('button', 'Begin');
    await refused.see('Look at the chain');
  } finally {
    await refused.quit();
  }
});

test('a number beyond what a question takes is refused in words, and the lesson opens again', async () => {
  await b.visit(run.at('/teach/lessons/why-it-multiplies'));
  await b.press('button', /^3 Make it multiply/);
  await b.fill('spinbutton', 'Target', `-5${Key.TAB}`);
  await b.see(/−5 is beyond 0 to 1\s000\s000: the number before it is kept/);
  await b.fill('spinbutton', 'Target', `1.5${Key.TAB}`);
  await b.see('Saved');
  await b.open(run.at('/teach/lessons/why-it-multiplies'));
  await b.see('Saved');
  expect(await b.text()).not.toContain('can’t be read');
  await b.press('button', /^3 Make it multiply/);
  await b.holds('spinbutton', 'Target', '1.50');
});
