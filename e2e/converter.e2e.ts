import { Key } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';
import { chooseOption } from './choose';
import { bytesOf, downloaded } from './files';
import { session } from './session';

/** The Converter bench: stall, coupling, lock-up, and both stator faults. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const out = () =>
  b.driver.executeScript<string>(
    'return (document.querySelector(".bench-side")?.innerText ?? "").replace(/\\s+/g, " ")',
  );
const shows = async (text: string | RegExp) =>
  b.driver
    .wait(async () => {
      const now = await out();
      return typeof text === 'string' ? now.includes(text) : text.test(now);
    }, PATIENCE_MS)
    .catch(async () => {
      throw new Error(`expected the bench to show ${String(text)}, it shows ${await out()}`);
    });
const number = async (pattern: RegExp) =>
  Number(pattern.exec(await out())?.[1]?.replace(/\s/g, ''));

test('at stall the stator holds, torque is multiplied and all power becomes heat', async () => {
  await b.visit(run.at('/teach/converter'));
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
  await shows(/Heat into the fluid 0 kW/i);
  await b.see('Put the brake on');
});

test('a slipping stator multiplies nothing and stalls low; a seized one drags at speed', async () => {
  await b.visit(run.at('/teach/converter'));
  await shows('stator holds');
  const sound = await number(/Stall speed, full throttle ([\d\s]+) rev/);
  const choose = (option: string) => chooseOption(b, /one-way clutch/, option);
  await choose('slips both ways');
  await shows('× 1.00');
  expect(await number(/Stall speed, full throttle ([\d\s]+) rev/)).toBeLessThan(0.9 * sound);
  await choose('seized');
  await shows(/× 2\.\d\d/);
  await b.press('button', 'Brake on: turbine held');
  await shows(/× 0\.\d\d/);
});

/** Moves a slider by so many presses of a key. */
const nudge = async (slider: string, key: string, times: number) => {
  await b.driver.executeScript('arguments[0].focus()', await b.role('slider', slider));
  await b.driver
    .actions()
    .sendKeys(...Array.from({ length: times }, () => key))
    .perform();
};

test('a launch runs in a worker; a steeper road is slower and hotter', async () => {
  await b.visit(run.at('/teach/converter'));
  await b.press('radio', 'Launch');
  await b.see(/After 15 s: [\d.]+ km\/h, gear \d/);
  const share = async () => Number(/fluid \((\d+) % of the work/.exec(await b.text())?.[1] ?? NaN);
  const level = await share();
  await nudge('Grade', Key.ARROW_RIGHT, 15);
  await b.see('Grade 15 %');
  await b.driver.wait(async () => (await share()) > level, PATIENCE_MS);
});

test('the shift map shows the run; a foot to the floor changes down', async () => {
  await b.visit(run.at('/teach/converter'));
  await b.press('radio', 'Launch');
  await b.see('After 15 s');
  await b.press('checkbox', /Foot to the floor/);
  await b.press('radio', 'Shift map');
  await b.see(/gear 2 comes in.*back to gear 1 at 14\.\d s/);
  // Before the second gear is in, there is none to come back from; as quick as keys go, nothing breaks off.
  await nudge('Foot down at', Key.ARROW_LEFT, 6);
  await nudge('Throttle', Key.ARROW_LEFT, 30);
  await b.see('Throttle 30 %');
  await b.see(/In this run: gear 2 (?!.*back to gear).* s\./);
  await b.press('radio', 'Figures');
  await b.see(/Throttle, %/i);
  await b.see(/1 → 2/);
});

test('a sweep shows how far it is, can be cancelled, and draws what it has', async () => {
  await b.visit(run.at('/teach/converter'));
  await b.press('radio', 'Launch');
  await b.see('After 15 s');
  await b.press('radio', 'Sweep');
  await b.press('button', /^Run 25 launches/);
  await b.role('progressbar', /Run 25/);
  await b.press('button', 'Cancel');
  await b.role('button', /^Run 25 launches/);
  await b.press('button', /^Run 25 launches/);
  await b.driver.wait(async () => (await b.count('button', 'Cancel')) === 0, PATIENCE_MS);
  await b.press('radio', 'Figures');
  const rows = () =>
    b.driver.executeScript<number>(
      'return document.querySelectorAll(".curve-figures tbody tr").length',
    );
  expect(await rows()).toBe(25);
});

test('curves can be taken away as a picture and as a table', async () => {
  await b.visit(run.at('/teach/converter'));
  await shows('stator holds');
  await b.press('button', 'PNG');
  const png = bytesOf(await downloaded(b, 'jetty-eleven-inch.png'));
  expect([...png.slice(1, 4)]).toEqual([0x50, 0x4e, 0x47]);
  await b.press('button', 'CSV');
  const csv = new TextDecoder().decode(bytesOf(await downloaded(b, 'jetty-eleven-inch.csv')));
  expect(csv.split('\r\n')).toHaveLength(12);
  expect(csv).toMatch(/^Speed ratio,Torque ratio,Efficiency,"?K, rev/);
});

const put = (what: string) => chooseOption(b, 'On the stand', what);

test('a stall test waits for its checks, ends by itself, and tells low from high', async () => {
  await b.visit(run.at('/teach/converter'));
  await b.press('radio', 'Stall test');
  const start = await b.role('button', 'Full throttle');
  expect(await start.isEnabled()).toBe(false);
  for (const check of [/chocked/, /Park brake/, /Clear space/, /Fluid warm/])
    await b.press('checkbox', check);
  await put('stator slips both ways');
  await b.press('button', 'Full throttle');
  await b.see('Low: the stator slips, or the engine is weak.');
  await b.see(/engine weak: it would give 5\d % of its torque/);
  await b.see(/sluggish off the line/);
  await put('oil pump not driven');
  // Within the page: it lets go by itself after 5 s, however slow the machine is that looks on.
  await b.driver.executeScript(`
    const press = (name) =>
      [...document.querySelectorAll('button')].find((e) => e.textContent === name).click();
    press('Full throttle');
    setTimeout(press, 2500, 'Let go');`);
  await b.see('High: something slips in the unit.');
  await b.see('Level the same: the pump does not turn.');
  await put('water in the fluid');
  await b.see(/milky/);
  await b.see('Water in it: do not drive.');
});

test('in inch-pound units road speed is in miles and heat in horsepower', async () => {
  await b.visit(run.at('/teach/converter'));
  await b.press('button', /^Units: SI/);
  await b.press('radio', 'Launch');
  await b.see(/After 15 s: [\d.]+ mph/);
  await b.see(/°F at most/);
  await shows(/hp/);
  await b.press('button', /^Units:/);
});
