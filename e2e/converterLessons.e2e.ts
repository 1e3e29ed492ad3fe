import { By, Key, Origin } from 'selenium-webdriver';
import type { Browser } from './browser';
import { answering } from './answering';
import { carry, chooseOption, takeOption } from './choose';
import { session } from './session';

/** Questions about converters as a student meets them: sketched, operated, read off, predicted, put in order. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const { begin, commit } = answering(run, () => b);
const handle = (ratio: string) => b.role('slider', new RegExp(`at speed ratio ${ratio}$`));
const keys = async (ratio: string, ...list: string[]) => {
  await b.driver.executeScript('arguments[0].focus()', await handle(ratio));
  await b.driver
    .actions()
    .sendKeys(...list)
    .perform();
};

test('a curve is drawn with keys and with the pointer, and the true one is drawn over it', async () => {
  await begin('why-it-multiplies');
  await b.see('Drag the handles up and down');
  expect(await b.text()).not.toMatch(/2\.26/);
  await keys('0.0', Key.PAGE_UP, Key.PAGE_UP, Key.PAGE_UP, Key.ARROW_UP);
  expect(await (await handle('0.0')).getAttribute('aria-valuenow')).toBe('2.3');
  await keys('0.2', Key.PAGE_UP, Key.PAGE_UP);
  await keys('0.4', Key.PAGE_UP);
  await keys('0.6', Key.ARROW_DOWN);
  await keys('0.8', Key.PAGE_DOWN, Key.ARROW_DOWN);
  await keys('0.9', Key.PAGE_DOWN, Key.PAGE_DOWN);
  // The last by pointer: down by a sixth of the paper, half of 3.
  const last = await handle('1.0');
  const paper = await b.driver.executeScript<number>(
    'return document.querySelector(".handle-pad").getBoundingClientRect().height',
  );
  await b.driver
    .actions()
    .move({ origin: last })
    .press()
    .move({ origin: Origin.POINTER, x: 0, y: Math.round((paper - 74) / 6) })
    .release()
    .perform();
  const drawn = Number(await (await handle('1.0')).getAttribute('aria-valuenow'));
  expect(Math.abs(drawn - 1)).toBeLessThan(0.03);
  await commit();
  await b.see('from 2.26 at stall to 1.00');
  await b.see('Right');
  expect(await b.count('slider', /at speed ratio/)).toBe(0);
});

test('a sketch that multiplies at road speed is met with its reason', async () => {
  await begin('why-it-multiplies');
  await b.see('Drag the handles up and down');
  await keys('0.0', Key.PAGE_UP);
  await commit();
  await b.see('Expects multiplication at road speed.');
  await b.see('where it crosses not right');
});

test('operated to a target: no reading until the commit, then the setting’s own', async () => {
  await begin('why-it-multiplies', /3 Make it/);
  await b.see('multiplies by × 1.60');
  expect(await b.text()).not.toMatch(/heat into the fluid/i);
  const throttle = await b.role('slider', 'Throttle');
  await b.driver.executeScript('arguments[0].focus()', throttle);
  await b.driver.actions().sendKeys(Key.END).perform();
  const turbine = await b.role('slider', 'Turbine speed');
  await b.driver.executeScript('arguments[0].focus()', turbine);
  // 1150 rev/min by steps of ten, no faster than a held key repeats.
  for (let k = 0; k < 115; k++) await b.driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
  await commit();
  await b.see(/heat into the fluid/i);
  await b.see('Right');
});

test('read off and predict: a number wrong for a known reason is told why', async () => {
  await begin('read-the-crossing');
  await b.see('at what speed does the engine run?');
  await b.fill('spinbutton', 'Stall speed', '2500');
  await commit();
  await b.see('Gave the governed speed for another.');
  await b.press('button', /^3 A tired engine/);
  await b.press('radio', 'up');
  await b.fill('spinbutton', 'Stall speed', '2300');
  await commit();
  await b.see('Expects less torque to give a higher stall speed.');
  await b.see(/from 2.020 rev\/min to 1.740 rev\/min/);
});

test('both stator faults are predicted for launch and top speed', async () => {
  await begin('stator-and-launch', /2 It is seized/);
  await b.press('radio', 'nowhere: it stays');
  await b.fill('spinbutton', 'Stall speed', '2060');
  await commit();
  await b.see('Right');
  await b.press('button', 'Next: Question 2');
  await b.see('Where does the top speed go');
  await b.press('radio', 'nowhere: it stays');
  await b.fill('spinbutton', 'Top speed', '134');
  await commit();
  await b.see('Expects a seized stator to spare top speed.');
  await b.see(/from 134 km\/h to 125 km\/h/);
});

test('a launch is put in order with the keyboard', async () => {
  await begin('stator-and-launch', /4 A launch/);
  await b.see(/first at the top/i);
  const lift = async (name: RegExp, ...steps: string[]) => {
    const grip = await b.role('button', name);
    await b.driver.executeScript('arguments[0].focus()', grip);
    await carry(b, ...steps);
  };
  const cards = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".order-card")].map((c) => c.innerText)',
    );
  // However they were mixed: each in its turn to its place.
  const wanted = [/moves off/, /wheels pull most/, /stator lets go/, /gear 2/, /lock-up/];
  for (const [place, name] of wanted.entries()) {
    const at = (await cards()).findIndex((c) => name.test(c));
    if (at > place) await lift(name, ...Array.from({ length: at - place }, () => Key.ARROW_UP));
  }
  await commit();
  await b.see('Right');
  await b.see(/moves off at 0\.1 s/);
});

test('an instructor asks a question about a converter, and the lesson carries the models', async () => {
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'New lesson');
  await b.press('button', 'Question');
  const pick = (label: string, option: string) => chooseOption(b, label, option);
  await pick('Kind of question', 'What a change does');
  await b.see('The model answers: down from');
  await pick('What is changed', 'Stator seized');
  await b.see('The model answers: nowhere: it stays');
  await pick('Asks for', 'Top speed');
  await b.see(/Choose a vehicle: a launch needs one|The model answers: down/);
  await pick('Vehicle', 'Yard tow tractor');
  await pick('Unit', 'Skerry three-speed');
  await b.see(/The model answers: down from \d+/);
  await pick('Asks for', 'Stall speed');
  await pick('Converter', 'Slipway converter, measured');
  await b.see('does not say what a broken stator does');
  await pick('What is changed', 'Converter’s size');
  await b.see('The model answers: up from');
  await b.press('button', 'Converter');
  await b.see(/student may/i);
  await b.see('Saved');
});

test('a student’s record about a converter is kept, and stands in the class book', async () => {
  await b.visit(run.at('/learn/lessons/read-the-crossing'));
  await b.fill('textbox', /Your name/, 'Brin Sheave');
  await b.press('button', 'Begin');
  await b.fill('spinbutton', 'Stall speed', '2010');
  await commit();
  await b.see('Right');
  await b.press('button', /^Your record/);
  await b.see('Brin Sheave');
  await b.driver.get(run.at('/teach/class-book'));
  await b.see('How sure');
  await b.driver.findElement(By.css('.class-book-lesson .ant-select')).click();
  await b.driver.sleep(250);
  // The list is a long one: the lesson stands further down.
  const select = await b.driver.switchTo().activeElement();
  await select.sendKeys(...Array.from({ length: 10 }, () => Key.ARROW_DOWN));
  await b.driver.sleep(250);
  await takeOption(b, /Read off the crossing/);
  await b.see('Brin Sheave');
  await b.see('Pell Dunmoor');
  await b.see('Expects less torque to give a higher stall speed');
});

test('a bench in a lesson lets the student do what the instructor allows, and nothing else', async () => {
  await begin('why-it-multiplies', /4 Try it/);
  await b.see('through the fluid');
  expect(await b.count('combobox', /one-way clutch/)).toBe(0);
  await b.press('button', /^Brake on/);
  await b.see('stator runs free');
  await b.press('switch', 'Lock-up');
  await b.see('locked up');
  await begin('stator-and-launch', /3 See both/);
  await b.role('combobox', /one-way clutch/);
});

test('with the server gone a converter question still opens, runs and is graded', async () => {
  await b.visit(run.at('/teach/lessons'));
  await b.see('Read off the crossing');
  await b.kept();
  await b.offline(true);
  try {
    await b.driver.executeScript(
      `[...document.querySelectorAll('a')].find((a) => a.getAttribute('href') === '/teach/converter').click()`,
    );
    await b.see('through the fluid');
    await b.press('radio', 'Launch');
    await b.see('After 15 s');
  } finally {
    await b.offline(false);
  }
});
