import { carry, chooseOption } from './choose';
import { By, Key } from 'selenium-webdriver';
import { PATIENCE_MS, type Browser } from './browser';
import { bytesOf, downloaded } from './files';
import { session } from './session';

/** The Clutch bench and the Pack bench: pedal, wear, driving off, shop tests; plates in and out. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const side = () =>
  b.driver.executeScript<string>(
    'return (document.querySelector(".bench-side")?.innerText ?? "").replace(/\\s+/g, " ")',
  );
const shows = async (text: RegExp) =>
  b.driver
    .wait(async () => text.test(await side()), PATIENCE_MS)
    .catch(async () => {
      throw new Error(`expected the bench to show ${String(text)}, it shows ${await side()}`);
    });
const keys = async (...list: string[]) => {
  await b.driver.executeScript('document.activeElement.blur()');
  await b.driver
    .actions()
    .sendKeys(...list)
    .perform();
};
const pedal = () => b.role('slider', 'Clutch pedal');
const pedalAt = async () => Number(await (await pedal()).getAttribute('aria-valuenow'));
const slide = async (name: string, ...list: string[]) => {
  await b.driver.executeScript('arguments[0].focus()', await b.role('slider', name));
  await b.driver
    .actions()
    .sendKeys(...list)
    .perform();
};
const choose = (name: string, option: string) => chooseOption(b, name, option);

test('the pedal moves the plate: by its keys, by the bench’s keys, and by dragging it', async () => {
  await b.visit(run.at('/teach/clutch'));
  await shows(/closed, holds/);
  await b.see(/clamps 3.703 N/);
  await keys('p');
  await shows(/released/);
  await b.see('gap 1.05 mm');
  expect(await pedalAt()).toBe(100);
  await keys(Key.ARROW_UP, Key.ARROW_UP);
  expect(await pedalAt()).toBe(92);
  await b.driver.executeScript('arguments[0].focus()', await pedal());
  await b.driver.actions().sendKeys(Key.HOME).perform();
  expect(await pedalAt()).toBe(0);
  await b.see('bearing free');
  await b.driver
    .actions()
    .move({ origin: await b.driver.findElement(By.css('.clutch-grip')) })
    .press()
    .move({ origin: await b.driver.findElement(By.css('.clutch-grip')), x: -70, y: 0 })
    .release()
    .perform();
  expect(await pedalAt()).toBeGreaterThan(50);
});

test('wear lifts the clamp load over its hump, and the high gear slips first', async () => {
  await b.visit(run.at('/teach/clutch'));
  await shows(/250 N·m/);
  await b.press('radio', 'Wear');
  await b.see(/Slips from this wear on/i);
  await slide('Wear', ...Array.from({ length: 24 }, () => Key.ARROW_RIGHT));
  await shows(/29\d N·m/);
  const slipping = () =>
    b.driver.executeScript<string[]>(
      'return [...document.querySelectorAll(".wear-gears tr[data-slips=true] th")].map((h) => h.innerText)',
    );
  expect(await slipping()).toEqual([]);
  for (let k = 0; k < 30 && (await slipping()).length === 0; k++)
    await slide('Wear', Key.ARROW_RIGHT);
  await shows(/closed, and slips at full torque/);
  const first = await slipping();
  expect(first).toEqual(['1', '2', '3', '4', '5'].slice(-first.length));
  expect(first).not.toContain('1');
});

test('driving off: the feet drawn, the run in words, one kept beside the next, a sweep cancelled', async () => {
  await b.visit(run.at('/teach/clutch'));
  await b.press('radio', 'Drive off');
  await b.see('A clean start.');
  await b.press('button', 'Keep this run');
  for (const time of ['0.4', '0.8', '1.2', '1.6', '2.0'])
    await slide(`Clutch pedal at ${time} s`, ...Array.from({ length: 6 }, () => Key.PAGE_DOWN));
  await b.see(/The engine stalls\.|It jolts\./);
  await b.see('Drop 1 run');
  await b.press('button', 'CSV');
  const csv = new TextDecoder().decode(bytesOf(await downloaded(b, '.csv')));
  expect(csv).toContain('Clutch pedal');
  await b.press('radio', 'Sweep');
  await b.press('button', 'Run 200 starts');
  await b.press('button', 'Cancel');
  await b.see('Run 200 starts');
});

test('shop tests: readings come from the model, and an unknown clutch is said before it is shown', async () => {
  await b.visit(run.at('/teach/clutch'));
  await choose('What is wrong with it', 'air in the line');
  await b.press('radio', 'Shop tests');
  await b.press('radio', 'Drag test');
  for (const ask of [/Engine on/, /Engine off/, 'Feel the pedal', /Feeler gauge/])
    await b.press('button', ask);
  await b.see('grinds, or will not go in');
  await b.see('no gauge goes in: they touch');
  await b.see('Spongy and it drags: air or a leak.');
  await b.press('radio', 'Noise tests');
  await b.press('button', 'pedal down, in gear');
  await b.see('quiet');
  await b.press('radio', 'Slip test');
  await b.see('Never longer than about 5 seconds.');
  const go = await b.role('button', 'Pedal up quickly');
  expect(await go.isEnabled()).toBe(false);
  for (const check of [/park brake/, /chocked/, /nobody/]) await b.press('checkbox', check);
  await b.press('button', 'Pedal up quickly');
  await b.see('The engine stalls: it holds.');
  await choose('On the stand', 'an unknown one');
  expect(await b.text()).not.toContain('It was:');
  await b.press('button', 'Show what it was');
  await b.see('It was:');
});

test('adjusting in the wrong order shows what it leaves', async () => {
  await b.visit(run.at('/teach/clutch?clutch=hawser-twelve'));
  await b.press('radio', 'Shop tests');
  await b.press('radio', 'Adjust');
  await b.press('button', 'Set the free play at the fork rod');
  await b.press('button', 'Set the over-centre spring');
  await b.see('Too little free play');
  await b.press('button', 'Start again');
  await b.press('button', 'Set the over-centre spring');
  await b.press('button', 'Set the free play at the fork rod');
  await b.see('Everything is in its window.');
});

test('a pack: plates in and out, moved by keyboard; the selective part is advised with its reason', async () => {
  await b.visit(run.at('/teach/clutch/packs'));
  await shows(/186 N·m/);
  await b.see('1.05 mm is nearest to the middle');
  await b.press('button', '+ steel');
  await b.see(/too tall by/);
  await shows(/It does not fit/);
  await b.press('button', 'Take it out');
  await shows(/Nothing wrong found/);
  const grips = await b.driver.findElements(By.css('.stack-plates .sortable-grip'));
  await b.driver.executeScript('arguments[0].focus()', grips[1]);
  await carry(b, Key.ARROW_RIGHT);
  await shows(/Two of a kind/);
  await b.press('button', 'Put back');
  await shows(/Nothing wrong found/);
  await b.press('radio', 'Upgrades');
  await b.see('room in the drum');
  await b.press('radio', 'Heat');
  await b.press('radio', 'Capacity');
});

test('a clutch that can’t be is refused with its places, and nothing is lost', async () => {
  await b.visit(run.at('/teach/models/clutches/bollard-nine'));
  await b.see('Nothing wrong found');
  await b.fill('spinbutton', 'Inner radius', '200');
  await b.see('must be inside the outer one');
  await b.see('It can’t be drawn as it stands');
  await b.fill('spinbutton', 'Inner radius', '75');
  await b.see('Nothing wrong found');
});

test('inch-pound shows thousandths of an inch', async () => {
  await b.open(run.at('/teach/clutch'));
  await b.press('button', /Units: SI|SI/);
  await keys('p');
  await b.see('gap 0.041 in');
  await b.press('button', /Inch/);
});
