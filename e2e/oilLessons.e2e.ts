import { By, Key } from 'selenium-webdriver';
import type { Browser } from './browser';
import { PATIENCE_MS } from './browser';
import { session } from './session';

/** Lessons about oil: a plan is driven, traced, and asked about; the plan answers. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const begin = async (lesson: string) => {
  await b.visit(run.at(`/teach/lessons/${lesson}/preview`));
  await b.press('button', 'Begin');
};
const sure = async () => {
  await b.press('radio', 'fairly sure');
  await b.press('button', 'Commit prediction');
};

test('oil is traced by clicking, and a valve that is left out is told', async () => {
  await begin('where-the-oil-goes');
  await b.role('group', /^C1 piston: on/);
  await b.press('button', /^Next/);
  await b.see('Which parts does the oil of C1 come through');
  // Pressures stay hidden until the commit.
  expect(await b.count('button', /^C1 piston: on/)).toBe(0);
  for (const part of ['Pump', 'C1 feed', 'C1 piston']) await b.press('button', part);
  await b.see('3 parts marked');
  await sure();
  await b.see('Left out the valves between pump and piston');
  await b.see('The oil of C1 comes through: Manual valve.');
  await b.role('group', /^C1 piston: on/);
});

test('a slack cable: shift by shift, and the speeds are the plan’s own', async () => {
  await begin('the-slack-cable');
  await b.see('At full throttle the cable has to be taut');
  await b.press('button', /^Next/);
  await b.see('What becomes of each upshift');
  for (const label of ['1 → 2', '2 → 3', '3 → 4']) {
    const group = await b.role('radiogroup', label);
    await b.driver.executeScript(
      'for (const l of arguments[0].querySelectorAll("label")) if (l.innerText.trim() === "late") l.click()',
      group,
    );
  }
  await sure();
  await b.see('Takes a slack cable for late shifts');
  await b.see(/With nothing wrong, 2 comes at \d+ rev\/min/);
});

test('where is the ball: two gauges and a shift, found and sound; a wrong one hears what it would have read', async () => {
  await begin('where-is-the-ball');
  await b.see('whichever side presses pushes it onto the other');
  await b.press('button', /^3 Low in reverse/);
  await b.see('One ball of the separator plate is not in its place');
  const rows = await b.driver.executeScript<string[][]>(
    'return [...document.querySelectorAll(".oil-evidence tbody tr")].map((r) => [...r.children].map((c) => c.innerText))',
  );
  expect(rows.map(([name]) => name)).toEqual(['C0, R', 'C0, N', '3–4 at 40 % throttle']);
  expect(rows[0]![1]).not.toBe(rows[0]![2]);
  expect(rows[1]![1]).toBe(rows[1]![2]);
  expect(rows[2]).toEqual(['3–4 at 40 % throttle', 'does not take hold', 'takes hold']);
  // What presses stays hidden until the commit.
  expect(await b.count('group', /^C0 piston: (on|off)/)).toBe(0);
  await b.press('radio', /^C0 ball, 1 of 2/);
  await sure();
  await b.see('Takes the ball before the element that reads low');
  await b.see(/With the ball out \(C0 ball, 1 of 2 from the valves\) the gauge \(C0, N\) reads/);
  await b.see('C2 ball');
});

test('draw the hand-over: what lets go too soon flares, and the shift runs as it was drawn', async () => {
  await begin('one-goes-one-comes');
  await b.press('button', /^2 Second/);
  await b.see('Draw both pressures so that the shift keeps within');
  // By keys: the band is let go at once, the clutch pressed full only at the end.
  const move = async (name: string, keys: string[]) => {
    const handle = await b.role('slider', name);
    await b.driver.executeScript('arguments[0].focus()', handle);
    await b.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  };
  const away = Array.from({ length: 10 }, () => Key.PAGE_DOWN);
  const full = Array.from({ length: 10 }, () => Key.PAGE_UP);
  for (const time of ['0.1', '0.2', '0.3', '0.4', '0.5', '0.6', '0.7', '0.8'])
    await move(`Pressure at B1 at ${time} s`, away);
  for (const time of ['0.6', '0.7', '0.8']) await move(`Pressure at C3 at ${time} s`, full);
  await sure();
  await b.see('Lets the one go before the other takes');
  await b.see(/For 0\.\d+ s neither can hold all that it has to/);
  await b.see(/C3 can hold it all at 0\.5\d s, B1 lets go at 0\.0\d s/);
  const rows = await b.driver.findElement(By.css('.shift-verdicts')).getText();
  expect(rows).toMatch(/a flare\s+smooth/);
  // What is drawn stays as it was.
  expect(await b.count('slider', /^Pressure at/)).toBe(0);
});

test('bolt by bolt: what was left alone bends, and is seen to at the turn at which it did', async () => {
  await begin('bolt-by-bolt');
  await b.press('button', /^2 Off/);
  // One that was pressed too early is taken back.
  for (const id of 'CAADGJBEHKCCF') await b.press('button', new RegExp(`^Bolt ${id},`));
  await b.see('9 of 10: D G J B E H K C F');
  await b.press('button', 'Start again');
  for (const id of 'ADGJBEHKCF') await b.press('button', new RegExp(`^Bolt ${id},`));
  await b.press('radio', 'each right out before the next');
  await sure();
  await b.see('Goes from one end of the body to the other');
  await b.see(/F then held alone and pulled/);
  const bent = await b.role('img', /^Bolt F, M6: 1\d\d %/);
  expect(await bent.getAttribute('class')).toContain('is-bent');
  await b.press('radio', 'Example');
  expect(await b.count('img', /^Bolt .*: 1\d\d %/)).toBe(0);
  await b.see(/4 bolts hold it|3 bolts hold it/);
});

test('kick-down: gear and engine speed', async () => {
  await begin('foot-to-the-floor');
  await b.press('button', /^Next/);
  await b.see('the foot goes to the floor');
  await b.press('radio', '4');
  await b.fill('spinbutton', 'Engine then, slip left out', '800');
  await sure();
  await b.see('Thinks that kick-down only adds pressure');
  await b.driver.wait(async () => (await b.text()).includes('gives way to'), PATIENCE_MS);
});
