import { chooseOption } from './choose';
import type { Browser } from './browser';
import { answering } from './answering';
import { session } from './session';

/** Questions about faults as a student meets them, and as an instructor builds them. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const { begin, commit } = answering(run, () => b);
const choose = (label: string, option: string) => chooseOption(b, label, option);

test('a row of the symptom table is predicted; falling back is not neutral', async () => {
  await begin('good-gears-bad-gears', /2 The direct/);
  expect(await b.text()).not.toContain('It does');
  for (const [range, word] of [
    ['D 1', 'as it should'],
    ['D 2', 'as it should'],
    ['D 3', 'neutral'],
    ['1', 'as it should'],
    ['R', 'neutral'],
  ] as const)
    await choose(`What ${range} does`, word);
  await commit();
  await b.see('Expects neutral where it drives in another gear');
  await b.see('wrong gear 2.44');
});

test('the element is named from its row; one that works in a good range is cleared', async () => {
  await begin('good-gears-bad-gears', /4 Name/);
  expect(await b.text()).not.toContain('left to suspect');
  await b.press('radio', /^C1/);
  await commit();
  await b.see(/Named an element/);
  await b.see('left to suspect');
});

test('which test next: the cheap one that says as much', async () => {
  await begin('good-gears-bad-gears', /5 Spend/);
  await b.see('Drive D 3');
  await b.press('radio', /^Pan off/);
  await commit();
  await b.see('Chose a dear test before a cheap one.');
  await b.see(/after ten minutes of such tests/i);
});

test('a whole case in a lesson: no answer before the verdict, and it goes on the record', async () => {
  await begin('before-you-strip-it', /4 The quay/);
  await b.see('Set the controls as you would in the seat');
  expect(await b.count('switch', 'cross out for me')).toBe(0);
  await b.press('button', /^Tight circle/);
  await b.press('radio', 'hops and fights');
  await b.press('button', 'Take the reading');
  const select = await b.role('combobox', 'Cause');
  await select.click();
  await select.sendKeys('ball ramp', '\uE007', '\uE00C');
  await b.press('radio', 'Strip down');
  await b.press('radio', 'certain');
  await b.press('button', 'Give the verdict');
  await b.see('Found');
  // Another fault in the same machine, and not a word of the old one.
  await b.press('button', 'Try again with another fault');
  await b.see('Find out what is wrong: All-wheel coupling, drawn');
  await b.see('Give the verdict');
  await b.press('button', /^[0-9]? ?Your record/);
  await b.see(/100 %|ball ramp jammed/);
});

test('an instructor adds a question about faults and a symptom table', async () => {
  await b.visit(run.at('/teach/lessons/good-gears-bad-gears'));
  await b.press('button', /4 Name the element/);
  await b.see('B1, Second and fourth band');
  await b.press('button', /^Symptom table$/);
  await b.see('say what was seen');
});
