import { readdirSync } from 'node:fs';
import path from 'node:path';
import { Key } from 'selenium-webdriver';
import type { Browser } from './browser';
import { layoutProblems } from './layoutProblems';
import { session } from './session';

/** A lesson at the projector: led by keys, the class's answers on the board, notes in a window of their own. */
const run = session();
let b: Browser;
beforeAll(async () => {
  b = run.browser();
  await b.viewport(1920, 1080);
});
afterAll(() => b.viewport(1280, 800));

const key = (name: string) => b.driver.actions().sendKeys(name).perform();

/** Texts that a back row can't read: letters smaller than 24 px as they stand on the screen. */
const tooSmall = () =>
  b.driver.executeScript<string[]>(`
    const shown = (el) => el.getClientRects().length > 0 && !el.closest('[aria-hidden="true"], .visually-hidden');
    const own = (el) => [...el.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim());
    return [...document.querySelectorAll('main *')].filter((el) => own(el) && shown(el)).flatMap((el) => {
      const m = el.getScreenCTM?.();
      const px = parseFloat(getComputedStyle(el).fontSize) * (m ? Math.hypot(m.a, m.b) : 1);
      return px < 23.5 ? [Math.round(px) + ' px: ' + el.textContent.slice(0, 40)] : [];
    });`);

test('the class calls out, hands are counted by keys, and the most usual answer meets the model', async () => {
  await b.visit(run.at('/teach/lessons/hold-one-drive-one/run'));
  await b.see('What does the class say?');
  expect(await tooSmall()).toEqual([]);
  await key('r');
  expect(await b.text()).not.toMatch(/the model/i);
  for (const ratio of ['2.33', '3.33']) {
    await b.fill('spinbutton', 'Ratio', ratio);
    await b.press('radio', 'same way');
    await b.press('button', 'Write it on the board');
  }
  await b.driver.executeScript('document.activeElement.blur()');
  await key('1');
  await key('1');
  await key('2');
  await b.press('button', /One hand less for 2.33/);
  await key('1');
  await b.driver.executeScript('document.activeElement.blur()');
  await key('r');
  await b.see(/most hands/i);
  await b.see('Partly right');
  await b.see('✓ 3.33');
  expect(await b.text()).not.toContain('fairly sure');
  expect(await tooSmall()).toEqual([]);
  await key(Key.PAGE_DOWN);
  await b.see(/2 of 7/i);
  await key('b');
  await b.see(/1 of 7/i);
  await b.see(/most hands/i);
  await key('.');
  await b.role('button', 'Light again');
  await key('.');
  expect(await b.count('button', 'Light again')).toBe(0);
});

test('the notes window says what is right and who would say what, and leads the wall', async () => {
  const wall = await b.driver.getWindowHandle();
  await b.driver.switchTo().newWindow('window');
  await b.visit(run.at('/teach/lessons/hold-one-drive-one/run/notes'));
  await b.see(/1 of 7/i);
  await b.see('same way, exactly 10/3');
  await b.see(/who says so may think so/i);
  await b.press('button', /Next/);
  await b.see(/2 of 7/i);
  await b.press('button', /Blank/);
  await b.see('The wall is dark.');
  await b.driver.close();
  await b.driver.switchTo().window(wall);
  await b.see(/2 of 7/i);
});

/**
 * `npm test` leads those named, among which each kind of drawing comes, and looks at each slide on one of the smaller screens in
 * turn; `npm run widths` leads every lesson, and looks on all of them.
 */
const ALL = process.env['WIDTHS'] === 'others';
const SMALLER = [
  [1280, 800],
  [360, 740],
  [820, 1180],
] as const;
const LED = ALL
  ? readdirSync('demo/lessons').map((file) => path.basename(file, '.json'))
  : [
      'follow-the-power',
      'why-it-multiplies',
      'draw-the-crossing',
      'one-valve-sticks',
      'two-sides-of-one-sleeve',
      'judge-the-gearbox',
      'pedal-to-plate',
      'before-you-strip-it',
    ];

test.each(LED)(
  '%s: each slide can be read from the back row, and on a smaller screen',
  async (lesson) => {
    await b.visit(run.at(`/teach/lessons/${lesson}/run`));
    await b.see(/1 of \d/);
    const slides = Number(/1 of (\d+)/.exec(await b.text())![1]);
    const found: string[] = [];
    for (let at = 1; at <= slides; at++) {
      await b.viewport(1920, 1080);
      await b.see(`${at} of ${slides}`);
      await b.settled();
      for (const problem of [...(await tooSmall()), ...(await layoutProblems(b))])
        found.push(`slide ${at}: ${problem}`);
      for (const [width, height] of ALL ? SMALLER : [SMALLER[at % SMALLER.length]!]) {
        await b.viewport(width, height);
        await b.settled();
        for (const problem of await layoutProblems(b))
          found.push(`slide ${at} at ${width}: ${problem}`);
      }
      await key('n');
    }
    expect(found).toEqual([]);
  },
);
