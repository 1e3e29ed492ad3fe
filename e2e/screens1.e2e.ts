import { lookAtScreens } from './lookAt';
import { session } from './session';

/** A quarter of all screens, and how the keyboard gets past the bar. */
const run = session();

lookAtScreens(run, 0);

test('a skip link leads past the bar, and the focus is visible', async () => {
  const b = run.browser();
  await b.viewport(1280, 800);
  await b.open(run.at('/teach/lessons'));
  const outline = await b.driver.executeScript<string>(`
    const link = document.querySelector('.shell-doors a');
    link.focus({ focusVisible: true });
    return getComputedStyle(link).outlineStyle;`);
  expect(outline).toBe('solid');
  expect(await b.count('link', 'Skip to the work')).toBe(1);
});
