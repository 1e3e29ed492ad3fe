import { Key } from 'selenium-webdriver';
import { chooseOption } from './choose';
import type { Browser } from './browser';
import { session } from './session';

/** The break-it switch: choose a fault on a bench and watch what it does. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const choose = (option: string) => chooseOption(b, 'Break it', option);

test('apply bench: a one-way clutch that does not hold leaves first in neutral; seized it brakes', async () => {
  await b.visit(run.at('/teach/apply/skerry-three'));
  await b.see('exactly 61/25');
  await choose('F1: will not hold');
  await b.see('The chart stays that of the sound unit');
  await b.see(/neutral/i);
  expect(await b.text()).not.toContain('exactly 61/25');
  await choose('F1: seized');
  await b.see('exactly 61/25');
  await b.press('radio', 'Coast');
  await b.see('exactly 61/25');
  await choose('nothing is wrong');
  expect(await b.text()).not.toContain('The chart stays');
});

test('ratio bench: the brake lets go, and two parts seize', async () => {
  await b.visit(run.at('/teach/ratio'));
  await b.see('3.33');
  await choose('two parts seize together');
  await b.see('1.00');
  await choose('the brake lets go');
  await b.see(/neutral/i);
  await choose('nothing is broken');
  await b.see('3.33');
});

test('pack bench: a plate left out opens the clearance, and nothing broken is kept', async () => {
  await b.visit(run.at('/teach/clutch/packs'));
  await b.see('nearest to the middle');
  await choose('one friction plate left out');
  await b.see('While it is broken the plates only show.');
  const keep = await b.role('button', /Keep/);
  expect(await keep.isEnabled()).toBe(false);
  await choose('linings glazed');
  await choose('nothing is broken');
  await b.see('nearest to the middle');
});

test('converter and clutch benches break by their own switches', async () => {
  await b.visit(run.at('/teach/converter'));
  const stator = await b.role('combobox', /[Ss]tator/);
  await stator.sendKeys(Key.ARROW_DOWN, Key.ENTER);
  await b.see(/stator/i);
  await b.visit(run.at('/teach/clutch'));
  await b.see('clamps');
});
