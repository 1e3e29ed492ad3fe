import type { Browser } from './browser';
import { printed } from './pdf';
import { session } from './session';

/** Worksheets as Chromium prints them. */
const run = session();
let b: Browser;
beforeAll(() => {
  b = run.browser();
});

const together = (pages: readonly { text: string }[]) =>
  pages
    .map((p) => p.text)
    .join(' ')
    .replace(/\s+/g, ' ');

test('a sheet for each name, in vectors, answers on pages of their own behind them; A4 and letter', async () => {
  await b.visit(run.at('/teach/lessons/hold-one-drive-one/paper'));
  await b.fill('textbox', 'A sheet for each name', 'Arno Kell\nBrigid Voss\nArno Kell');
  await b.role('article', 'Brigid Voss');
  expect(await b.count('article')).toBe(4);
  const pages = await printed(b);
  // ISO 216: 210 × 297 mm are 595 × 842 points (published).
  for (const { width, height, pictures } of pages) {
    expect([Math.round(width), Math.round(height)]).toEqual([595, 842]);
    // The tile of a held part's hatching, which the printer repeats: three held parts a page at most.
    expect(pictures).toBeLessThanOrEqual(3);
  }
  expect(pages[0]!.paths).toBeGreaterThan(20);
  const first = pages.findIndex((p) => p.text.includes('Answers: Arno Kell'));
  expect(first).toBeGreaterThan(1);
  const [sheets, answers] = [together(pages.slice(0, first)), together(pages.slice(first))];
  expect(sheets).toContain('Brigid Voss');
  expect(sheets).toContain('Ring held, sun drives.');
  expect(sheets).not.toContain('3.33');
  // Ring 70, sun 30, ring held: 1 + 70/30 (Willis 1841; published, from memory).
  expect(answers).toContain('3.33');
  expect(answers).toContain('1 + 70/30');
  // The last question draws its own teeth for each.
  const teeth = pages.slice(0, first).map((p) =>
    p.text
      .match(/\d+ teeth/g)
      ?.slice(-2)
      .join(),
  );
  expect(new Set(teeth.filter(Boolean)).size).toBeGreaterThan(1);
  await b.press('radio', 'letter');
  await b.press('radio', 'answers alone');
  const letter = await printed(b);
  expect([letter[0]!.width, letter[0]!.height]).toEqual([612, 792]);
  expect(together(letter)).not.toContain('Which way?');
  await b.press('radio', 'no answers');
  expect(together(await printed(b))).not.toContain('Answers:');
});

test('charts to fill and curves to draw are empty; what has to be operated says so', async () => {
  await b.visit(run.at('/teach/lessons/fill-the-chart/paper'));
  await b.see('Mark the cells.');
  await b.press('radio', 'no answers');
  expect(together(await printed(b))).toContain('Mark the cells.');
  await b.visit(run.at('/teach/lessons/why-it-multiplies/paper'));
  await b.see('This one is asked at the machine, not on paper.');
  const pages = await printed(b);
  expect(together(pages)).toContain('Efficiency');
  expect(pages.every((p) => p.pictures === 0)).toBe(true);
  const shown = await b.driver.executeScript<number>(
    "return [...document.querySelectorAll('.paper-drawing [role=slider]')].filter((e) => e.getClientRects().length).length",
  );
  expect(shown).toBe(0);
});
