import { readFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import { openText } from '../core/formats';
import { PATIENCE_MS, type Browser } from './browser';
import { bytesOf, chooseFile, downloaded, writeFile } from './files';
import { session } from './session';

/** Converters, engines and vehicles: typed in, read from CSV, told what is wrong, fitted, handed out, taken in. */
const run = session(['one', 'two']);
let b: Browser;
beforeAll(() => {
  b = run.browser('one');
});

const csv = (name: string, text: string) => writeFile(b, name, text);

test('a converter comes in from a test stand’s CSV with decimal commas, and goes onto the bench', async () => {
  await b.visit(run.at('/teach/models/converters'));
  await b.press('button', 'New converter');
  await b.fill('textbox', 'Name', 'Basin twelve');
  await b.press('radio', 'by a table');
  await chooseFile(
    b,
    csv('stand.csv', 'SR;TR;K\n0;2,2;140\n0,4;1,7;148\n0,8;1,15;170\n0,88;1;190\n0,96;1;330\n'),
  );
  await b.see('Nothing wrong found.');
  expect(await (await b.role('spinbutton', 'Torque ratio, row 2')).getAttribute('value')).toBe(
    '1.70',
  );
  await b.see('Saved in this browser');
  await b.press('link', 'Put on the bench');
  await b.see('× 2.20');
  await b.see('which does not say what a broken stator would do');
  await b.driver.navigate().back();
});

test('each fault is told at its row, and an unsound version is not kept', async () => {
  await b.fill('spinbutton', 'Speed ratio, row 3', '0.2');
  await b.see('Row 3, Speed ratio: must rise from row to row, and 0.2 does not');
  await b.see('Not saved while something is wrong');
  await b.fill('spinbutton', 'Torque ratio, row 1', '0.9');
  await b.see('Row 1, Torque ratio: a converter multiplies at stall');
  await b.fill('spinbutton', 'Speed ratio, row 5', '1.4');
  await b.see(/Row 5, Speed ratio: is [^;]*; the most allowed/);
  for (let k = 0; k < 3; k++) await b.press('button', 'Undo');
  await b.see('Nothing wrong found.');
});

test('a CSV that can’t be read changes nothing, whatever is wrong with it', async () => {
  for (const [name, text, said] of [
    ['empty.csv', '', 'There is no row in it.'],
    ['words.csv', 'SR,TR,K\n0,two,100\n', 'Row 2, TR: “two” is no number.'],
    ['short.csv', 'SR,K\n0,100\n', 'The column “Torque ratio” is missing.'],
    ['commas.csv', 'SR,TR,K\n0,5,1,9,120\n', 'With decimal commas, put semicolons'],
  ] as const) {
    await chooseFile(b, csv(name, text));
    await b.see(said);
  }
  await b.see('Nothing was taken over from that file.');
  expect(await (await b.role('spinbutton', 'Torque ratio, row 2')).getAttribute('value')).toBe(
    '1.70',
  );
});

test('blades are found for the table in a worker, and a stator can then be broken', async () => {
  await b.press('button', 'Find blades');
  await b.see(/It misses the table by \d+\.\d %/);
  await b.press('button', 'Use these blades');
  await b.role('spinbutton', 'Pump, Exit angle');
  await b.see('Saved in this browser');
  await b.press('link', 'Put on the bench');
  await b.role('combobox', /one-way clutch/);
});

test('an engine gets a part-load curve; its file goes out and comes in elsewhere', async () => {
  await b.visit(run.at('/teach/models/engines/pilot-petrol'));
  await b.press('button', 'Add a part-load curve');
  await b.role('spinbutton', 'Throttle');
  await chooseFile(
    b,
    csv(
      'engine.csv',
      'rpm,torque lbf-ft,torque lbf-ft at 40 %\n800,70,40\n3000,130,60\n5200,110,20\n',
    ),
  );
  await b.see('Nothing wrong found.');
  await b.fill('spinbutton', 'Governed at', '500');
  await b.see(/Governed at: 500 must be above idle/);
  await b.press('button', 'Undo');
  await b.fill('textbox', 'Name', 'Pilot petrol, measured');
  await b.see('Saved in this browser');
  await b.press('button', 'Export');
  const bytes = bytesOf(await downloaded(b, '.engine.json'));
  const opened = openText(new TextDecoder().decode(bytes), 'fair-sprocket/engine');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  expect(opened.document.partLoad?.[0]?.throttle).toBe(0.4);
  // 130 lbf·ft in newton metres.
  expect(opened.document.rows[1]?.torqueNm).toBeCloseTo(176.3, 1);
  const other = run.browser('two');
  await other.open(run.at('/teach/models/engines'));
  await chooseFile(other, writeFile(other, 'mine.engine.json', bytes));
  await other.see('is already here with other content');
  await other.press('button', 'Keep both');
  await other.see('“Pilot petrol, measured” is in the library.');
});

test('a negative mass is found, and gear changes must not come earlier with an open throttle', async () => {
  await b.visit(run.at('/teach/models/vehicles/yard-tractor'));
  await b.fill('spinbutton', 'Mass', '-5');
  await b.see(/Mass: is [^;]*; the least allowed/);
  await b.press('button', 'Undo');
  await b.fill('spinbutton', 'Changes up, throttle open', '5');
  await b.see(/Changes up, throttle open: must not be less/);
  await b.press('button', 'Undo');
  await b.see('Nothing wrong found.');
});

test('an engine too weak for its converter is told on the bench', async () => {
  const engine = JSON.parse(readFileSync('demo/engines/pilot-petrol.json', 'utf8')) as {
    id: string;
    name: string;
    rows: { torqueNm: number }[];
  };
  engine.id = 'too-weak';
  engine.name = 'Dinghy outboard';
  for (const row of engine.rows) row.torqueNm *= 0.05;
  await b.visit(run.at('/teach/models/engines'));
  await chooseFile(b, writeFile(b, 'weak.json', JSON.stringify(engine)));
  await b.see('“Dinghy outboard” is in the library.');
  await b.driver.get(run.at('/teach/converter?engine=too-weak&converter=jetty-eleven'));
  await b.see(/The engine can’t pull idle in gear/);
});

test('a deleted model comes back by undo', async () => {
  await b.visit(run.at('/teach/models/vehicles'));
  await b.see('Yard tow tractor');
  await b.press('button', 'Delete');
  await b.see('Nothing stands here yet.');
  await b.press('button', 'Undo');
  await b.see('axle 4.10 : 1');
});

test('millimetres and per cent are typed, metres and shares are kept', async () => {
  await b.visit(run.at('/teach/models/vehicles'));
  await b.press('button', 'New vehicle');
  for (const [name, typed] of [
    ['Tyre radius', '351.5'],
    ['Axle ratio', '3.9'],
    ['Reaches the wheels', '88.3'],
    ['Rolling resistance', '1.1'],
    ['Kick-down from', '57'],
  ] as const)
    await b.fill('spinbutton', name, typed);
  await b.see('Nothing wrong found.');
  await b.see('Saved in this browser');
  await b.press('button', 'Export');
  const text = new TextDecoder().decode(bytesOf(await downloaded(b, '.vehicle.json')));
  expect(JSON.parse(text)).toMatchObject({
    tyreRadiusM: 0.3515,
    finalDrive: 3.9,
    driveline: 0.883,
    rolling: 0.011,
    schedule: { kickDown: 0.57 },
  });
});

test('two tabs change one engine: nothing is overwritten, my version goes on as a copy', async () => {
  const driver = b.driver;
  await b.visit(run.at('/teach/models/engines/yard-diesel'));
  await b.see('Nothing wrong found.');
  const first = await driver.getWindowHandle();
  await driver.switchTo().newWindow('tab');
  await b.driver.get(run.at('/teach/models/engines/yard-diesel'));
  await b.fill('textbox', 'Name', 'Diesel, theirs');
  await b.see('Saved in this browser');
  const second = await driver.getWindowHandle();
  await driver.switchTo().window(first);
  await b.fill('textbox', 'Name', 'Diesel, mine');
  await b.see(/Another tab changed this model/);
  // Pointed at, a message stands for ever; a press takes it away.
  const message = By.xpath('//*[contains(text(), "Another tab changed")]');
  await driver.findElement(message).click();
  await driver.wait(async () => (await driver.findElements(message)).length === 0, PATIENCE_MS);
  await driver.switchTo().window(second);
  await driver.close();
  await driver.switchTo().window(first);
  await b.driver.get(run.at('/teach/models/engines'));
  await b.see('Diesel, theirs');
  await b.see(/Diesel, mine/);
});
