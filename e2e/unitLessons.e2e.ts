import { By, Key } from 'selenium-webdriver';
import { openText } from '../core/formats';
import type { Browser } from './browser';
import { bytesOf, downloaded } from './files';
import { answering } from './answering';
import { chooseOption } from './choose';
import { session } from './session';

/** Lessons about whole units: predicted on the drawing and in the chart, by mouse and by key. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const { commit } = answering(run, () => b);
const begin = async (lesson: string, name: string) => {
  await b.visit(run.at(`/learn/lessons/${lesson}`));
  await b.fill('textbox', /Your name/, name);
  await b.press('button', 'Begin');
};
const said = () =>
  b.driver.executeScript<string>(`
    const spoken = (a) => /^(aria-|title|alt|value|data-)/.test(a.name);
    return document.body.innerText + [...document.querySelectorAll('main, main *')]
      .flatMap((e) => [...e.attributes].filter(spoken).map((a) => a.value)).join(' ');`);
const focusOn = async (name: string) =>
  b.driver.executeScript('arguments[0].focus()', await b.role('button', name));

test('the chart is filled by keyboard, and each row is judged by what it does', async () => {
  await begin('fill-the-chart', 'Runa Bollard');
  await b.press('button', /^2 /);
  await b.see('what must be on in');
  for (const giveaway of ['2.44', '1.44', '−2.27', '61/25', 'holds by itself'])
    expect(await said()).not.toContain(giveaway);
  // The first row is given: Tab comes to the first cell that can be worked.
  const stop = await b.driver.executeScript<string>(
    'return document.querySelector(".fill-chart button[tabindex=\'0\']").dataset.cell',
  );
  expect(stop).toBe('D2 C1');
  const cell = await b.role('button', /^C1 in D 2:/);
  await b.driver.executeScript('arguments[0].focus()', cell);
  const right = Key.ARROW_RIGHT;
  const down = Key.ARROW_DOWN;
  // D 2: C1 and B1; D 3: C1 and C2; lever in 1: C1; R: C2 alone, which is wrong.
  await b.driver
    .actions()
    .sendKeys(Key.SPACE, right, right, Key.SPACE, down, Key.ARROW_LEFT, Key.SPACE)
    .sendKeys(Key.ARROW_LEFT, Key.SPACE, down, Key.SPACE, down, right, Key.SPACE)
    .perform();
  await commit();
  await b.see('Partly right');
  await b.see('row R not right');
  await b.see('row D 3 right');
  await b.see('One element where two are needed.');
  const rows = await b.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(".fill-chart tbody tr")].map((r) => r.cells[r.cells.length - 2].innerText)',
  );
  expect(rows).toEqual(['2.44', '1.44', '1.00', '2.44', 'neutral']);
});

test('the power is traced by key; power through a held member is met with its reason', async () => {
  await begin('follow-the-power', 'Runa Bollard');
  await b.press('button', /^2 /);
  await b.see('The band holds the sun shell now.');
  for (const member of ['Input shaft', 'Sun shell', 'Output shaft']) {
    await focusOn(member);
    await b.driver.actions().sendKeys(Key.ENTER).perform();
  }
  await b.role('button', 'Output shaft, number 3');
  await commit();
  await b.see('Took power through a held member.');
  await b.see('Input shaft → Front ring → Output shaft');
  // Asked again, it is of another gear, and the program words it.
  await b.press('button', 'Try again with other rows');
  await b.see(/mark the members in the order in which the power goes/);
  await b.role('button', 'Commit prediction');
});

test('a finger beside a thin line means the nearest part; a mouse means what it points at', async () => {
  const chosen = () =>
    b.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('.section-chosen')].map((e) => e.getAttribute('aria-label'))",
    );
  await b.viewport(390, 844);
  await b.finger(true);
  try {
    await begin('follow-the-power', 'Runa Fender');
    await b.role('button', 'Input shaft');
    await b.settled();
    // 14 px over the line that runs in from the left: a finger's half breadth, and no part is there.
    const beside = () =>
      b.driver.executeScript<{ x: number; y: number }>(`
      const lines = [...document.querySelector('[aria-label="Input shaft"]').querySelectorAll('path')];
      const { left, top, bottom } = lines.map((l) => l.getBoundingClientRect()).sort((a, b) => a.left - b.left)[0];
      return { x: Math.round(left + 12), y: Math.round((top + bottom) / 2 - 14) };`);
    // What it points with, and a better drawing, take a frame to be there.
    const tapWith = async (finger: boolean) => {
      await b.finger(finger);
      await b.settled();
      await b.driver
        .actions()
        .move(await beside())
        .click()
        .perform();
      await b.settled();
    };
    await tapWith(false);
    expect(await chosen()).toEqual([]);
    await tapWith(true);
    await b.role('button', 'Input shaft, number 1');
    expect(await chosen()).toEqual(['Input shaft, number 1']);
  } finally {
    await b.finger(false);
    await b.viewport(1280, 800);
  }
});

test('what a row does, who holds, and who brakes', async () => {
  await begin('what-does-this-row-do', 'Runa Bollard');
  await b.press('radio', 'drives');
  await b.fill('spinbutton', 'Ratio', '0.41');
  await b.press('radio', 'same way');
  await commit();
  await b.see('Ratio upside down.');
  await begin('who-holds', 'Runa Bollard');
  await b.press('button', /^2 /);
  await b.press('checkbox', /^C1/);
  await commit();
  await b.see('Mixed up applied and holding.');
  await begin('drive-or-coast', 'Runa Bollard');
  await b.press('button', /^2 /);
  await b.press('radio', 'The engine brakes');
  await commit();
  await b.see('Expects engine braking from a one-way clutch.');
});

test('the class book shows them, and the record goes out with no set in it', async () => {
  await b.visit(run.at('/teach/class-book'));
  await b.see('How sure');
  await b.visit(run.at('/learn/records'));
  await b.see('Export');
  await b.driver.findElement(By.xpath('(//button[contains(., "Export")])[1]')).click();
  const record = await downloaded(b, '.attempt.json');
  const opened = openText(new TextDecoder().decode(bytesOf(record)), 'fair-sprocket/attempt');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  expect(opened.document.student).toBe('Runa Bollard');
  expect(opened.document.answers[0]!.setup).toBeUndefined();
});

test('an instructor asks about a unit; the lesson carries it', async () => {
  await b.visit(run.at('/teach/lessons'));
  await b.press('button', 'New lesson');
  await b.fill('textbox', 'Title of the lesson', 'Which band?');
  await b.press('button', 'Whole unit');
  await b.see(/student may change/i);
  await b.press('button', 'Question');
  await chooseOption(b, 'Kind of question', 'Who holds the reaction');
  await b.see(/The model answers:/);
  await b.see('Saved');
  await b.press('link', 'Try as a student');
  await b.press('button', 'Begin');
  await b.see('which elements hold the reaction');
});
