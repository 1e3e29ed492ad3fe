import { chooseOption } from './choose';
import type { Browser } from './browser';
import { bytesOf, downloaded } from './files';
import { session } from './session';

/** The symptom atlas: what was seen narrows the faults, look-alikes are split, the table goes out as CSV. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const choose = (name: string, option: string) => chooseOption(b, name, option);

test('third and reverse gone, the others good: only what works in both and in no good range is left', async () => {
  await b.visit(run.at('/teach/faults/atlas'));
  await choose('Unit', 'Skerry three-speed');
  await b.see('Skerry three-speed');
  await choose('Seen in R', 'neutral');
  await choose('Seen in D 3', 'wrong gear');
  await b.see('Left to suspect: C2');
  await choose('Seen in D 1', 'as it should');
  await choose('Seen in D 2', 'as it should');
  await b.see('C2, Direct clutch: will not come on');
  await b.see(/^\d+ of \d+ faults? fits?/m);
  await choose('Seen in N', 'binds');
  await b.see('No single fault gives all of this.');
  await b.press('button', 'Forget what was seen');
  await b.see('Ask next');
});

test('another unit with as many ranges: no row of the one before stands under its name', async () => {
  await b.visit(run.at('/teach/faults/atlas'));
  for (const name of ['Harbour trainer', 'Ferry dual-clutch six-speed', 'Quay four-speed']) {
    await choose('Unit', name);
    await b.role('heading', name);
    await b.see('Ask next');
    // The fault of one is no word of the other: the console says so, and is looked at after each test.
    await b.see(/^\d+ of \d+ faults? fits?/m);
  }
});

test('a fault shows what looks like it and the check that splits them; the table goes out', async () => {
  await b.visit(run.at('/teach/faults/atlas'));
  await b.press('button', /look alike: C1/);
  await b.press('button', 'C1, Forward clutch: will not come on');
  await b.see('On the road these look just like it:');
  await b.see(/Pressure at C1, Forward clutch \(22 min/);
  await b.press('button', 'CSV');
  const csv = new TextDecoder().decode(bytesOf(await downloaded(b, '.csv')));
  expect(csv).toContain('Fault,');
  expect(csv).toContain('neutral');
});
