import { Key } from 'selenium-webdriver';
import { readFileSync } from 'node:fs';
import { openText, readApplyChart } from '../core/formats';
import { solveUnit, type Unit } from '../core/geartrain';
import { toText } from '../core/numerics';
import type { Browser } from './browser';
import { chooseOption } from './choose';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { session } from './session';

/** The unit editor: a unit is built from nothing, told what is wrong, undone, kept, handed out. */
const run = session(['one', 'two']);
let b: Browser;
beforeAll(() => {
  b = run.browser('one');
});

const pick = (label: string, option: string) => chooseOption(b, label, option);

let file: string;

test('an instructor builds a two-speed from one set, two elements and a one-way clutch', async () => {
  await b.visit(run.at('/teach/models/units'));
  await b.press('button', 'New unit');
  await b.fill('textbox', 'Name of the unit', 'Pilot two-speed');
  await b.see('Nothing wrong found.');
  await b.press('radio', 'Elements');
  await b.press('button', 'Clutch');
  await b.see('C1: no range uses it.');
  await pick('First member of C1', 'Input shaft');
  await pick('Second member of C1', 'Ring');
  await b.press('button', 'Add a range');
  await b.press('button', /^C1 in D 2: open/);
  await b.see('Nothing wrong found.');
  await b.see(/1\.00/);
  await b.press('button', /^B1 in D 2: open/);
  await b.see('D 2: tied up.');
  await b.press('button', 'Undo');
  await b.see('Nothing wrong found.');
  await b.press('button', 'Redo');
  await b.see('D 2: tied up.');
  await b.press('button', 'Undo');
  await b.see('Saved in this browser');
});

test('wrong teeth and contradictory gears are told where they stand', async () => {
  await b.press('radio', 'Gear sets');
  await b.fill('spinbutton', 'Teeth, P1 ring', '71');
  await b.see(/P1: Sun and ring don.t share a centre/);
  await b.press('button', 'Undo');
  await b.press('radio', 'Members');
  await b.press('button', 'New member');
  await b.see('nothing is tied to it.');
  await b.press('button', /^Remove Member/);
  await b.see('Nothing wrong found.');
});

test('the chart goes out as CSV and comes back; a broken one changes nothing', async () => {
  // By the name that it has now.
  await b.driver
    .actions()
    .click(await b.role('textbox', 'Name of the unit'))
    .sendKeys(Key.END, ' renamed')
    .perform();
  await b.press('button', 'Chart as CSV');
  const csv = await downloaded(b, '.chart.csv');
  expect(csv).toMatch(/-renamed\.chart\.csv$/);
  const text = new TextDecoder().decode(bytesOf(csv));
  expect(text).toContain('id,lever,gear,B1,C1,ratio');
  await b.press('button', 'Remove D 2');
  await b.see('C1: no range uses it.');
  const inputs = '.unit-editor-chart input[type=file]';
  await b.driver.executeScript(`document.querySelector('${inputs}').hidden = false`);
  const chooser = await b.driver.findElement({ css: inputs });
  await chooser.sendKeys(csv);
  await b.see('Nothing wrong found.');
  await chooser.sendKeys(writeFile(b, 'bad.csv', 'lever,gear,C1\nD,1,perhaps\n'));
  await b.see('“perhaps” is neither x nor empty');
  await b.see('Nothing wrong found.');
});

test('it is exported, and the file gives the ratios that the screen showed', async () => {
  await b.see('Saved in this browser');
  await b.press('button', 'Export');
  file = await downloaded(b, '.unit.json');
  const opened = openText(new TextDecoder().decode(bytesOf(file)), 'fair-sprocket/unit');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  const unit: Unit = opened.document;
  const chart = unit.ranges.map((r) => {
    const { ratio } = solveUnit(unit, r.apply);
    return `${r.lever} ${r.gear} ${ratio ? toText(ratio) : '–'}`;
  });
  expect(chart).toEqual(['D 1 10/3', 'D 2 1', 'N N –']);
  expect(readApplyChart('lever,gear,C1\nD,1,x\n', unit).ok).toBe(true);
});

test('two tabs edit one unit: both versions are kept', async () => {
  const other = run.browser('two');
  await other.open(run.at('/teach/models/units'));
  await chooseFile(other, file);
  await other.see('is in the library');
  const id = (JSON.parse(readFileSync(file, 'utf8')) as Unit).id;
  const first = await other.driver.getWindowHandle();
  await other.open(run.at(`/teach/models/units/${id}`));
  await other.driver.switchTo().newWindow('tab');
  await other.viewport(1280, 800);
  await other.driver.get(run.at(`/teach/models/units/${id}`));
  await other.fill('textbox', 'Name of the unit', 'Changed in the second tab');
  await other.see('Saved in this browser');
  await other.driver.switchTo().window(first);
  await other.fill('textbox', 'Name of the unit', 'Changed in the first tab');
  await other.see('Another tab changed this model.');
  await other.open(run.at('/teach/models/units'));
  await other.see('Changed in the second tab');
  await other.see('Changed in the first tab (my version)');
});
