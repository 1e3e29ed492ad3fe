import path from 'node:path';
import { answering } from './answering';
import type { Browser } from './browser';
import { chooseFile, writeFile } from './files';
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
  await b.see('77 of 77 parts still on it');
  await takeOff('Fluid');
  await b.see('76 of 77 parts still on it');
  await takeOff('C1 drum');
  await b.see('C1 drum: it won’t come out yet');
  await b.see('The pump closes the front.');
  await b.see('76 of 77 parts still on it');
  // What can be forced comes out, and does harm.
  await b.press('button', 'Pump');
  await b.see('Gear sets and housings are heavy');
  await b.press('button', 'Take it off');
  await b.see('Pump: something may break.');
  await b.see('75 of 77 parts still on it');
  await b.see(/MARKS LOST\s*8/);
});

test('what is free is shown on demand; the tray outlives a reload, and the last part goes back', async () => {
  await b.press('checkbox', /show what is free now/);
  const free = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".part-button[data-free=true]")].map((e) => e.innerText)',
    );
  expect(await free()).toContain('Converter');
  expect(await free()).not.toContain('Pan');
  await b.open(run.at('/teach/strip-down/harbour-trainer'));
  await b.see('77 of 77 parts still on it');
  await takeOff('Converter');
  await b.driver.navigate().refresh();
  await b.see('76 of 77 parts still on it');
  await b.press('button', 'Put the last one back');
  await b.see('77 of 77 parts still on it');
});

test('a box of gear pairs has sleeves and forks, and no pump', async () => {
  await b.visit(run.at('/learn/strip-down/winch-manual'));
  await b.see('parts still on it');
  expect(await b.count('button', 'Pump')).toBe(0);
  await takeOff('H12 sleeve, S1 – S2');
  await b.see('The fork still holds the sleeve.');
});

test('a whole job, from the first bolt to the road, with two mistakes left in and found', async () => {
  await b.visit(run.at('/learn/strip-down/jobs/bollard-clutch'));
  await b.see('judders away');
  await b.press('radio', 'Off and out');
  await takeOff('Gearbox');
  await b.see('the starter may do it for you');
  await b.press('radio', 'Inspect');
  await b.press('button', /Take the other/);
  await b.press('radio', 'Off and out');
  // The log: what is no picture says so and changes nothing; a photograph is made small.
  await chooseFile(b, writeFile(b, 'note.png', 'no picture at all'));
  await b.see('That file is no picture. Nothing was changed.');
  await chooseFile(b, path.resolve('docs/screenshots/home.png'));
  await b.role('img', 'Photograph of Crankshaft seal');
  await b.fill('textbox', 'Note', 'spring side inwards, bag 3');
  await b.press('button', 'Write it down in the log');
  await b.press('radio', 'Inspect');
  // What stands between the hand and the verdict is a scale that is read.
  await b.press('button', 'Disc');
  await b.see('It looks used, and even all over.');
  await b.press('button', 'Turn it over');
  await b.see('A dark, shining stain on the facing.');
  await b.driver.executeScript('document.querySelector(".measure-panel button").click()');
  await b.fill('spinbutton', 'What it reads', '8.2');
  await b.press('button', 'Write it down');
  await b.see(/Written down/i);
  const decide = async (part: string, decision: string, reason: string) => {
    await b.press('button', part);
    for (const [name, value] of [
      ['What is to be done with it', decision],
      ['Why', reason],
    ] as const) {
      const select = await b.role('combobox', name);
      await select.click();
      await select.sendKeys(value, '\uE007');
    }
    await b.press('button', 'Decide');
    await b.see(`Decided: ${decision}, because ${reason}.`);
  };
  await decide('Disc', 'replace', 'marks of heat or oil');
  await decide('Crankshaft seal', 'replace', 'used once only');
  await decide('Clutch cover', 'replace', 'out of its limits');
  await decide('Flywheel', 'replace', 'marks of heat or oil');
  await b.press('radio', 'Order');
  await b.press('checkbox', 'Disc');
  await b.see(/1 part ordered/);
  await b.press('button', 'Ask for the year');
  await b.see(/number on its ring: \d/);
  await b.press('radio', 'Together');
  const put = async (name: string, way?: RegExp) => {
    await b.press('button', name);
    if (way) await b.press('radio', way);
    await b.press('button', 'Put it in');
  };
  await b.press('button', 'Crankshaft seal');
  await b.see('spring side inwards, bag 3');
  await put('Clutch cover', /crosswise/);
  await put('Disc', /raised hub$/);
  await b.see('Disc: it won’t go in.');
  await b.press('button', 'Take the last one out again');
  await put('Crankshaft seal', /towards the oil/);
  await put('Flywheel', /to the mark/);
  await put('Pilot bush', /quarter teaspoon/);
  await put('Disc', /raised hub$/);
  await b.press('button', 'Turn the input');
  await b.see('Disc: it drags, or binds.');
  await put('Clutch cover', /crosswise/);
  await put('Marks on cover and flywheel');
  await put('Fork');
  await put('Release bearing', /washed/);
  await b.press('radio', 'Prove');
  await b.see(/parts are still on the bench/);
  await b.press('radio', 'Together');
  await put('Gearbox', /on the jack/);
  await put('Linkage', /felt at the pedal/);
  await b.press('button', /Put in the next 2 parts/);
  await b.press('radio', 'Prove');
  await b.press('button', 'Drive it');
  await b.see('In the seat');
  await b.see('16 of 16 left');
  await b.press('button', 'Open the book');
  await b.see('Disc went in the wrong way. On the road it shows as: Clutch: warped disc.');
  await b.see(
    'Release bearing went in the wrong way. On the road it shows as: Clutch: release bearing rough.',
  );
  await b.see('Disc: judged right.');
  await b.see(/4 not ordered/);
  await b.see('Disc or cover ordered without asking for: model, engine.');
});

test('names lost: a washer is told by the gauge, and one that is in can’t be put in twice', async () => {
  await b.visit(run.at('/learn/strip-down/jobs/lighter-held-slope'));
  await b.press('radio', 'Together');
  const choose = async (washer: string) => {
    await b.press('button', washer);
    const which = await b.role('combobox', /Several look like it/);
    await which.click();
    await which.sendKeys('\uE007');
  };
  await choose('Thrust washer 4');
  await b.role('img', 'Micrometer');
  await b.press('radio', /dropped into the slots/);
  await b.press('button', 'Put it in');
  await b.see('1 of 78 parts in');
  await choose('Thrust washer 7');
  await b.press('radio', /dropped into the slots/);
  await b.press('button', 'Put it in');
  await b.see('2 of 78 parts in');
});

test('down to the bolts: thin ones first, within the shop’s minutes, and nobody shows what is free', async () => {
  await b.visit(run.at('/learn/strip-down/jobs/wherry-whole'));
  await b.press('radio', 'Off and out');
  await takeOff('Valve body’s thick bolts');
  await b.see('the thin ones bend');
  await b.see(/\d+ of 720 shop minutes/);
  expect(await b.count('checkbox', /show what is free now/)).toBe(0);
});

test('a job that no longer fits its unit says so, and loses nothing', async () => {
  await b.visit(run.at('/teach/models/jobs/slip-tractor-second'));
  await b.see('What was hidden');
  await b.press('button', /drawn: easy/);
  await b.see(/Made by|tells\./);
  const add = await b.role('combobox', 'Set a limit of your own');
  await add.click();
  await add.sendKeys('\uE007');
  await b.fill('spinbutton', 'at least', '3');
  await b.see('The limits of Input end play are upside down.');
  await b.press('button', 'Undo');
  // Without its unit there is nothing left to hide anything in.
  await b.visit(run.at('/teach/models/jobs/wherry-whole'));
  await b.see('What was hidden');
  await b.driver.executeScript('document.querySelector(".case-part button").click()');
  await b.see('It has no unit and no clutch.');
  expect(await b.text()).not.toContain('Nothing wrong found');
  expect(await (await b.role('button', 'Hide something more')).isEnabled()).toBe(false);
  await b.press('button', 'Undo');
  await b.visit(run.at('/learn/strip-down/jobs/nothing-here'));
  await b.see('There is no such job here.');
});

test('questions about jobs: what is free, which way round, what a scale reads, and the whole job', async () => {
  const { begin, commit } = answering(run, () => b);
  await begin('what-comes-off-first', /^3 Half way/);
  await b.press('checkbox', 'Pump');
  await b.press('checkbox', 'Sun shell');
  await commit();
  await b.see('Took the drum before its band.');
  await b.press('button', 'Try again with other parts');
  await b.see('Commit prediction');
  await begin('which-way-round', /^2 A one-way/);
  await b.press('radio', /tried by hand/);
  await b.press('radio', 'wrong way round');
  await commit();
  await b.see('Right');
  await begin('set-it', /^3 A friction/);
  await b.fill('spinbutton', 'What it reads', '1.44');
  await b.press('radio', 'within its limits');
  await commit();
  await b.see('Missed a turn of the scale.');
  await begin('reuse-it-or-not', /^4 The seals/);
  await b.press('radio', 'reuse');
  await b.press('radio', 'it is sound');
  await commit();
  await b.see('Used again what is used once.');
  await begin('your-own-work', /^3 The whole/);
  await b.press('radio', 'Inspect');
  await b.press('button', /Take the other/);
  await commit();
  await b.see(/Not right|Partly right/);
  await b.see('Putting it together not right');
});
