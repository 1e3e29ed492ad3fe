import type { Answer, Confidence } from '../core/lesson';

/**
 * The made-up class of the demo world: what each invented student answered. `writeDemo.ts` grades these
 * with the model and writes the attempts.
 */
export interface DemoAnswer {
  readonly question: string;
  readonly answer: Answer;
  readonly confidence: Confidence;
  /** Rounds of practice with other teeth, all answered right. */
  readonly practice?: number;
}

export interface DemoAttempt {
  readonly student: string;
  readonly lesson: string;
  readonly startedAt: string;
  readonly finished: boolean;
  readonly answers: readonly DemoAnswer[];
}

const n = (value: number, direction?: 'same' | 'opposite' | 'none'): Answer =>
  direction ? { kind: 'number', value, direction } : { kind: 'number', value };
const c = (choice: string): Answer => ({ kind: 'choice', choice });
const say = (
  question: string,
  answer: Answer,
  confidence: Confidence = 'fairly-sure',
  practice = 0,
): DemoAnswer => ({ question, answer, confidence, practice });

/** Answers to "hold one, drive one" in the order of its questions; `null` leaves one out. */
const QUESTIONS = ['q-ring', 'q-sun-effect', 'q-sun', 'q-carrier', 'q-over', 'q-lock', 'q-own'];

function six(
  student: string,
  startedAt: string,
  answers: readonly (readonly [Answer, Confidence, number?] | null)[],
): DemoAttempt {
  const given = answers.flatMap((a, k) => (a ? [say(QUESTIONS[k]!, a[0], a[1], a[2])] : []));
  const finished = given.length === QUESTIONS.length;
  return { student, lesson: 'hold-one-drive-one', startedAt, finished, answers: given };
}

/** Stands for the right answer, which the model supplies. */
export const RIGHT = NaN;

export const DEMO_CLASS: readonly DemoAttempt[] = [
  six('Tova Relnik', '2026-09-14T07:31:00Z', [
    [n(3.33, 'same'), 'certain'],
    [c('reduction'), 'certain'],
    [n(1.43, 'same'), 'fairly-sure'],
    [n(2.33, 'opposite'), 'certain'],
    [c('carrier-sun'), 'fairly-sure'],
    [c('direct'), 'certain'],
    [n(RIGHT, 'same'), 'certain', 2],
  ]),
  six('Osk Marrow', '2026-09-14T07:33:00Z', [
    [n(2.33, 'same'), 'certain', 1],
    [c('overdrive'), 'fairly-sure'],
    [n(0.7, 'same'), 'fairly-sure', 1],
    [n(2.33, 'opposite'), 'fairly-sure'],
    [c('ring-carrier'), 'guess'],
    [c('direct'), 'fairly-sure'],
    [n(RIGHT, 'same'), 'fairly-sure'],
  ]),
  six('Pell Dunmoor', '2026-09-14T07:34:00Z', [
    [n(2.33, 'same'), 'fairly-sure'],
    [c('reduction'), 'guess'],
    [n(1.43, 'same'), 'guess'],
    [n(2.33, 'same'), 'certain'],
    [c('carrier-ring'), 'fairly-sure'],
    [c('neutral'), 'fairly-sure'],
    [n(RIGHT, 'same'), 'fairly-sure'],
  ]),
  six('Ibby Carrack', '2026-09-14T07:32:00Z', [
    [n(0.3, 'same'), 'certain'],
    [c('overdrive'), 'certain'],
    [n(0.7, 'same'), 'certain'],
    [n(0.43, 'opposite'), 'certain'],
    [c('sun-carrier'), 'certain'],
    [c('direct'), 'certain'],
    null,
  ]),
  six('Juna Skiff', '2026-09-14T07:36:00Z', [
    [n(3.33, 'same'), 'fairly-sure'],
    [c('reduction'), 'fairly-sure'],
    [n(1.43, 'same'), 'fairly-sure'],
    [n(3.33, 'opposite'), 'guess', 1],
    [c('carrier-sun'), 'certain'],
    [c('direct'), 'certain'],
    [n(RIGHT, 'same'), 'certain', 1],
  ]),
  six('Bram Tiller', '2026-09-14T07:35:00Z', [
    [n(1.67, 'same'), 'guess', 2],
    [c('overdrive'), 'guess'],
    [n(1.43, 'same'), 'fairly-sure'],
    [n(2.33, 'same'), 'fairly-sure'],
    [c('ring-carrier'), 'fairly-sure'],
    [c('direct'), 'fairly-sure'],
    null,
  ]),
  six('Sel Hawser', '2026-09-14T07:37:00Z', [
    [n(3.33, 'same'), 'certain'],
    [c('reduction'), 'fairly-sure'],
    [n(1.43, 'same'), 'certain'],
    [n(2.33, 'opposite'), 'fairly-sure'],
    [c('carrier-sun'), 'fairly-sure'],
    [c('neutral'), 'guess'],
    [n(RIGHT, 'same'), 'fairly-sure'],
  ]),
  {
    student: 'Tova Relnik',
    lesson: 'what-the-held-part-feels',
    startedAt: '2026-09-21T07:31:00Z',
    finished: true,
    answers: [
      say('q-out', n(800), 'certain'),
      say('q-held', n(800), 'fairly-sure', 1),
      say('q-pins', n(675, 'opposite'), 'guess'),
      say('q-free', c('neutral'), 'certain'),
    ],
  },
  {
    student: 'Osk Marrow',
    lesson: 'what-the-held-part-feels',
    startedAt: '2026-09-21T07:33:00Z',
    finished: true,
    answers: [
      say('q-out', n(200), 'guess'),
      say('q-held', n(600), 'fairly-sure'),
      say('q-pins', n(450, 'opposite'), 'fairly-sure'),
      say('q-free', c('reduction'), 'fairly-sure'),
    ],
  },
];
