import type { Browser } from './browser';
import { layoutProblems } from './layoutProblems';
import { screenList } from './screenList';
import { session } from './session';

/** Every screen at six widths: nothing overlaps, is cut off, is wider than the page, or scrolls inside what scrolls. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const SIZES = [
  [390, 844],
  [820, 1180],
  [1024, 768],
  [1280, 800],
  [1366, 768],
  [1920, 1080],
] as const;

test.each(screenList(() => b))('%s', async (_name, route, steps) => {
  await b.viewport(1280, 800);
  await b.open(run.at(route));
  for (const step of steps) await step();
  const found: string[] = [];
  for (const [width, height] of SIZES) {
    await b.viewport(width, height);
    await b.driver.sleep(150);
    for (const problem of await layoutProblems(b)) found.push(`${width}: ${problem}`);
  }
  expect(found).toEqual([]);
});
