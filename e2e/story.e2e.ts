import path from 'node:path';
import { By, Key, Origin, until } from 'selenium-webdriver';
import { openText, readEverything, readPack } from '../core/formats';
import { openBrowser, PATIENCE_MS, type Browser } from './browser';
import { carry } from './choose';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { session } from './session';

/** The whole way: a lesson is made, handed out, worked through, and its record read in the class book. */
const run = session(['instructor', 'student']);
let instructor: Browser;
let student: Browser;
let lessonFile: string;
let recordFile: string;
beforeAll(() => {
  instructor = run.browser('instructor');
  student = run.browser('student');
});

const names = (b: Browser, css: string) =>
  b.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(arguments[0])].map((e) => e.innerText.trim())',
    css,
  );

test('an instructor builds a lesson, tries it, and exports it', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons'));
  expect(await b.count('heading', /Hold one, drive one/)).toBe(1);
  await b.press('button', 'New lesson');
  await b.fill('textbox', 'Title of the lesson', 'The slip at quay two');
  await b.fill('textbox', 'Title of the step', 'Hold the ring');
  // One at a time: an editor that opens moves the buttons below it.
  for (const [k, kind] of ['Text', 'Caution', 'Live gear set', 'Question'].entries()) {
    await b.press('button', kind);
    await b.driver.wait(async () => (await names(b, '.block-card')).length === k + 1, PATIENCE_MS);
  }
  const text = await b.role('textbox', 'Text');
  await text.click();
  await text.sendKeys('The band holds the ring.');
  // Two spaces stay two, by a style sheet that no other editor takes with it when it closes.
  expect(await text.getCssValue('white-space-collapse')).toBe('break-spaces');
  expect(await b.driver.findElements(By.css('style[data-tiptap-style]'))).toEqual([]);
  await text.sendKeys(Key.ENTER);
  await b.press('button', 'Numbered list');
  await text.sendKeys('The band first.', Key.ENTER, 'The drum after it.');
  await b.see(/The model answers:\s*3\.33/);
  await b.see('Saved');

  await b.press('button', 'Add step');
  await b.see('2 Step 2');
  await b.press('button', 'Undo');
  await b.driver.wait(async () => (await names(b, '.builder-steps li')).length === 1, PATIENCE_MS);
  await b.press('button', 'Redo');
  await b.see('2 Step 2');
  await b.see('Saved');

  // It opens at the step that is being built.
  await b.press('link', 'Try as a student');
  await b.press('button', 'Begin');
  await b.press('button', /^1 Hold the ring/);
  await b.see('The band holds the ring.');
  await b.see(/The band first\.\s+The drum after it\./);
  await b.see('Stands still until you commit.');
  // Back at the step that was looked at, and what was done before can still be undone.
  await b.press('link', 'Back to the builder');
  expect(await (await b.role('textbox', 'Title of the step')).getAttribute('value')).toBe(
    'Hold the ring',
  );
  expect(await (await b.role('button', 'Undo')).isEnabled()).toBe(true);
  await b.press('button', 'Export');
  lessonFile = await downloaded(b, '.lesson.zip');
  const pack = readPack(bytesOf(lessonFile));
  if (!pack.ok) throw new Error(JSON.stringify(pack.failure));
  expect(pack.pack.lesson.steps[0]!.blocks.map((x) => x.kind)).toEqual([
    'text',
    'caution',
    'bench',
    'question',
  ]);
});

test('steps are reordered by dragging and by the keyboard, and the order survives a reload', async () => {
  const b = instructor;
  const steps = async () =>
    (await names(b, '.builder-steps .builder-step-name')).map((s) => s.slice(2));
  expect(await steps()).toEqual(['Hold the ring', 'Step 2']);
  const from = await b.role('button', 'Move Hold the ring');
  const to = await b.role('button', 'Move Step 2');
  await b.driver
    .actions({ async: true })
    .move({ origin: from })
    .press()
    .move({ origin: Origin.POINTER, x: 0, y: 8, duration: 50 })
    .move({ origin: to, x: 0, y: 6, duration: 300 })
    .pause(100)
    .release()
    .perform();
  await b.driver.wait(async () => (await steps())[0] === 'Step 2', PATIENCE_MS);

  const grip = await b.role('button', 'Move Hold the ring');
  await b.driver.executeScript('arguments[0].focus()', grip);
  await carry(b, Key.ARROW_UP);
  await b.driver.wait(async () => (await steps())[0] === 'Hold the ring', PATIENCE_MS);
  await b.see('Saved');
  await b.driver.navigate().refresh();
  await b.see('2 Step 2');
  expect(await steps()).toEqual(['Hold the ring', 'Step 2']);
});

test('a student opens the file, predicts, is told why, practises, and exports the record', async () => {
  const b = student;
  await b.visit(run.at('/learn/lessons'));
  await chooseFile(b, lessonFile);
  await b.see('is in the library');
  await b.press('link', 'The slip at quay two');
  await b.press('button', 'Begin');
  await b.see('Type your name first.');
  await b.fill('textbox', /Your name/, 'Wend Halyard');
  await b.press('button', 'Begin');

  await b.see('What ratio comes out at the carrier, and which way does it turn?');
  // All that the page says in any way: text, labels, titles, values, data.
  const said = await b.driver.executeScript<string>(`
    const spoken = (a) => /^(aria-|title|alt|value|data-)/.test(a.name);
    return document.body.innerText + [...document.querySelectorAll('main, main *')]
      .flatMap((e) => [...e.attributes].filter(spoken).map((a) => a.value)).join(' ');`);
  for (const giveaway of ['3.33', '10/3', '360']) expect(said).not.toContain(giveaway);
  const still = await b.driver.executeScript<string>(
    'return document.querySelector("[data-drawing] g g").getAttribute("transform")',
  );
  expect(await (await b.role('button', 'Commit prediction')).isEnabled()).toBe(false);
  await b.fill('spinbutton', 'Ratio', '2.33');
  await b.press('radio', 'same way');
  await b.press('radio', 'fairly sure');
  await b.press('button', 'Commit prediction');

  await b.see('Left the carrier’s own turn out.');
  await b.see(/The model/i);
  await b.see('3.33');
  await b.see('exactly 10/3');
  await b.press('button', 'Work it out');
  await b.see('Strike out the part that stands');
  await b.press('button', 'One tooth on');
  const moved = await b.driver.executeScript<string>(
    'return document.querySelectorAll("[data-drawing] [transform]").length + document.querySelector("[data-drawing] .part-drives g").getAttribute("transform")',
  );
  expect(moved).not.toContain(still);

  await b.press('button', 'Try again with new teeth');
  await b.see('Commit prediction');
  expect(await b.text()).not.toMatch(/30 teeth[\s\S]*70 teeth/);
  await b.press('button', 'Your record');
  await b.see('Record of Wend Halyard');
  await b.see('50 %');
  await b.press('button', 'Export record');
  recordFile = await downloaded(b, '.attempt.json');
  const record = openText(new TextDecoder().decode(bytesOf(recordFile)), 'fair-sprocket/attempt');
  if (!record.ok) throw new Error(JSON.stringify(record.failure));
  expect(record.document.answers[0]).toMatchObject({
    score: 0.5,
    misconception: 'forgot-one-plus',
  });
  expect(record.document.finishedAt).toBeDefined();

  await b.press('link', 'My records');
  await b.see('Wend Halyard');
});

test('the instructor imports the record and reads it in the class book', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/class-book'));
  await b.see('Tova Relnik');
  await chooseFile(b, recordFile);
  await b.see('is in the class book');
  await b.driver.findElement(By.css('.class-book-lesson .ant-select')).click();
  await b.driver.executeScript(
    'const o = [...document.querySelectorAll(".ant-select-item-option")].find((x) => x.innerText.includes("quay two")); o.click()',
  );
  await b.see('Wend Halyard');
  await b.see('Left the carrier’s own turn out');
  await b.press('button', 'What to ask next');
  await b.see(/Ask next: .*apart/);
  await b.press('button', /Wend Halyard.*2\.33.*partly right/);
  await b.see('Left the carrier’s own turn out.');
  await b.press('button', 'Export CSV');
  const csv = new TextDecoder().decode(bytesOf(await downloaded(b, '.csv')));
  expect(csv).toContain('Wend Halyard');
  expect(csv).toContain('\r\n');
});

test('a picture of the instructor’s own goes into the lesson, the player and the pack', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'New lesson');
  await b.fill('textbox', 'Title of the lesson', 'Worn ring');
  await b.press('button', 'Picture');
  await chooseFile(b, writeFile(b, 'not.png', 'just text'));
  await b.see('That is not a PNG');
  await chooseFile(b, path.resolve('docs/screenshots/home.png'));
  await b.see('Say what the picture shows');
  await b.fill('textbox', /What it shows/, 'Teeth of a worn ring');
  await b.see('Saved');
  await b.press('link', 'Try as a student');
  await b.press('button', 'Begin');
  await b.role('img', 'Teeth of a worn ring');
  await b.driver.navigate().back();
  await b.press('button', 'Export');
  const pack = readPack(bytesOf(await downloaded(b, 'worn-ring.lesson.zip')));
  expect(pack.ok && Object.keys(pack.pack.media)).toEqual([
    expect.stringMatching(/^media\/.*\.png$/),
  ]);
});

test('once loaded, everything works with no server', async () => {
  const b = student;
  await b.visit(run.at('/'));
  await b.kept();
  await b.offline(true);
  await b.press('link', 'Ratio bench at the projector');
  await b.see('exactly 10/3');
  await b.press('link', 'Lessons');
  await b.press('button', 'New lesson');
  await b.fill('textbox', 'Title of the lesson', 'Made at sea');
  await b.press('button', 'Text');
  await b.role('textbox', 'Text');
  await b.see('Saved');
  await b.press('button', 'Export');
  expect(readPack(bytesOf(await downloaded(b, 'made-at-sea.lesson.zip'))).ok).toBe(true);
  await b.press('link', 'Class book');
  await b.see('How sure');
  await b.press('link', 'Apply bench');
  await b.see('Capstan five-speed');
  await b.role('button', /^C1, .*: applied/);
  await b.press('link', 'Converter bench');
  await b.press('radio', 'Launch');
  await b.see('After 15 s');
  await b.offline(false);
});

test('a lesson is drafted from a unit, and is an ordinary one', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'Draft a lesson');
  await b.press('radio', 'The way of the power');
  await b.press('button', 'Draft it');
  await b.see('Saved');
  expect(await b.text()).toMatch(/Trace the power: .+\n/);
  await b.press('link', 'Try as a student');
  await b.press('button', 'Begin');
  await b.see('Move the lever, and follow the power.');
});

test('deleting a lesson can be undone; a duplicate is a lesson of its own', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'More for The slip at quay two');
  await b.press('menuitem', 'Duplicate');
  await b.see('The slip at quay two (copy)');
  await b.press('button', 'More for The slip at quay two (copy)');
  await b.press('menuitem', 'Delete');
  await b.see('is deleted');
  await b.press('button', 'Undo');
  await b.driver.wait(
    async () => (await b.count('heading', 'The slip at quay two (copy)')) === 1,
    PATIENCE_MS,
  );
  await b.press('button', 'More for The slip at quay two (copy)');
  await b.press('menuitem', 'Delete');
  const message = By.xpath('//span[contains(text(), "is deleted")]');
  // A press beside "Undo" does not lose it. Pointed at, it would stand for ever; its own key takes it away.
  await b.driver.wait(until.elementLocated(message), PATIENCE_MS).click();
  await b.role('button', 'Undo');
  await b.press('button', 'Close');
  await b.driver.wait(async () => (await b.driver.findElements(message)).length === 0, PATIENCE_MS);
  expect(await b.count('heading', 'The slip at quay two (copy)')).toBe(0);
});

test('reset demo keeps what the user changed as a copy', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons/two-pinions-in-a-row'));
  await b.fill('textbox', 'Title of the lesson', 'Crane night');
  await b.see('Saved');
  await b.press('link', 'Lessons');
  await b.see('demo, changed by you');
  await b.press('button', 'Reset demo');
  await b.press('button', 'Keep my versions and reset');
  await b.see('Crane night (my version)');
  await b.see('Two pinions in a row');
  expect(await b.text()).not.toContain('changed by you');
});

test('all of it in one file, and back again on a device that has nothing', async () => {
  const b = instructor;
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'Take all along');
  await b.see(/In one file: \d+ lessons/);
  const file = await downloaded(b, `${new Date().toISOString().slice(0, 10)}.zip`);
  const all = readEverything(bytesOf(file));
  if (!all.ok) throw new Error(all.failure.cause);
  expect(all.files.some((f) => f.folder === 'class')).toBe(true);
  const elsewhere = await openBrowser();
  try {
    await elsewhere.open(run.at('/teach/lessons'));
    await elsewhere.see('Hold one, drive one');
    expect(await elsewhere.text()).not.toContain('The slip at quay two');
    await chooseFile(elsewhere, file);
    await elsewhere.see('The slip at quay two');
    await elsewhere.see(/lesson\.zip/);
    expect(await elsewhere.consoleProblems()).toEqual([]);
  } finally {
    await elsewhere.quit();
  }
});
