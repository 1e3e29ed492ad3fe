import { pathToFileURL } from 'node:url';
import { openValue } from '../core/formats';
import type { Browser } from './browser';
import { bytesOf, downloaded } from './files';
import { session } from './session';

/** A lesson exported as one page, opened from the disk of a device that has never met the server. */
const run = session(['main', 'student']);
let teacher: Browser;
let student: Browser;
beforeAll(() => {
  teacher = run.browser();
  student = run.browser('student');
});

async function exported(title: string, ending: string): Promise<string> {
  await teacher.visit(run.at('/teach/lessons'));
  await teacher.press('button', `More for ${title}`);
  await teacher.press('menuitem', 'One page that plays by itself');
  return downloaded(teacher, ending);
}

test('a light lesson: predicted, committed, kept over a reload, and the record given as a file', async () => {
  const file = await exported('Hold one, drive one: six ratios from one set', 'set.html');
  const page = pathToFileURL(file).href;
  await student.visit(page);
  await student.fill('textbox', /name/i, 'Arno Kell');
  await student.press('button', 'Begin');
  await student.fill('spinbutton', 'Ratio', '3.33');
  await student.press('radio', 'same way');
  await student.press('radio', 'certain');
  await student.press('button', 'Commit prediction');
  await student.see('exactly 10/3');
  await student.visit(page);
  await student.press('button', /Continue as Arno Kell/);
  await student.see('exactly 10/3');
  await student.press('button', 'Your record');
  await student.press('button', 'Export record');
  const text = new TextDecoder().decode(bytesOf(await downloaded(student, '.attempt.json')));
  const record = openValue(JSON.parse(text), 'fair-sprocket/attempt');
  expect(record).toMatchObject({ ok: true });
  expect(text).toContain('Arno Kell');
  // Ring 70, sun 30, ring held: 1 + 70/30 (Willis 1841; published, from memory).
  expect(JSON.parse(text)).toMatchObject({ answers: [{ score: 1, answer: { value: 3.33 } }] });
});

test('a lesson with workers inside: a fault is laid out from the page itself', async () => {
  const file = await exported('Good gears, bad gears', 'bad-gears.html');
  await student.visit(pathToFileURL(file).href);
  await student.fill('textbox', /name/i, 'Brigid Voss');
  await student.press('button', 'Begin');
  await student.press('button', /5 Spend/);
  await student.see('of 60 shop minutes spent');
  await student.role('button', 'Commit prediction');
});
