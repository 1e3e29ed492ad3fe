import type { Browser } from './browser';
import { screenList } from './screenList';
import { session } from './session';

/** Every screen: axe finds nothing on either paper. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const SCREENS = screenList(() => b);
/** By script, since an open dialog lies over the bar. */
async function switchPaper(): Promise<void> {
  await b.driver.executeScript(
    'document.querySelector(".shell-tools button:nth-child(2)").click()',
  );
  await b.driver.sleep(150);
}

test.each(SCREENS)('%s', async (_name, route, steps) => {
  await b.viewport(1280, 800);
  await b.open(run.at(route));
  for (const step of steps) await step();
  await b.driver.sleep(250);
  for (const paper of ['day', 'night']) {
    if (paper === 'night') await switchPaper();
    expect([paper, await b.axe()]).toEqual([paper, []]);
  }
  await switchPaper();
});

test('a skip link leads past the bar, and the focus is visible', async () => {
  await b.viewport(1280, 800);
  await b.open(run.at('/teach/lessons'));
  const outline = await b.driver.executeScript<string>(`
    const link = document.querySelector('.shell-doors a');
    link.focus({ focusVisible: true });
    return getComputedStyle(link).outlineStyle;`);
  expect(outline).toBe('solid');
  expect(await b.count('link', 'Skip to the work')).toBe(1);
});
