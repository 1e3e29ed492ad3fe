import { Key } from 'selenium-webdriver';
import { largestUnit } from '../core/geartrain/tests/largestUnit';
import { PATIENCE_MS, type Browser } from './browser';
import { chooseFile, writeFile } from './files';
import { session } from './session';

/** Long use and large documents: nothing piles up, and nothing freezes. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

/** Listeners that scripts have registered and that are still there. */
async function listeners(): Promise<number> {
  // What one pass finds free may free more in the next.
  for (let pass = 0; pass < 3; pass++) {
    await b.devtools('HeapProfiler.collectGarbage', {});
    await b.driver.sleep(250);
  }
  const said = (await b.devtools('Performance.getMetrics', {})) as {
    metrics: { name: string; value: number }[];
  };
  return said.metrics.find((m) => m.name === 'JSEventListeners')!.value;
}

const ROUTES = [
  '/teach/lessons',
  '/teach/lessons/hold-one-drive-one',
  '/teach/lessons/name-the-parts/preview',
  '/teach/ratio',
  '/teach/apply',
  '/teach/converter',
  '/teach/clutch',
  '/teach/clutch/packs',
  '/teach/faults',
  '/teach/faults/atlas',
  '/teach/models',
  '/teach/models/units/capstan-five',
  '/teach/class-book',
  '/',
];

test('the screen of an address is fetched before there is a document to show on it', async () => {
  await b.open(run.at('/teach/class-book'));
  await b.settled();
  const asked = await b.driver.executeScript<string[]>(
    `return performance.getEntriesByType('resource')
      .toSorted((a, b) => a.startTime - b.startTime).map((e) => e.name)`,
  );
  const at = (name: RegExp) => asked.findIndex((url) => name.test(url));
  expect(at(/ClassBookScreen/)).toBeGreaterThan(-1);
  expect(at(/ClassBookScreen/)).toBeLessThan(at(/documents\.worker/));
});

test('going round all screens again and again leaves no listener behind', async () => {
  await b.open(run.at('/'));
  await b.devtools('Performance.enable', {});
  const round = async () => {
    for (const route of ROUTES) {
      await b.go(route);
      await b.settled();
      const idle = 'return document.querySelector(".shell-loading, .ant-spin") === null';
      await b.driver.wait(() => b.driver.executeScript<boolean>(idle), PATIENCE_MS);
      await b.settled();
    }
  };
  await round();
  await round();
  const before = await listeners();
  await round();
  const after = await listeners();
  process.stdout.write(`listeners: ${before}, and ${after} after ${ROUTES.length} more screens\n`);
  // A few come and go with what a screen shows last.
  expect(after).toBeLessThan(before + 5);
});

test('a unit at every limit of the format: no press waits for all of it to be drawn', async () => {
  await b.devtools('Page.addScriptToEvaluateOnNewDocument', {
    source: `window.long_ = [];
      new PerformanceObserver((list) => window.long_.push(...list.getEntries().map((e) => e.duration)))
        .observe({ type: 'longtask', buffered: true });`,
  });
  const longest = () =>
    b.driver.executeScript<number>(
      'const most = Math.max(50, ...window.long_); window.long_ = []; return most',
    );
  await b.open(run.at('/teach/models'));
  await b.see('Capstan five-speed');
  await b.driver.sleep(1500);
  // What this machine needs for the start of the application, in one piece, is the yardstick.
  const start = await longest();
  await chooseFile(b, writeFile(b, 'largest.json', JSON.stringify(largestUnit())));
  await b.see('Largest unit');
  const found: Record<string, number> = { shelf: await longest() };
  await b.go('/teach/models/units/largest-unit');
  await b.role('textbox', 'Name of the unit');
  await b.driver.sleep(4000);
  found['editor'] = await longest();
  for (const part of ['Elements', 'Members', 'Gear sets']) {
    await b.press('radio', part);
    await b.driver.sleep(1000);
  }
  found['parts'] = await longest();
  const name = await b.role('textbox', 'Name of the unit');
  await longest();
  await name.sendKeys(Key.END, '!');
  await b.driver.sleep(1000);
  found['letter'] = await longest();
  await b.go('/teach/apply/largest-unit');
  await b.see('What else');
  await b.driver.sleep(4000);
  found['bench'] = await longest();
  await b.driver.executeScript('document.querySelector(".chart-cell-button").click()');
  await b.driver.sleep(1000);
  found['cell'] = await longest();
  await b.press('radio', 'What else');
  await b.driver.sleep(1500);
  found['combinations'] = await longest();
  process.stdout.write(
    `largest unit: longest task ${JSON.stringify(found)} ms, ${Math.round(start)} ms at the start\n`,
  );
  for (const [where, ms] of Object.entries(found))
    expect([where, ms < 8 * start]).toEqual([where, true]);
});
