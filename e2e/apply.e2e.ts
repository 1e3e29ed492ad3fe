import { By, Key } from 'selenium-webdriver';
import { openText } from '../core/formats';
import type { Browser } from './browser';
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
    .wait(async () => (await out()).includes(text), 5000)
    .catch(async () => {
      throw new Error(`expected the bench to show ${text}, it shows ${await out()}`);
    });

test('a unit is opened, its section drawn, and a row of the chart put on the bench', async () => {
  await b.open(run.at('/teach/units'));
  await b.press('link', 'Skerry three-speed');
  await shows('2.44 exactly 61/25 same way');
  await b.role('button', 'C1, Ahead clutch: applied');
  await b.role('img', 'F1, Low one-way: holds by itself');
  await b.press('button', /^2.*put D2 on the bench/);
  await shows('1.44 exactly 36/25');
  await b.role('img', 'F1, Low one-way: runs over');
});

test('elements are switched on the drawing, by mouse and by key; one-way clutches are not', async () => {
  await b.open(run.at('/teach/apply/skerry-three'));
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

test('drive and coast: a one-way clutch alone gives no engine braking', async () => {
  await b.open(run.at('/teach/apply/harbour-trainer'));
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

test('a wide unit is laid out away from the page, and scrolls instead of shrinking', async () => {
  await b.open(run.at('/teach/apply/ferry-dual'));
  await shows('9.86');
  await b.driver.wait(
    async () => (await b.driver.findElements(By.css('.section-view'))).length === 1,
    15_000,
  );
  const size = await b.driver.executeScript<number>(
    'return document.querySelector(".section-view").getBoundingClientRect().width - document.querySelector(".section-scroll").clientWidth',
  );
  expect(size).toBeGreaterThan(100);
});

test('units go out and come in as files; a broken one is refused with its paths', async () => {
  await b.open(run.at('/teach/units'));
  const first = await b.driver.findElement(By.xpath('(//li//button[contains(., "Export")])[1]'));
  await first.click();
  const file = await downloaded(b, '.unit.json');
  const opened = openText(new TextDecoder().decode(bytesOf(file)), 'fair-sprocket/unit');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  await chooseFile(
    b,
    writeFile(b, 'own.json', JSON.stringify({ ...opened.document, id: 'own', name: 'Own unit' })),
  );
  await b.see('unit “Own unit” is in the library');
  const broken = { ...opened.document, id: 'broken', input: 'nobody' };
  await chooseFile(b, writeFile(b, 'broken.json', JSON.stringify(broken)));
  await b.see('input: there is no member “nobody”');
  await b.see('Nothing here was changed.');
});
