import { Key } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';
import { chooseOption } from './choose';
import { bytesOf, downloaded } from './files';
import { session } from './session';

/** The Shift bench: lever, pedal and speed move spools; what is set or broken shows in plan, map and shift. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const headline = () =>
  b.driver.executeScript<string>(
    'return (document.querySelector(".shift-headline")?.innerText ?? "").replace(/\\s+/g, " ")',
  );
const shows = (text: string) =>
  b.driver
    .wait(async () => (await headline()).includes(text), PATIENCE_MS)
    .catch(async () => {
      throw new Error(`expected the bench to show ${text}, it shows ${await headline()}`);
    });
const slide = async (name: string, key: string, times: number) => {
  const handle = await b.role('slider', name);
  await b.driver.executeScript('arguments[0].focus()', handle);
  for (let k = 0; k < times; k++) await handle.sendKeys(key);
};

/** What has the focus would take the arrows for itself. */
const offTheKeys = () => b.driver.executeScript('document.activeElement?.blur()');

/** Fifty revolutions a minute for each key. */
const faster = async (times: number) => {
  const key = times > 0 ? Key.ARROW_RIGHT : Key.ARROW_LEFT;
  for (let k = 0; k < Math.abs(times); k += 10)
    await b.driver
      .actions()
      .sendKeys(...Array.from({ length: Math.min(10, Math.abs(times) - k) }, () => key))
      .perform();
};

test('driven faster, the gears come in their order; slower, they go back later', async () => {
  await b.visit(run.at('/teach/shift/quay-four'));
  await shows('D1 of the chart');
  await b.role('group', /^1–2 shift valve: down/);
  await b.role('group', /^C1 piston: on/);
  await faster(28);
  await shows('D2 of the chart');
  await b.role('group', /^1–2 shift valve: up/);
  await b.role('group', /^B1 piston: on/);
  await faster(50);
  await shows('D4 of the chart');
  await faster(-78);
  await shows('D1 of the chart');
  await b.press('radio', 'R');
  await shows('R of the chart');
  await shows('on: C2, B2');
});

test('a valve that sticks takes its gear away from the map and the road', async () => {
  await b.visit(run.at('/teach/shift/quay-four'));
  await b.press('radio', 'D');
  await chooseOption(b, 'Break it', '1–2 shift valve: stuck down');
  await b.press('radio', 'Shift map');
  await b.see('1 to 2 never comes');
  await chooseOption(b, 'Break it', 'nothing is broken');
  await b.driver.wait(async () => !(await b.text()).includes('never comes'), PATIENCE_MS);
});

test('a shift over time: a broken accumulator spring makes it late, beside what it was before', async () => {
  await b.visit(run.at('/teach/shift/quay-four'));
  await b.press('radio', 'Shift over time');
  await b.see('smooth');
  await b.press('button', 'Keep as “before”');
  await chooseOption(b, 'Break it', 'B1 accumulator: spring broken');
  const felt = () =>
    b.driver.executeScript<string>(
      'return [...document.querySelectorAll(".shift-verdicts tr")].map((r) => r.innerText.replace(/\\s+/g, " ")).find((r) => /felt/i.test(r)) ?? ""',
    );
  await b.driver.wait(async () => /drags on smooth$/.test((await felt()).trim()), PATIENCE_MS);
});

test('with a lock-up: on from third gear, gone under the floor, and stuck on it kills the engine', async () => {
  await b.visit(run.at('/teach/shift/quay-four?plan=quay-lock-up'));
  await chooseOption(b, 'Break it', 'nothing is broken');
  await shows('lock-up off');
  await offTheKeys();
  await faster(22);
  await shows('lock-up on: it can hold');
  await b.role('group', /^Lock-up valve: up/);
  await b.press('radio', 'Shift map');
  await b.press('radio', 'Figures');
  await b.see(/lock-up off/i);
  await slide('Throttle', Key.END, 1);
  await shows('lock-up off');
  await offTheKeys();
  await faster(-22);
  await chooseOption(b, 'Break it', 'Lock-up valve: stuck up');
  await shows('it drags the engine down');
  await b.see('The lock-up is on at a standstill, too');
});

test('what a driver would say follows from what is broken', async () => {
  await b.visit(run.at('/teach/shift/quay-four?plan=quay-valves'));
  await chooseOption(b, 'Break it', '2–3 shift valve: stuck down');
  await b.see('2 to 3: never');
  await chooseOption(b, 'Break it', 'C1 feed: covered by the wrong gasket');
  await b.see('In D the oil applies nothing.');
  await chooseOption(b, 'Break it', 'nothing is broken');
  await b.driver.wait(async () => !(await b.text()).includes('applies nothing'), PATIENCE_MS);
});

test('two schools of one shift side by side: firm heats its plates less', async () => {
  await b.visit(run.at('/teach/shift/quay-four?plan=quay-valves'));
  await b.press('radio', 'Shift over time');
  await b.press('radio', 'Two schools');
  const heats = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".shift-verdicts tbody tr")].filter((r) => /heat/i.test(r.innerText)).flatMap((r) => [...r.querySelectorAll("td")].map((c) => c.innerText))',
    );
  const kelvin = (text: string) => Number(/\+([\d.]+)/.exec(text)?.[1]);
  await b.driver.wait(async () => (await heats()).length === 2, PATIENCE_MS);
  const [soft, firm] = (await heats()).map(kelvin);
  expect(firm).toBeLessThan(soft!);
  await b.press('radio', 'Pressure');
});

test('the pressure test: a slack cable reads low at a stall and right at idle', async () => {
  await b.visit(run.at('/teach/shift/quay-four?plan=quay-valves'));
  await b.press('radio', 'Pressures');
  await b.press('radio', 'Pressure test');
  await b.see('at most five seconds');
  await chooseOption(b, 'Break it', 'Throttle valve: cable slack');
  const line = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".pressure-test tbody tr")].filter((r) => r.cells[0].innerText === "Line").flatMap((r) => [...r.cells].slice(1).map((c) => c.innerText))',
    );
  await b.driver.wait(async () => (await line()).some((c) => c.includes('made')), PATIENCE_MS);
  const [idle, , stall] = await line();
  expect([idle!.includes('made'), stall!.includes('made')]).toEqual([false, true]);
  await chooseOption(b, 'Break it', 'nothing is broken');
  await b.press('radio', 'Gauges');
});

test('a control unit forgets what it has learned', async () => {
  await b.visit(run.at('/teach/shift/lighter-six?plan=lighter-electric'));
  await b.press('radio', 'Shift over time');
  await b.press('button', 'Forget what was learned');
  // Nothing is left to forget.
  const forgets = async () => (await b.role('button', 'Forget what was learned')).isEnabled();
  await b.driver.wait(async () => !(await forgets()), PATIENCE_MS);
});

test('the plan goes out as a drawing and as a picture', async () => {
  await b.visit(run.at('/teach/shift/skerry-three'));
  await b.press('button', 'SVG');
  const svg = Buffer.from(bytesOf(await downloaded(b, '.svg'))).toString('utf8');
  expect(svg).toContain('xmlns="http://www.w3.org/2000/svg"');
  // Styles went along: no class is left, and something is filled.
  expect(svg).not.toContain('class=');
  expect(svg).toMatch(/stroke="rgb/);
  await b.press('button', 'PNG');
  const png = bytesOf(await downloaded(b, '.png'));
  expect([...png.subarray(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
  expect(png.length).toBeGreaterThan(10_000);
});

test('a changed plan is kept, stands among the models, and comes back onto the bench', async () => {
  await b.visit(run.at('/teach/shift/quay-four'));
  await chooseOption(b, 'Break it', 'nothing is broken');
  await slide('Cable adjuster', Key.ARROW_RIGHT, 20);
  await b.see(/let out, \d+ % of the travel/);
  await b.press('button', 'Keep this plan');
  await b.see('Quay four-speed, changed');
  await b.visit(run.at('/teach/models/hydraulics'));
  await b.press('link', 'Quay four-speed, changed');
  await b.see(/let out, \d+ % of the travel/);
  await b.visit(run.at('/teach/models/hydraulics/quay-valves'));
  await b.role('region', /Hydraulic plan of/);
});
