import { Key } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';
import { carry, takeOption } from './choose';
import { answering } from './answering';
import { session } from './session';

/** Questions about clutches and packs as a student meets them, and as an instructor builds them. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const { begin, commit } = answering(run, () => b);
const focus = async (role: string, name: string | RegExp) =>
  b.driver.executeScript('arguments[0].focus()', await b.role(role, name));
/** A few at a time, as fingers do: a slider takes each key before the next. */
const keys = async (...list: string[]) => {
  for (let k = 0; k < list.length; k += AT_ONCE) {
    await b.driver
      .actions()
      .sendKeys(...list.slice(k, k + AT_ONCE))
      .perform();
    await b.driver.sleep(40);
  }
};
const AT_ONCE = 4;

test('the order of adjusting, by keyboard; what the fork rod first leaves is told', async () => {
  await begin('pedal-to-plate', /2 Which/);
  await b.see('In which order do you adjust it?');
  await focus('button', /^Move Set the over-centre/);
  await carry(b, Key.ARROW_DOWN);
  await commit();
  await b.see('Set the fork rod first.');
  await b.see('by the book: place 1');
});

test('the free play is set on the drawing; the readings come after the commit', async () => {
  await begin('pedal-to-plate', /3 Set/);
  await b.see('Free play wanted: 15.50 mm – 23.50 mm.');
  expect(await b.text()).not.toMatch(/Free play at the pad/i);
  // On a slow machine keys come quicker than what they change is drawn: none may be lost.
  const slowed = (rate: number) => b.devtools('Emulation.setCPUThrottlingRate', { rate });
  await slowed(12);
  try {
    await focus('slider', 'Turnbuckle moves the pedal');
    await b.driver
      .actions()
      .sendKeys(...Array.from({ length: 34 }, () => Key.ARROW_LEFT))
      .perform();
    await focus('slider', 'Fork rod let out');
    await b.driver
      .actions()
      .sendKeys(...Array.from({ length: 27 }, () => Key.ARROW_RIGHT))
      .perform();
  } finally {
    await slowed(1);
  }
  const stands = async (name: string) =>
    Number(await (await b.role('slider', name)).getAttribute('aria-valuenow'));
  const stood = async () => [
    await stands('Turnbuckle moves the pedal'),
    await stands('Fork rod let out'),
  ];
  const there = [0, 0.0053];
  await b.driver
    .wait(async () => String(await stood()) === String(there), PATIENCE_MS)
    .catch(() => undefined);
  expect(await stood()).toEqual(there);
  await commit();
  await b.see(/Free play at the pad/i);
  await b.see('Right');
});

test('half worn it holds more; the high gear slips first', async () => {
  await begin('new-to-rivets', /2 Half/);
  await b.press('radio', 'it slips');
  await b.fill('spinbutton', 'It can hold', '147');
  await commit();
  await b.see('Counted one face only.');
  await b.press('button', /Next: Which gear first/);
  await b.press('radio', '1');
  await commit();
  await b.see('Expected the low gear to slip first.');
});

test('which noise test, and a start drawn on the slip', async () => {
  await begin('listen-and-start');
  await b.press('radio', 'pedal down, in gear');
  await commit();
  await b.see('Chose a test in which both turn.');
  await b.see(/rev\/min between the races/);
  await b.press('button', /3 Start/);
  await focus('slider', 'Clutch pedal at 0.4 s');
  await keys(...Array.from({ length: 12 }, () => Key.PAGE_DOWN));
  await commit();
  await b.see('The engine stalled.');
  await b.see('one way of many');
});

test('packs: the part, what it carries, what gives first', async () => {
  await begin('plates-and-rings', /2 Set/);
  await b.press('radio', '1.40 mm');
  await commit();
  await b.see('Kept the part that is in.');
  await b.press('button', /Next: Does it carry/);
  await b.fill('spinbutton', 'It carries', '160');
  await commit();
  await b.see('Expected a stronger pack to carry more torque.');
  await b.press('button', /Next: Thinner/);
  await b.press('radio', 'heat in the steels');
  await commit();
  await b.see('Right');
});

test('an instructor adds a clutch question and a bench; the answer is computed at once', async () => {
  await b.visit(run.at('/teach/lessons/plates-and-rings'));
  await b.press('button', /2 Set the clearance/);
  await b.see('The model answers');
  await b.press('button', /Clutch bench/);
  await b.see('move the pedal');
  await b.press('button', /^Question$/);
  const select = await b.driver.executeScript<never>(
    'return [...document.querySelectorAll("[aria-label=\'Kind of question\']")].at(-1)',
  );
  await b.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', select);
  await b.driver.actions().click(select).perform();
  await takeOption(b, 'Which noise test');
  await b.see('first touch, neutral or pedal down, neutral');
});
