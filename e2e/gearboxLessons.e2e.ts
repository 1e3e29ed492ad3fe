import { Key } from 'selenium-webdriver';
import { answering } from './answering';
import { chooseOption } from './choose';
import type { Browser } from './browser';
import { session } from './session';

/** Questions about sleeves and dual clutches as a student meets them, and as an instructor builds them. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const { begin, commit } = answering(run, () => b);
const choose = (name: string, option: string) => chooseOption(b, name, option);

test('in a lesson, too, sleeves are moved by hand, and a hand-over is drawn', async () => {
  await begin('two-sides-of-one-sleeve');
  await b.press('radio', 'Sleeves');
  await b.press('button', 'Third gear: free of the shaft');
  await b.role('slider', 'H34: in at Third gear');
  await begin('draw-the-crossing');
  await b.press('radio', 'Hand-over');
  await b.role('slider', 'K1 begins to let go');
});

test('the gear that grinds names the side; rounded tips would do something else', async () => {
  await begin('two-sides-of-one-sleeve', /3 One gear grinds/);
  expect(await b.text()).not.toMatch(/blocker ring worn down: H12/);
  await b.press('radio', /rounded/);
  await choose('Side of a sleeve', 'H12, rear side');
  await commit();
  await b.see('Partly right');
  await b.see('Takes grinding for rounded tips.');
  await b.see('blocker ring worn down: H12, rear side');
});

test('two gears at once: the drawing turns only after the commit, and says which one waits', async () => {
  await begin('the-gear-that-waits', /2 First/);
  await b.press('radio', 'it turns');
  await b.press('radio', /a clutch is open/);
  await commit();
  await b.see('Right');
  await b.role('img', 'H24: in at Second gear');
  await b.see('waits');
});

test('a gear set at each mark: what waits is asked of all eight, and each change is told', async () => {
  await begin('the-gear-that-waits', /7 Away/);
  await b.press('radio', 'certain');
  expect(await (await b.role('button', 'Commit prediction')).isEnabled()).toBe(false);
  for (const [seconds, gear] of [2, 3, 4, 5, 4, 4, 3, 2].map((g, k) => [5 * k, g] as const))
    await choose(`Waiting gear from ${seconds} s`, String(gear));
  await commit();
  await b.see('Right');
  await b.see('0.10 s lost in all');
  await b.role('list', 'The gear that waits');
});

test('ramps drawn by keys; the run follows the commit', async () => {
  await begin('draw-the-crossing', /2 Fourth/);
  for (const [end, key, times] of [
    ['K2 begins to let go', Key.ARROW_RIGHT, 5],
    ['K2 has let go', Key.PAGE_DOWN, 3],
    ['K2 has let go', Key.ARROW_RIGHT, 3],
    ['K1 begins to take', Key.PAGE_DOWN, 2],
    ['K1 has taken', Key.PAGE_DOWN, 2],
    ['K1 has taken', Key.ARROW_RIGHT, 3],
  ] as const)
    for (let k = 0; k < times; k++) await (await b.role('slider', end)).sendKeys(key);
  await b.see('K2 lets go 0.10 to');
  await commit();
  await b.see('Right');
  await b.press('radio', 'Figures');
  await b.role('columnheader', 'both together, N·m');
});

test('an instructor wears another side, and the answer follows', async () => {
  await b.visit(run.at('/teach/lessons/two-sides-of-one-sleeve'));
  await b.press('button', /2 One gear refuses/);
  await b.see('tips of sleeve and gear rounded: H34, front side');
  await choose('Side of a sleeve', 'H5R, front side (M 5)');
  await b.see('tips of sleeve and gear rounded: H5R, front side');
  await b.fill('spinbutton', 'Flat on the tips', '0');
  await b.see('Worn so little, the driver notices nothing.');
});
