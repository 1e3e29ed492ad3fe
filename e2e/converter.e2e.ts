import { Key } from 'selenium-webdriver';
import type { Browser } from './browser';
import { session } from './session';

/** The Converter bench: stall, coupling, lock-up, and both stator faults. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const out = () =>
  b.driver.executeScript<string>(
    'return (document.querySelector(".converter-side")?.innerText ?? "").replace(/\\s+/g, " ")',
  );
const shows = async (text: string | RegExp) =>
  b.driver
    .wait(async () => {
      const now = await out();
      return typeof text === 'string' ? now.includes(text) : text.test(now);
    }, 6000)
    .catch(async () => {
      throw new Error(`expected the bench to show ${String(text)}, it shows ${await out()}`);
    });
const number = async (pattern: RegExp) =>
  Number(pattern.exec(await out())?.[1]?.replace(/\s/g, ''));

test('at stall the stator holds, torque is multiplied and all power becomes heat', async () => {
  await b.open(run.at('/teach/converter'));
  await shows('stator holds');
  await shows(/× 2\.\d\d/);
  await shows('0 % comes out');
  await b.see('Never longer than about 5 seconds.');
  const before = await number(/engine ([\d\s]+) rev/i);
  await b.driver.executeScript('document.activeElement.blur()');
  await b.driver.actions().sendKeys(Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP).perform();
  await shows('75 %');
  expect(await number(/engine ([\d\s]+) rev/i)).toBeGreaterThan(before);
});

test('let go, it couples; locked up, the heat is gone', async () => {
  await b.press('button', 'Brake on: turbine held');
  await shows('stator runs free');
  await shows('× 1.00');
  await b.press('switch', 'Lock-up');
  await shows('locked up');
  await shows(/Heat into the fluid 0 kW/);
  await b.see('Put the brake on');
});

test('a slipping stator multiplies nothing and stalls low; a seized one drags at speed', async () => {
  await b.open(run.at('/teach/converter'));
  await shows('stator holds');
  const sound = await number(/Stall speed, full throttle ([\d\s]+) rev/);
  const choose = async (option: string) => {
    const select = await b.role('combobox', /one-way clutch/);
    await select.sendKeys(Key.ARROW_DOWN);
    await b.driver.sleep(200);
    await b.driver.executeScript(
      `[...document.querySelectorAll('.ant-select-item-option')].find((e) => e.innerText.trim() === arguments[0]).click()`,
      option,
    );
  };
  await choose('slips both ways');
  await shows('× 1.00');
  expect(await number(/Stall speed, full throttle ([\d\s]+) rev/)).toBeLessThan(0.9 * sound);
  await choose('seized');
  await shows(/× 2\.\d\d/);
  await b.press('button', 'Brake on: turbine held');
  await shows(/× 0\.\d\d/);
});

test('a launch runs in a worker; a steeper road is slower and hotter', async () => {
  await b.open(run.at('/teach/converter'));
  await b.press('radio', 'Launch');
  await b.see(/After 15 s: \d+ km\/h in gear \d/);
  const share = async () => Number(/kJ, (\d+) % of the work/.exec(await b.text())?.[1] ?? NaN);
  const level = await share();
  const grade = await b.role('slider', 'Grade');
  await b.driver.executeScript('arguments[0].focus()', grade);
  await b.driver
    .actions()
    .sendKeys(...Array.from({ length: 15 }, () => Key.ARROW_RIGHT))
    .perform();
  await b.see('Grade 15 %');
  await b.driver.wait(async () => (await share()) > level, 6000);
});
