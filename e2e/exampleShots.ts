import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import type { Lesson, QuestionKind } from '../core/lesson';
import { openBrowser, type Browser } from './browser';
import { switchPaper } from './lookAt';
import { startServer } from './server';

/**
 * `npm run examples`: for every kind of question a small picture of how it is asked, on both papers, taken from the first
 * demo lesson that asks it before anything else in its step; `npm run examples -- KIND…` for some of them.
 */
const FOLDER = 'web/public/examples';
const WIDTH = 320;
const HEIGHT = 200;

function firstOfEachKind(): Map<QuestionKind, { lesson: string; step: string }> {
  const first = new Map<QuestionKind, { lesson: string; step: string }>();
  for (const file of readdirSync('demo/lessons').toSorted()) {
    const lesson = JSON.parse(readFileSync(`demo/lessons/${file}`, 'utf8')) as Lesson;
    for (const { id, blocks } of lesson.steps) {
      const asked = blocks.find((b) => b.kind === 'question');
      if (asked && !first.has(asked.question.kind))
        first.set(asked.question.kind, { lesson: lesson.id, step: id });
    }
  }
  return first;
}

/** What is asked beside the sheet rather than on it: the whole is shown. */
const BESIDE: ReadonlySet<QuestionKind> = new Set([
  'own-choice',
  'own-number',
  'own-order',
  'free-now',
  'why-first',
  'choose-size',
  'worth-it',
  'which-test',
  'diagnose',
]);

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What is in sight of it, made small. */
async function take(b: Browser, kind: QuestionKind, file: string): Promise<void> {
  const box = await b.driver.executeScript<Box>(
    `const boxOf = (part) => document.querySelector(part)?.getBoundingClientRect();
     const { right, bottom } = boxOf(arguments[0]);
     const { x, y } = boxOf('.player-sheet') ?? boxOf('main');
     return { x, y, width: Math.min(right, innerWidth) - x, height: Math.min(bottom, innerHeight) - y };`,
    BESIDE.has(kind) ? 'main' : '.player-sheet',
  );
  const clip = { ...box, scale: Math.min(WIDTH / box.width, HEIGHT / box.height) };
  const shot = { format: 'webp', quality: 70, clip };
  const { data } = (await b.devtools('Page.captureScreenshot', shot)) as { data: string };
  writeFileSync(file, Buffer.from(data, 'base64'));
}

const asked = new Set(process.argv.slice(2));
mkdirSync(FOLDER, { recursive: true });
const server = await startServer();
const browser = await openBrowser();
try {
  await browser.viewport(1240, 620);
  await browser.open(`${server.url}/teach/lessons`);
  for (const paper of ['day', 'night'] as const) {
    const now = () =>
      browser.driver.executeScript<string>('return document.documentElement.dataset.theme');
    if ((await now()) !== paper) await switchPaper(browser);
    // Kept for every page from now on.
    await browser.driver.sleep(1000);
    for (const [kind, { lesson, step }] of firstOfEachKind()) {
      if (asked.size > 0 && !asked.has(kind)) continue;
      await browser.open(`${server.url}/teach/lessons/${lesson}/preview?step=${step}`);
      await browser.press('button', 'Begin');
      await browser.driver.sleep(BESIDE.has(kind) ? 4000 : 900);
      await browser.settled();
      if ((await now()) !== paper) throw new Error(`exampleShots: expected the ${paper} paper`);
      await take(browser, kind, `${FOLDER}/${kind}-${paper}.webp`);
    }
  }
} finally {
  await browser.quit();
  await server.stop();
}
