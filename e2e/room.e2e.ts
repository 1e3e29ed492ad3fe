import { By } from 'selenium-webdriver';
import { io, type Socket } from 'socket.io-client';
import type { AttemptAnswer, Lesson } from '../core/lesson';
import { openBrowser, PATIENCE_MS, type Browser } from './browser';
import { layoutProblems, smallLetters, smallTargets } from './layoutProblems';
import { session } from './session';

/** A class of twelve in one room: an instructor, a phone that is a real one, and ten that are told what to say. */
const run = session();
let host: Browser;
let phone: Browser;
const others: Socket[] = [];
beforeAll(async () => {
  host = run.browser();
  phone = await openBrowser();
  await phone.finger(true);
  await phone.viewport(390, 844);
});
afterAll(async () => {
  for (const socket of others) socket.disconnect();
  await phone.quit();
});

let code = '';
let question = '';
const everyone = async (vote: 1 | 2, value: (k: number) => number) => {
  const answers: unknown[] = [];
  for (const [k, socket] of others.entries()) {
    const entry: AttemptAnswer = {
      question,
      round: 0,
      answer: { kind: 'number', value: value(k), direction: 'same' },
      confidence: 'fairly-sure',
      at: '2030-01-01T08:00:00.000Z',
      score: 1,
    };
    answers.push(await socket.timeout(PATIENCE_MS).emitWithAck('commit', { vote, entry }));
  }
  return answers;
};
/** Nothing cut off, covered or too small for the finger that presses it. */
const phoneIsGood = async () => {
  await phone.settled();
  const found = await Promise.all(
    [layoutProblems, smallTargets, smallLetters].map((f) => f(phone)),
  );
  expect(found.flat()).toEqual([]);
};
const predicts = async (ratio: string) => {
  await phone.fill('spinbutton', 'Ratio', ratio);
  await phone.press('radio', 'same way');
  await phone.press('radio', 'certain');
  await phone.press('button', 'Commit prediction');
  await phone.see('Sent');
};

test('a room is opened on a lesson; students come in with code and name', async () => {
  await host.visit(run.at('/teach/lessons'));
  await host.visit(run.at('/teach/rooms/new/hold-one-drive-one'));
  await host.press('button', 'Open the room');
  await host.see('0 are in.');
  await host.see('HOST=0.0.0.0 npm start');
  code = (await host.driver.getCurrentUrl()).split('/').at(-1)!;
  await phone.open(run.at('/room'));
  await phone.fill('textbox', 'Code', code.toLowerCase());
  await phone.press('button', 'Go on');
  await phone.fill('textbox', /^Your name/, 'Ina Hawse');
  await phone.press('button', 'Come in');
  await phone.see('Wait for the first question');
  await phoneIsGood();
  await host.see('Ina Hawse');
  const response = await fetch(run.at(`/rooms/${code}/lesson`));
  const lesson = (await response.json()) as Lesson;
  question = lesson.steps.flatMap((s) => s.blocks).find((x) => x.kind === 'question')!.id;
  for (let k = 0; k < 10; k++) {
    const socket = io(run.at('/'), { transports: ['websocket'], forceNew: true });
    others.push(socket);
    const answer: unknown = await socket
      .timeout(PATIENCE_MS)
      .emitWithAck('enter', { code, name: `Student ${k}` });
    expect(answer).toMatchObject({ ok: true });
  }
  await host.see('11 are in.');
});

test('ask, commit, spread, talk, commit again: no phone is told before the reveal', async () => {
  await host.press('button', 'Ask the first question');
  await phone.see('What ratio comes out');
  await phoneIsGood();
  await predicts('2.33');
  expect(await phone.text()).not.toMatch(/3\.33|Partly right|Left the carrier/);
  expect(await everyone(1, (k) => (k < 4 ? 10 / 3 : 3.5))).toContainEqual({ ok: true });
  await host.see(/11\s*of 11 have committed/);
  await host.press('button', 'Show the spread');
  await host.see('2.33, same way');
  expect(await host.role('table', 'By answer').then((table) => table.getText())).not.toMatch(/Ina/);
  await host.press('button', 'Talk, then vote again');
  await phone.see('commit again');
  // A phone that reloads falls back into its place.
  await phone.driver.navigate().refresh();
  await phone.see('commit again');
  await everyone(2, () => 10 / 3);
  await predicts('3.33');
});

test('the reveal: the model on every phone, who moved on the board, and the board by itself', async () => {
  await host.press('button', 'Reveal');
  await phone.see('Left the carrier');
  await phone.see('After talking you said: 3.33');
  await phoneIsGood();
  await host.see('After talking: 7 to right, 0 to wrong; 4 stayed right, 0 stayed wrong.');
  await host.press('button', 'Next question');
  await phone.see('Hold the sun');
});

test('at the end every record is in the class book, graded anew, and the phone keeps its own', async () => {
  await host.press('button', 'End the room');
  await host.press('button', 'Put into the class book and close');
  await host.see('Export CSV');
  // The chart of how sure they were has a table of its own, and comes when it comes.
  const ledger = await host.driver.findElement(By.css('.class-book table'));
  const rows = await ledger.getText();
  expect(rows).toMatch(/Ina Hawse, Hold the ring:\s*2\.33 same\s*, partly right/);
  // Each had claimed full marks.
  expect(rows).toMatch(/Student 9, Hold the ring:\s*3\.50 same\s*, partly right/);
  await phone.see('The room is closed');
  await phone.visit(run.at('/learn/records'));
  await phone.see('Hold one, drive one');
});

test('a code that is none, and a name that is taken, are told', async () => {
  await phone.open(run.at('/room/AAAAA2'));
  await phone.see('There is no room with this code');
  await phone.visit(run.at('/teach/rooms/AAAAA2'));
  await phone.see('This room was opened in another browser');
});
