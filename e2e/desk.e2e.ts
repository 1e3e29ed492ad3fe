import { Key } from 'selenium-webdriver';
import type { Browser } from './browser';
import { typeOption } from './choose';
import { session } from './session';

/** The Fault desk: expect, read, cross out, decide; and what an expert would have done. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const open = async (id: string, door: 'teach' | 'learn' = 'learn') => {
  await b.visit(run.at(`/${door}/faults?case=${id}`));
  await b.see('Set the controls as you would in the seat');
};
const read = async (test: RegExp, expected: string, ...cautions: RegExp[]) => {
  await b.press('button', test);
  for (const caution of cautions) await b.press('checkbox', caution);
  await b.press('radio', expected);
  await b.press('button', 'Take the reading');
  await b.see(/A sound one:/);
};
const name = async (part: string) => {
  await typeOption(b, 'Cause', part);
  await (await b.role('combobox', 'Cause')).sendKeys(Key.ESCAPE);
};
const html = () => b.driver.executeScript<string>('return document.documentElement.outerHTML');

test('an automatic case, from the complaint to the verdict, the cautions seen to', async () => {
  await open('slipway-two-gears');
  await b.see('the engine runs up and nothing pulls');
  await b.see('of 60 shop minutes spent');
  await read(/^Drive D 3/, 'as it should');
  await b.see('as expected');
  await b.press('radio', 'Bonnet and lift');
  await read(/^Colour and smell/, 'bright red', /Fluid is hot/);
  await b.see('brown and burnt');
  await b.see('expected: bright red');
  await b.press('switch', 'cross out for me');
  await b.see('1 of 61 left');
  await name('B1: lining');
  await b.press('radio', 'Strip down');
  await b.press('button', 'Give the verdict');
  await b.see('Found');
  await b.see('And rightly: Strip down.');
  await b.see(/An expert’s way: \d+ min/);
});

test('the coupling that fights in circles, stripped without its cautions', async () => {
  await open('quay-hopper');
  await read(/^Tight circle/, 'hops and fights');
  await b.press('radio', 'Bonnet and lift');
  await read(/^Drag at the flange/, 'as it should');
  await b.see(/N·m/);
  await b.press('radio', 'Unit out');
  await b.press('button', /^Pack height/);
  await b.press('radio', 'low');
  await b.press('button', 'Take the reading');
  await name('ball ramp');
  await b.press('radio', 'Adjust');
  await b.press('button', 'Give the verdict');
  await b.see('What it needs: Strip down.');
  await b.see(
    'Done without the cautions: Tight circle, slowly, Drag at the flange, Pack height by caliper.',
  );
  await b.see('Could tell nothing when you did it');
});

test('the controls say what can be tried, and a manual box is one of them', async () => {
  await open('crane-truck-second');
  await b.press('radio', 'off');
  await b.see('M 3 with everything standing');
  await b.press('button', 'M 3');
  expect(await b.text()).not.toContain('M 2 with everything standing');
  await read(/^M 3 with everything standing/, 'goes in');
  await b.press('radio', 'runs');
  await read(/^M 3 with double de-clutch/, 'clean');
  await b.see('as expected');
});

test('a case is drawn for the same machine, and nothing tells its cause', async () => {
  await open('ferry-odd-gears', 'teach');
  await b.press('button', 'Draw a case');
  await b.see('Ferry dual-clutch six-speed, drawn');
  await b.see('Set the controls as you would in the seat');
  expect(await html()).not.toMatch(/data-true="true"|data-named="true"/);
});

test('before the verdict the page holds no answer', async () => {
  await open('lazy-on-the-ramp');
  const page = await html();
  expect(page).not.toMatch(/data-true="true"/);
  expect(page).not.toContain('Pressure cable: set too long');
  expect(page).not.toContain('Nothing inside is broken yet');
  // Nor does the shelf: an instructor's notes stay in the editor.
  await b.visit(run.at('/teach/models/cases'));
  await b.see('Yard tractor, lazy on the ramp');
  expect(await b.text()).not.toContain('Nothing inside is broken yet');
});

test('the editor refuses a case that nobody would notice, and says why', async () => {
  await b.visit(run.at('/teach/models/cases/pier-crawler'));
  await b.see('What the driver notices');
  await b.see(/An expert’s way: \d+ min/);
  await typeOption(b, 'Cause 1', 'too little');
  const far = await b.role('combobox', 'How far it has gone');
  await far.click();
  await far.sendKeys(Key.ARROW_UP, Key.ENTER);
  await b.see('This case can’t be given out');
  await b.see('The cause changes nothing that a driver would notice.');
});
