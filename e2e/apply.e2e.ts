import { By, Key, until } from 'selenium-webdriver';
import { openText } from '../core/formats';
import { PATIENCE_MS, type Browser } from './browser';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { session } from './session';

/** Units and the Apply bench: what is on, what comes out. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const out = () =>
  b.driver.executeScript<string>(
    'return (document.querySelector(".headline")?.innerText ?? "").replace(/\\s+/g, " ")',
  );
const shows = async (text: string) =>
  b.driver
    .wait(async () => (await out()).includes(text), PATIENCE_MS)
    .catch(async () => {
      throw new Error(`expected the bench to show ${text}, it shows ${await out()}`);
    });

test('a unit is opened, its section drawn, and a row of the chart put on the bench', async () => {
  await b.visit(run.at('/teach/models/units'));
  await b.press('link', 'Skerry three-speed');
  await shows('2.44 exactly 61/25 same way');
  await b.role('button', 'C1, Forward clutch: applied');
  await b.role('img', 'F1, Low one-way: holds by itself');
  await b.press('button', /^2.*put D2 on the bench/);
  await shows('1.44 exactly 36/25');
  await b.role('img', 'F1, Low one-way: runs over');
});

test('elements are switched on the drawing, by mouse and by key; one-way clutches are not', async () => {
  await b.visit(run.at('/teach/apply/skerry-three'));
  await shows('2.44');
  const band = await b.role('button', 'B1, Second band: open');
  await b.driver.executeScript('arguments[0].focus()', band);
  await band.sendKeys(Key.ENTER);
  await shows('1.44');
  await b.driver.executeScript(
    'document.querySelector("[aria-label^=B2]").dispatchEvent(new MouseEvent("click", { bubbles: true }))',
  );
  await shows('tied up');
  await b.see('Too much is on');
  expect(await b.count('button', /^F1/)).toBe(0);
});

test('two presses at once both count, on the drawing and in the chart, although both are drawn later', async () => {
  await b.visit(run.at('/teach/apply/skerry-three'));
  await shows('2.44');
  // What is pressed is drawn between two presses; what is drawn later is not.
  const pressAll = (selectors: readonly string[]) =>
    b.driver.executeScript(
      `return (async () => {
        for (const s of arguments[0]) {
          document.querySelector(s).dispatchEvent(new MouseEvent("click", { bubbles: true }));
          for (let k = 0; k < 10; k++) await null;
        }
      })()`,
      selectors,
    );
  await b.role('button', 'B1, Second band: open');
  await pressAll(['.section-view [aria-label^=B1]', '.section-view [aria-label^=B2]']);
  await shows('tied up');
  await b.press('button', /^1.*put D1 on the bench/);
  await shows('2.44');
  const current = 'tr[aria-current=true] [aria-label*="B1"]';
  await b.driver.wait(until.elementLocated(By.css(current)), PATIENCE_MS);
  await pressAll([current, 'tr[aria-current=true] [aria-label*="B2"]']);
  await shows('tied up');
});

test('drive and coast: a one-way clutch alone gives no engine braking', async () => {
  await b.visit(run.at('/teach/apply/harbour-trainer'));
  await shows('2.44');
  await b.driver.actions().sendKeys('c').perform();
  await shows('neutral');
  await b.driver.actions().sendKeys('8').perform();
  await shows('2.44');
  const rows = await b.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(".apply-chart tbody tr")].map((r) => r.cells[r.cells.length - 2].innerText)',
  );
  expect(rows).toEqual(['–', 'yes', '–', 'none', 'none', 'yes', 'yes', 'yes']);
});

test('a wide unit is laid out away from the page, scrolls instead of shrinking, and is shown whole when asked', async () => {
  const wider = () =>
    b.driver.executeScript<number>(
      'const s = document.querySelector(".section-scroll"); return s ? document.querySelector(".section-view").getBoundingClientRect().width - s.clientWidth : NaN',
    );
  await b.visit(run.at('/teach/apply/ferry-dual'));
  await shows('9.86');
  await b.role('button', 'Whole');
  expect(await wider()).toBeGreaterThan(100);
  // Its far end is out of sight, and then is not.
  const end = () =>
    b.driver.executeScript<number>(
      'return innerWidth - [...document.querySelectorAll(".section-end")].at(-1).getBoundingClientRect().right',
    );
  expect(await end()).toBeLessThan(0);
  await b.press('button', 'Whole');
  await b.driver.wait(async () => (await wider()) <= 1, PATIENCE_MS);
  expect(await end()).toBeGreaterThan(0);
  await b.press('button', 'Whole');
  await b.driver.wait(async () => (await wider()) > 100, PATIENCE_MS);
  await b.visit(run.at('/teach/apply/skerry-three'));
  await shows('2.44');
  await b.role('button', 'C1, Forward clutch: applied');
  expect(await b.count('button', 'Whole')).toBe(0);
});

test('units go out and come in as files; a broken one is refused with its paths', async () => {
  await b.visit(run.at('/teach/models/units'));
  const first = await b.driver.wait(
    until.elementLocated(By.xpath('(//li//button[contains(., "Export")])[1]')),
    PATIENCE_MS,
  );
  await first.click();
  const file = await downloaded(b, '.unit.json');
  const opened = openText(new TextDecoder().decode(bytesOf(file)), 'fair-sprocket/unit');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  await chooseFile(
    b,
    writeFile(b, 'own.json', JSON.stringify({ ...opened.document, id: 'own', name: 'Own unit' })),
  );
  await b.see('“Own unit” is in the library');
  const broken = { ...opened.document, id: 'broken', input: 'nobody' };
  await chooseFile(b, writeFile(b, 'broken.json', JSON.stringify(broken)));
  await b.see('input: there is no member “nobody”');
  await b.see('Nothing here was changed.');
});

test('the chart is changed by key on the bench, and put back or kept', async () => {
  await b.visit(run.at('/teach/apply/skerry-three'));
  await shows('2.44');
  const cell = await b.role('button', /^C2 in D 1:/);
  await b.driver.executeScript('arguments[0].focus()', cell);
  await b.driver.actions().sendKeys(Key.SPACE).perform();
  await shows('1.00');
  await b.see('You changed the chart.');
  await b.driver.actions().sendKeys(Key.ARROW_DOWN).perform();
  const name = await b.driver.executeScript<string>(
    'return document.activeElement.getAttribute("aria-label")',
  );
  expect(name).toMatch(/^C2 in D 2/);
  await b.press('button', 'Put back');
  expect(await b.count('button', 'Put back')).toBe(0);
});

test('the selector lever drives it, and plus and minus shift', async () => {
  await b.visit(run.at('/teach/apply/quay-four'));
  await b.press('radio', 'R');
  await shows('−2.17');
  await b.press('radio', 'D');
  await shows('2.60');
  await b.driver.executeScript('document.activeElement.blur()');
  await b.driver.actions().sendKeys('++').perform();
  await shows('1.00');
  await b.driver.actions().sendKeys('-').perform();
  await shows('1.51');
});

test('lever, end view, derivation, power and what else are one click away', async () => {
  await b.visit(run.at('/teach/apply/lighter-six'));
  await b.press('radio', 'Lever diagram');
  await b.role('img', /Slow carrier 0\.67/);
  await b.press('radio', 'P2 end');
  await b.role('img', /Sun, .*: (drives|idle|held|driven)/);
  await b.press('button', /^5.*put D5 on the bench/);
  await b.press('radio', 'Why');
  await b.see('Speed in over speed out');
  await b.press('radio', 'Power');
  await b.see('27 % of the input’s power goes round in a circle');
  for (const mesh of [
    'One mesh of two outside gears passes on',
    'One mesh inside a ring passes on',
  ])
    await b.fill('spinbutton', mesh, '100');
  await b.see('100.0 %');
  await b.press('radio', 'What else');
  await b.see(/32 combinations of elements/);
});

test('other teeth are searched in workers, cancelled, and kept as a unit', async () => {
  await b.visit(run.at('/teach/apply/ferry-dual'));
  await b.press('radio', 'What else');
  await b.press('button', 'Other teeth for it');
  await b.press('button', 'Search');
  await b.see(/tried/);
  await b.press('button', 'Cancel');
  await b.role('button', 'Search');
  await b.visit(run.at('/teach/apply/skerry-three'));
  await b.press('radio', 'What else');
  await b.press('button', 'Other teeth for it');
  await b.fill('spinbutton', /Wanted ratio, D 1/, '2.6');
  await b.press('button', 'Search');
  await b.driver.wait(async () => (await b.count('button', 'Keep as a unit')) > 0, PATIENCE_MS);
  await b.driver.executeScript(
    `[...document.querySelectorAll('.ant-modal button')].find((e) => e.innerText === 'Keep as a unit').click()`,
  );
  await b.see('is in the library');
});

test('a sleeve is moved by hand to one of its sides; the interlock holds the others back', async () => {
  await b.visit(run.at('/teach/apply/winch-manual'));
  await b.press('radio', 'Sleeves');
  const move = async (sleeve: RegExp, ...keys: string[]) =>
    (await b.role('slider', sleeve)).sendKeys(...keys);
  await b.role('slider', 'H12: in at First gear');
  await move(/^H12/, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
  await b.role('button', 'Second gear: locked to the shaft');
  await b.see(/The ring brings it there in \d/);
  await b.press('button', 'Third gear: free of the shaft');
  await b.see('The interlock holds H34 back: H12 is in gear.');
  await b.press('checkbox', 'interlock in place');
  await b.press('button', 'Third gear: free of the shaft');
  await b.see(/tied up/i);
  // What binds never meets.
  expect(await b.text()).not.toMatch(/The ring brings it there/);
  await move(/^H12/, Key.ARROW_LEFT);
  await b.role('slider', 'H12: between its gears');
  await b.role('slider', 'H34: in at Third gear');
  // On the section, too: in at one side, a sleeve is out at the other.
  await b.press('radio', 'Section');
  await b.press('button', /^S4, Direct sleeve/);
  await b.press('radio', 'Sleeves');
  await b.role('slider', 'H34: in at Input shaft');
  await b.visit(run.at('/teach/apply/ferry-dual'));
  await b.press('radio', 'Sleeves');
  await b.role('button', 'Second gear: in and waiting, no torque goes through it');
});

test('a dual clutch hands over: the gear that waits, and what the wrong one costs', async () => {
  await b.visit(run.at('/teach/apply/ferry-dual'));
  await b.press('radio', 'Hand-over');
  await b.see('The right gear waits: nothing is lost.');
  await b.see(/30 ms across/);
  const gears = await b.role('combobox', 'Waiting gear');
  await gears.click();
  await gears.sendKeys(Key.ARROW_DOWN, Key.ENTER);
  await b.see(/0\.\d+ s lost: the sleeve is moved and its shaft synchronized first\./);
  const takes = await b.role('slider', 'K2 begins to take');
  await takes.sendKeys(...Array.from({ length: 5 }, () => Key.PAGE_UP));
  await b.see('K2 takes 0.35 to 0.38 s.');
  await b.see('The engine flares.');
  await b.press('radio', 'Figures');
  await b.role('columnheader', 'both together, N·m');
  await b.press('radio', 'On the road');
  await b.see('Nothing is lost: the right gear waits each time.');
  await b.press('radio', 'by hand');
  await b.see(/0\.\d\d s lost in all\. 2 to 3 at/);
  await b.press('radio', 'Creep');
  await b.see('It bears this.');
  await b.fill('spinbutton', 'Hill', '30');
  await b.fill('spinbutton', 'For', '60');
  await b.see(/Too hot after \d+ s/);
});

test('the power moves only while it turns, and each frame leaves room', async () => {
  await b.visit(run.at('/teach/apply/skerry-three'));
  await b.driver.wait(
    async () => (await b.driver.findElements(By.css('.section-flow'))).length > 4,
    PATIENCE_MS,
  );
  const offsets = () =>
    b.driver.executeScript<string>(
      'return [...document.querySelectorAll(".section-view .section-flow")].map((e) => e.getAttribute("stroke-dashoffset")).join()',
    );
  const before = await offsets();
  await b.driver.sleep(250);
  expect(await offsets()).toBe(before);
  await b.press('button', 'A little on');
  expect(await offsets()).not.toBe(before);
});
