import { answering } from './answering';
import { PATIENCE_MS, type Browser } from './browser';
import { session } from './session';

/** What belongs to questions of every kind: whose key it is, why in one's own words, smaller ones, other numbers. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});
const { begin, commit } = answering(run, () => b);

test('an instructor’s own questions: their key and reason, said to be theirs', async () => {
  await begin('part-in-your-hand', /2 Bin 3/);
  await b.press('radio', 'Replace it');
  await commit();
  await b.see(/Your instructor’s key/i);
  await b.see('Replace it, and look for what made it hot');
  await b.see('blue steel has been hot');
  await b.press('button', /Next: Bin 4/);
  await b.fill('spinbutton', 'Your answer', '2.33');
  await commit();
  await b.see('Right');
  await b.visit(run.at('/teach/lessons/part-in-your-hand'));
  await b.press('button', /4 Bin 5/);
  await b.see('Your key:');
  await b.fill('textbox', 'Step 2', 'Snap ring');
  await b.see('Two of these say the same.');
  await b.press('button', 'Undo');
  await b.see('Snap ring → End plate');
});

test('a question that also asks why waits for it, and shows it beside the reasons', async () => {
  await b.visit(run.at('/teach/lessons/hold-one-drive-one'));
  await b.press('button', /^\d Faster out than in/);
  await b.see(/The model answers:\s*Carrier in/);
  expect(await (await b.role('checkbox', /also ask why/)).isSelected()).toBe(true);
  await begin('hold-one-drive-one', /^\d Faster out than in/);
  await b.press('radio', 'Ring in, carrier out, sun held');
  await b.press('radio', 'certain');
  expect(await (await b.role('button', 'Commit prediction')).isEnabled()).toBe(false);
  await b.fill('textbox', /Why do you think so/, 'Large drives small.');
  await b.press('button', 'Commit prediction');
  await b.see('Not right');
  await b.see('Large drives small.');
  await b.press('button', /Try again/);
  await b.see('Commit prediction');
  expect(await b.count('textbox', /Why do you think so/)).toBe(0);
  await b.visit(run.at('/teach/class-book'));
  await b.see('Ring in felt quickest');
  await b.press('button', 'Osk Marrow');
  await b.see(/In their own words \(not graded\)/i);
  await b.see('a big wheel that drives a small one');
});

test('wrong twice: one step is asked by itself, then the question again', async () => {
  await begin('hold-one-drive-one');
  for (const ratio of ['9', '8']) {
    await b.fill('spinbutton', 'Ratio', ratio);
    await b.press('radio', 'same way');
    await commit();
    await b.press('button', 'Try again with new teeth');
  }
  await b.see('One step of it first');
  await b.press('radio', 'reduction, same way');
  await commit();
  await b.see('Right');
  await b.press('button', 'Try again with new teeth');
  await b.role('spinbutton', 'Ratio');
});

test('a wrong ratio that another arrangement gives is asked about: for which is it right', async () => {
  await begin('hold-one-drive-one', /^\d Hold the ring/);
  await b.fill('spinbutton', 'Ratio', '2.33');
  await b.press('radio', 'same way');
  await commit();
  await b.see('Partly right');
  await b.press('button', 'Try again with new teeth');
  await b.see('For which arrangement of this very set');
  await b.press('radio', 'Sun in, ring out, carrier held');
  await commit();
  await b.see('Right');
});

test('numbers that tell more are looked for, and the question varies on request', async () => {
  await b.visit(run.at('/teach/lessons/what-the-held-part-feels'));
  await b.press('button', /^\d Torque in the brake/);
  await b.see('The model answers');
  await b.press('checkbox', 'every student their own teeth');
  await b.see('Saved');
  await b.driver.executeScript('document.querySelector("details.tells summary").click()');
  await b.press('button', 'Numbers that tell more');
  await b.see(/ways of thinking have an answer of their own/);
  await b.driver.wait(async () => (await b.count('img', 'loading')) === 0, PATIENCE_MS);
});
