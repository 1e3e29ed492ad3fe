import { readFileSync } from 'node:fs';
import { By, Key } from 'selenium-webdriver';
import type { Attempt } from '../core/lesson';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { startFullDisk, type FullDisk } from './fullDisk';
import { session } from './session';
import { PATIENCE_MS } from './browser';

/** Nothing that was done is lost, and nothing that was not done counts. */
const run = session(['main'], { fresh: true });
const b = new Proxy({} as ReturnType<typeof run.browser>, {
  get: (_none, name) => Reflect.get(run.browser(), name) as unknown,
});

const LESSON = '/learn/lessons/what-the-held-part-feels';

/** Every document that the browser keeps, by its key. */
const stored = <T>(key: string) =>
  b.driver.executeAsyncScript<T>(
    `const [key, done] = arguments;
     const open = indexedDB.open('fair-sprocket');
     open.onsuccess = () => {
       const get = open.result.transaction('documents').objectStore('documents').get(key);
       get.onsuccess = () => { open.result.close(); done(get.result ?? null); };
     };`,
    key,
  );

test('who never pauses is saved for all that', async () => {
  await b.open(run.at('/teach/lessons/name-the-parts'));
  const title = await b.role('textbox', 'Title of the lesson');
  await title.click();
  const begun = Date.now();
  let kept = '';
  // A key every hundred milliseconds: no pause is long enough for a save that waits for one.
  while (Date.now() - begun < PATIENCE_MS && !kept.includes('zz')) {
    await title.sendKeys('z');
    await b.driver.sleep(100);
    kept = (await stored<{ lesson: { title: string } }>('lesson:name-the-parts')).lesson.title;
  }
  expect(kept).toContain('zz');
});

test('what is taken back while it is being saved stays taken back', async () => {
  const [lesson, title] = ['lesson:where-is-the-ball', 'Title of the lesson'];
  await b.open(run.at('/teach/lessons/where-is-the-ball'));
  const before = (await (await b.role('textbox', title)).getAttribute('value')) ?? '';
  // As long as this one writes, nobody else does.
  await b.driver.executeAsyncScript(
    `const done = arguments[0];
     const open = indexedDB.open('fair-sprocket');
     open.onsuccess = () => {
       const writing = open.result.transaction('documents', 'readwrite').objectStore('documents');
       let held = true;
       window.letWrite = () => { held = false; };
       const again = () => {
         if (held) writing.get('none').onsuccess = again;
         else open.result.close();
       };
       again();
       done();
     };`,
  );
  await b.fill('textbox', title, 'Taken back');
  await b.see('Saving');
  await b.press('button', 'Undo');
  await b.holds('textbox', title, before);
  await b.driver.executeScript('window.letWrite()');
  await b.see('Saved');
  await b.holds('textbox', title, before);
  expect((await stored<{ lesson: { title: string } }>(lesson)).lesson.title).toBe(before);
  // Its own saves are no news to it: what can be done again is not forgotten.
  await b.press('button', 'Redo');
  await b.holds('textbox', title, 'Taken back');
});

let disk: FullDisk | null = null;
afterEach(async () => {
  if (!disk) return;
  await b.open(run.at('/'));
  await disk.stop();
  disk = null;
});

test('leaving by a link with work that can’t be kept asks, and offers it as a file', async () => {
  disk = await startFullDisk();
  await b.open(`${disk.url}/teach/lessons/name-the-parts`);
  await b.see('Saved');
  await disk.fill(b);
  await b.fill('textbox', 'Title of the lesson', 'Not to be lost');
  await b.see(/Not saved: .*no space left/);
  await b.press('link', 'Class book');
  await b.see('Your last changes are not kept yet');
  await b.press('button', 'Take them as a file');
  const text = new TextDecoder().decode(bytesOf(await downloaded(b, '.lesson.json')));
  expect(text).toContain('Not to be lost');
  await b.press('button', 'Stay');
  await b.driver.wait(async () => (await b.count('dialog')) === 0, PATIENCE_MS);
  expect(await b.driver.getCurrentUrl()).toContain('/teach/lessons/name-the-parts');
  await b.press('link', 'Class book');
  await b.press('button', 'Leave without them');
  await b.see('What each student predicted first');
});

test('a commit whose page goes before it is kept is there at the next visit, and can’t be given again', async () => {
  await b.open(run.at('/learn/lessons/hold-one-drive-one'));
  await b.fill('textbox', /name/i, 'Ulla Brack');
  await b.press('button', 'Begin');
  // Its seal is never done, so its way into the database does not even begin.
  await b.driver.executeScript('crypto.subtle.sign = () => new Promise(() => {})');
  await b.fill('spinbutton', 'Ratio', '3.33');
  await b.press('radio', 'same way');
  await b.press('radio', 'certain');
  await b.press('button', 'Commit prediction');
  await b.see('exactly 10/3');
  await b.visit(run.at('/learn/lessons/hold-one-drive-one'));
  await b.press('button', 'Continue as Ulla Brack, 1 answered');
  await b.see('exactly 10/3');
  // And once only: what came in waits no more.
  expect(
    await b.driver.executeScript(
      'return Object.keys(localStorage).filter((k) => k.includes("waiting"))',
    ),
  ).toEqual([]);
});

test('a page that is put away keeps what was typed at once, without waiting for a pause', async () => {
  const page = run.at('/teach/lessons/name-the-parts');
  await b.open(page);
  await b.role('textbox', 'Title of the lesson');
  // No pause ever ends: what is kept is not kept by the clock.
  await b.driver.executeScript('window.setTimeout = () => 0');
  await b.fill('textbox', 'Title of the lesson', 'Put away in a hurry');
  await b.see('Not saved yet');
  await b.driver.executeScript(`
    Object.defineProperty(document, 'visibilityState', { value: 'hidden' });
    document.dispatchEvent(new Event('visibilitychange'));`);
  await b.driver.wait(async () => !(await b.text()).includes('Not saved yet'), PATIENCE_MS);
  await b.open(page);
  await b.holds('textbox', 'Title of the lesson', 'Put away in a hurry');
});

test('a prediction that is typed, and the step, survive a reload; answers of two tabs are one record', async () => {
  await b.open(run.at(LESSON));
  await b.fill('textbox', /Your name/, 'Ina Spar');
  await b.press('button', 'Begin');
  const field = await b.driver.wait(
    async () => (await b.driver.findElements(By.css('.prediction-number input')))[0],
    PATIENCE_MS,
  );
  await field!.sendKeys('1', ',', '5');
  await b.press('radio', 'a guess');
  await b.driver.sleep(400);
  await b.driver.navigate().refresh();
  await b.see('Commit prediction');
  const again = await b.driver.findElement(By.css('.prediction-number input'));
  expect(await again.getAttribute('value')).toBe('1.5');
  await b.press('button', 'Commit prediction');
  await b.see(/The model/i);
  const first = await b.driver.getWindowHandle();

  // The same attempt in a second tab: what was answered is answered there too.
  await b.driver.switchTo().newWindow('tab');
  const second = await b.driver.getWindowHandle();
  await b.open(run.at(LESSON));
  await b.press('button', /Ina Spar/);
  await b.see(/The model/i);
  await b.driver.close();
  await b.driver.switchTo().window(first);
  expect(second).not.toBe(first);
});

test('a comma with three digits is asked about, and nothing is taken until it is said', async () => {
  await b.open(run.at(LESSON));
  await b.fill('textbox', /Your name/, 'Bo Rudder');
  await b.press('button', 'Begin');
  await b.see('Commit prediction');
  const field = await b.driver.findElement(By.css('.prediction-number input'));
  await field.sendKeys('1,234');
  await b.press('radio', 'a guess');
  await b.see('Which of the two do you mean?');
  expect(await (await b.role('button', 'Commit prediction')).isEnabled()).toBe(false);
  await b.press('button', '1.234');
  expect(await (await b.role('button', 'Commit prediction')).isEnabled()).toBe(true);
  await field.sendKeys(Key.TAB);
});

test('an edited record is told, a forged score does not count, and two of one number are shown', async () => {
  const made = async () => {
    const keys = await b.driver.executeAsyncScript<string[]>(
      `const done = arguments[0];
       const open = indexedDB.open('fair-sprocket');
       open.onsuccess = () => {
         const keys = open.result.transaction('documents').objectStore('documents').getAllKeys();
         keys.onsuccess = () => { open.result.close(); done(keys.result); };
       };`,
    );
    const own: Attempt[] = [];
    for (const key of keys.filter((k) => k.startsWith('attempt:k')))
      own.push((await stored<{ attempt: Attempt }>(key)).attempt);
    return own.find((a) => a.student === 'Ina Spar')!;
  };
  const attempt = await made();
  expect(attempt.seal?.links).toHaveLength(1);
  const forged = {
    ...attempt,
    answers: attempt.answers.map((a) => ({ ...a, score: 1 })),
  };
  await b.open(run.at('/teach/class-book'));
  await chooseFile(b, writeFile(b, 'forged.attempt.json', JSON.stringify(forged)));
  await b.see('Two records of one number differ');
  await b.press('button', 'Replace mine');
  await b.see('is in the place of what was here');
  await b.press('combobox', 'Lesson');
  await b.driver.executeScript(
    `[...document.querySelectorAll('.ant-select-item-option')].find((o) => o.textContent.includes(${JSON.stringify(attempt.lesson.title)})).click()`,
  );
  await b.see('changed after it was sealed, from answer 1 on');
  await b.press('button', 'Undo');
  await b.see('is as it was before');
  await b.driver.wait(
    async () => !(await b.text()).includes('changed after it was sealed'),
    PATIENCE_MS,
  );
});

test('once the page has settled, work comes out as a file with no server', async () => {
  await b.open(run.at('/teach/lessons/name-the-parts'));
  // The rescue path is the first thing that is kept.
  await b.kept();
  await b.offline(true);
  try {
    await b.press('button', 'Export');
    const file = await downloaded(b, '.lesson.zip');
    expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK');
  } finally {
    await b.offline(false);
  }
});

test('a part that can’t be fetched says so on its screen, and comes when the server is back', async () => {
  await b.open(run.at('/teach/lessons'));
  const block = (urls: string[]) => b.devtools('Network.setBlockedURLs', { urls });
  // The browser may have kept the part from another visit.
  await b.devtools('Network.enable', {});
  await block(['*ClassBookScreen*', '*ConfidenceChart*']);
  await b.offline(true);
  try {
    await b.press('link', 'Class book');
    await b.see('This part could not be fetched');
    await b.offline(false);
    await b.press('button', 'Try again');
    // The server answers, but has no such part any more.
    await b.see('A new version is here');
    // So does one within a screen, in its own place: all else is there.
    await block(['*ConfidenceChart*']);
    await b.press('button', 'Try again');
    await b.see('What each student predicted first');
    await b.see('A new version is here');
    expect(await b.count('main')).toBe(1);
  } finally {
    await b.offline(false);
    await block([]);
  }
  await b.press('button', 'Try again');
  await b.see('What each student predicted first');
  await b.driver.wait(
    async () => (await b.driver.findElements(By.css('main canvas'))).length > 0,
    PATIENCE_MS,
  );
  // The browser tells of every request that failed.
  await b.consoleProblems();
});

test('over plain http, without locks and without a key of the browser’s own, the same holds', async () => {
  // Not a loopback address to the browser: no secure context.
  const plain = run.at('').replace('127.0.0.1', 'shop.test');
  await b.open(`${plain}/learn/lessons/what-the-held-part-feels`);
  expect(await b.driver.executeScript('return [isSecureContext, "locks" in navigator]')).toEqual([
    false,
    false,
  ]);
  await b.fill('textbox', /Your name/, 'Plain Http');
  await b.press('button', 'Begin');
  await b.see('Commit prediction');
  await (await b.driver.findElement(By.css('.prediction-number input'))).sendKeys('2');
  await b.press('radio', 'a guess');
  await b.press('button', 'Commit prediction');
  await b.see(/The model/i);
  await b.driver.wait(async () => {
    const attempts = await b.driver.executeAsyncScript<{ attempt: Attempt }[]>(
      `const done = arguments[0];
       const open = indexedDB.open('fair-sprocket');
       open.onsuccess = () => {
         const all = open.result.transaction('documents').objectStore('documents').getAll();
         all.onsuccess = () => { open.result.close(); done(all.result.filter((r) => r.attempt?.student === 'Plain Http').map((r) => ({ attempt: r.attempt }))); };
       };`,
    );
    return attempts[0]?.attempt.seal?.links.length === 1;
  }, PATIENCE_MS);
});
