import type { Browser } from './browser';
import { session } from './session';

/** The first lesson of one who is new, and the shelf on which lessons of a term are found again. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

test('from the start to a first lesson: what comes next is ticked off by what stands in it', async () => {
  await b.visit(run.at('/'));
  await b.press('link', 'New here: a first lesson in ten minutes');
  await b.role('region', 'Your first lesson');
  await b.fill('textbox', 'Title of the lesson', 'Winch set of the Brindle');
  await b.press('button', 'Question');
  await b.press('button', 'Text');
  expect(await b.count('img', 'done')).toBeGreaterThanOrEqual(2);
  await b.press('button', 'Versions');
  await b.see('Earlier versions');
  await b.press('button', 'Close');
  await b.see('Saved');
});

test('the shelf: found by a word of a step, one’s own on top, the demo hidden', async () => {
  await b.visit(run.at('/teach/lessons'));
  await b.see('Winch set of the Brindle');
  const titles = () =>
    b.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('.lesson-card h2')].map((h) => h.textContent)",
    );
  expect((await titles())[0]).toBe('Winch set of the Brindle');
  await b.fill('textbox', 'Search lessons', 'splitter skerry');
  await b.see('Fill the Skerry');
  expect(await titles()).toHaveLength(1);
  await b.fill('textbox', 'Search lessons', 'nothing is called so');
  await b.see('No lesson fits.');
  await b.fill('textbox', 'Search lessons', 'brindle');
  await b.press('checkbox', 'hide demo lessons');
  expect(await titles()).toEqual(['Winch set of the Brindle']);
  await b.press('checkbox', 'hide demo lessons');
});
