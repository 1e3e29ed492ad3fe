import type { Browser } from './browser';
import { session } from './session';

/** The Strip-down bench: parts come off in an order of one's own, and a broken rule says why it is one. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});
const takeOff = async (name: string) => {
  await b.press('button', name);
  await b.press('button', 'Take it off');
};

test('from the Apply bench a unit is taken apart; what lies before a part keeps it in', async () => {
  await b.visit(run.at('/teach/apply/harbour-trainer'));
  await b.press('link', 'Strip-down');
  await b.see('66 of 66 parts still on it');
  await takeOff('Fluid');
  await b.see('65 of 66 parts still on it');
  await takeOff('C1 drum');
  await b.see('C1 drum: it won’t come out yet');
  await b.see('The pump closes the front.');
  await b.see('65 of 66 parts still on it');
  // What can be forced comes out, and does harm.
  await b.press('button', 'Pump');
  await b.see('Gear sets and housings are heavy');
  await b.press('button', 'Take it off');
  await b.see('Pump: something may break.');
  await b.see('64 of 66 parts still on it');
  await b.see(/MARKS LOST\s*8/);
});

test('what is free is shown on demand; the tray outlives a reload, and the last part goes back', async () => {
  await b.press('checkbox', 'show what is free now');
  const free = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".part-button[data-free=true]")].map((e) => e.innerText)',
    );
  expect(await free()).toContain('Converter');
  expect(await free()).not.toContain('Pan');
  await b.open(run.at('/teach/strip-down/harbour-trainer'));
  await b.see('66 of 66 parts still on it');
  await takeOff('Converter');
  await b.driver.navigate().refresh();
  await b.see('65 of 66 parts still on it');
  await b.press('button', 'Put the last one back');
  await b.see('66 of 66 parts still on it');
});

test('a box of gear pairs has sleeves and forks, and no pump', async () => {
  await b.visit(run.at('/learn/strip-down/winch-manual'));
  await b.see('parts still on it');
  expect(await b.count('button', 'Pump')).toBe(0);
  await takeOff('S1 sleeve');
  await b.see('The fork still holds the sleeve.');
});
