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
  /** Why, where the lesson asks for it. */
  readonly words?: string;
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

/** The place of the question that also asks why. */
const ASKED_WHY = 4;

/** Answers to "hold one, drive one" in the order of its questions; `null` leaves one out. */
const QUESTIONS = ['q-ring', 'q-sun-effect', 'q-sun', 'q-carrier', 'q-over', 'q-lock', 'q-own'];

function six(
  student: string,
  startedAt: string,
  answers: readonly (readonly [Answer, Confidence, number?] | null)[],
  why: string,
): DemoAttempt {
  const given = answers.flatMap((a, k) => {
    if (!a) return [];
    const answer = say(QUESTIONS[k]!, a[0], a[1], a[2]);
    return [k === ASKED_WHY ? { ...answer, words: why } : answer];
  });
  const finished = given.length === QUESTIONS.length;
  return { student, lesson: 'hold-one-drive-one', startedAt, finished, answers: given };
}

/** Stands for the right answer, which the model supplies. */
export const RIGHT = NaN;

const on = (...cells: string[]): Answer => ({ kind: 'fill-chart', on: cells });
const GIVEN = ['D1 C1', 'L1 B2'];
const GIVEN_FIVE = ['D1 C0', 'D1 C1', 'D1 B2', 'D3 C0', 'D3 C1', 'D3 B1'];

export const DEMO_CLASS: readonly DemoAttempt[] = [
  six(
    'Tova Relnik',
    '2026-09-14T07:31:00Z',
    [
      [n(3.33, 'same'), 'certain'],
      [c('reduction'), 'certain'],
      [n(1.43, 'same'), 'fairly-sure'],
      [n(2.33, 'opposite'), 'certain'],
      [c('carrier-sun'), 'fairly-sure'],
      [c('direct'), 'certain'],
      [n(RIGHT, 'same'), 'certain', 2],
    ],
    'The carrier turns the least for a lot of sun, so driving the carrier must whip the sun round.',
  ),
  six(
    'Osk Marrow',
    '2026-09-14T07:33:00Z',
    [
      [n(2.33, 'same'), 'certain', 1],
      [c('overdrive'), 'fairly-sure'],
      [n(0.7, 'same'), 'fairly-sure', 1],
      [n(2.33, 'opposite'), 'fairly-sure'],
      [c('ring-carrier'), 'guess'],
      [c('direct'), 'fairly-sure'],
      [n(RIGHT, 'same'), 'fairly-sure'],
    ],
    'The ring is the biggest wheel, and a big wheel that drives a small one always speeds it up.',
  ),
  six(
    'Pell Dunmoor',
    '2026-09-14T07:34:00Z',
    [
      [n(2.33, 'same'), 'fairly-sure'],
      [c('reduction'), 'guess'],
      [n(1.43, 'same'), 'guess'],
      [n(2.33, 'same'), 'certain'],
      [c('carrier-ring'), 'fairly-sure'],
      [c('neutral'), 'fairly-sure'],
      [n(RIGHT, 'same'), 'fairly-sure'],
    ],
    'I only remembered that the carrier has to be the one that drives.',
  ),
  six(
    'Ibby Carrack',
    '2026-09-14T07:32:00Z',
    [
      [n(0.3, 'same'), 'certain'],
      [c('overdrive'), 'certain'],
      [n(0.7, 'same'), 'certain'],
      [n(0.43, 'opposite'), 'certain'],
      [c('sun-carrier'), 'certain'],
      [c('direct'), 'certain'],
      null,
    ],
    'The small wheel spins fastest, so I let it drive.',
  ),
  six(
    'Juna Skiff',
    '2026-09-14T07:36:00Z',
    [
      [n(3.33, 'same'), 'fairly-sure'],
      [c('reduction'), 'fairly-sure'],
      [n(1.43, 'same'), 'fairly-sure'],
      [n(3.33, 'opposite'), 'guess', 1],
      [c('carrier-sun'), 'certain'],
      [c('direct'), 'certain'],
      [n(RIGHT, 'same'), 'certain', 1],
    ],
    'It is the largest reduction from before, run backwards: one over 3.33.',
  ),
  six(
    'Bram Tiller',
    '2026-09-14T07:35:00Z',
    [
      [n(1.67, 'same'), 'guess', 2],
      [c('overdrive'), 'guess'],
      [n(1.43, 'same'), 'fairly-sure'],
      [n(2.33, 'same'), 'fairly-sure'],
      [c('ring-carrier'), 'fairly-sure'],
      [c('direct'), 'fairly-sure'],
      null,
    ],
    'Ring in felt quickest when we cranked it in the shed.',
  ),
  six(
    'Sel Hawser',
    '2026-09-14T07:37:00Z',
    [
      [n(3.33, 'same'), 'certain'],
      [c('reduction'), 'fairly-sure'],
      [n(1.43, 'same'), 'certain'],
      [n(2.33, 'opposite'), 'fairly-sure'],
      [c('carrier-sun'), 'fairly-sure'],
      [c('neutral'), 'guess'],
      [n(RIGHT, 'same'), 'fairly-sure'],
    ],
    'Whatever gives the most reduction one way gives the most speed the other way.',
  ),
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
  ...chartClass(),
  ...converterClass(),
  ...clutchClass(),
];

/** Answers about whole units: a chart filled, and who brakes on coast. */
function chartClass(): DemoAttempt[] {
  const chart = (student: string, startedAt: string, first: Answer, second: Answer) => ({
    student,
    lesson: 'fill-the-chart',
    startedAt,
    finished: true,
    answers: [say('q-chart', first), say('q-five', second, 'guess')],
  });
  const coast = (student: string, startedAt: string, low: Answer, second: Answer, two: Answer) => ({
    student,
    lesson: 'drive-or-coast',
    startedAt,
    finished: true,
    answers: [say('q-low', low, 'certain'), say('q-second', second), say('q-two', two)],
  });
  const runsFree = (letsGo: string): Answer => ({ kind: 'drive-or-coast', braking: false, letsGo });
  const brakes: Answer = { kind: 'drive-or-coast', braking: true };
  const whole = [...GIVEN, 'D2 C1', 'D2 B1', 'D3 C1', 'D3 C2', 'L1 C1', 'R C2', 'R B2'];
  const five = [...GIVEN_FIVE, 'D2 B0', 'D2 C1', 'D2 B2'];
  const top = ['D4 C0', 'D4 C1', 'D4 C2', 'D5 B0', 'D5 C1', 'D5 C2'];
  return [
    chart('Tova Relnik', '2026-10-05T07:31:00Z', on(...whole), on(...five, ...top)),
    chart(
      'Osk Marrow',
      '2026-10-05T07:33:00Z',
      on(...GIVEN, 'D2 B1', 'D3 C2', 'L1 C1', 'R B2'),
      on(...five, 'D4 C2', 'D5 B0'),
    ),
    chart(
      'Juna Skiff',
      '2026-10-05T07:34:00Z',
      on(...GIVEN, 'D2 C1', 'D2 B1', 'D3 C1', 'D3 C2', 'D3 B1', 'L1 C1', 'R C2', 'R B2'),
      on(...five, ...top),
    ),
    coast('Tova Relnik', '2026-10-12T07:31:00Z', runsFree('F1'), runsFree('F2'), brakes),
    coast('Pell Dunmoor', '2026-10-12T07:32:00Z', brakes, brakes, brakes),
    coast('Sel Hawser', '2026-10-12T07:35:00Z', runsFree('F1'), runsFree('F1'), brakes),
  ];
}

/** Answers about converters: a crossing read off, and what a change does to it. */
function converterClass(): DemoAttempt[] {
  const read = (value: number): Answer => ({ kind: 'read-match', value });
  const goes = (way: 'up' | 'down' | 'same', value: number): Answer => ({
    kind: 'predict-change',
    way,
    value,
  });
  const crossing = (
    student: string,
    startedAt: string,
    answers: readonly [number, number, Answer, Answer, Answer],
  ): DemoAttempt => ({
    student,
    lesson: 'read-the-crossing',
    startedAt,
    finished: true,
    answers: [
      say('read-stall', read(answers[0]), 'fairly-sure'),
      say('read-torque', read(answers[1]), 'guess'),
      say('weak', answers[2], 'certain'),
      say('smaller', answers[3]),
      say('height', answers[4]),
    ],
  });
  return [
    crossing('Tova Relnik', '2026-11-09T07:31:00Z', [
      2000,
      370,
      goes('down', 1740),
      goes('up', 2400),
      goes('down', 1850),
    ]),
    crossing('Pell Dunmoor', '2026-11-09T07:32:00Z', [
      2500,
      230,
      goes('up', 2300),
      goes('down', 1800),
      goes('down', 1900),
    ]),
    crossing('Sel Hawser', '2026-11-09T07:34:00Z', [
      2050,
      250,
      goes('down', 1700),
      goes('up', 2450),
      goes('same', 2060),
    ]),
  ];
}

/** Two on wear, one on a pack. */
function clutchClass(): DemoAttempt[] {
  const rivets = (
    student: string,
    startedAt: string,
    half: number,
    first: string,
    oil: number,
  ): DemoAttempt => ({
    student,
    lesson: 'new-to-rivets',
    startedAt,
    finished: true,
    answers: [
      say('q-half', { kind: 'will-it-hold', holds: true, value: half }),
      say('q-first', { kind: 'will-it-hold', range: first }, 'certain'),
      say('q-oil', { kind: 'will-it-hold', holds: false, value: oil }),
    ],
  });
  return [
    rivets('Osk Marrow', '2026-11-16T07:31:00Z', 250, 'G1', 150),
    rivets('Tova Relnik', '2026-11-16T07:32:00Z', 290, 'G5', 155),
    {
      student: 'Pell Dunmoor',
      lesson: 'plates-and-rings',
      startedAt: '2026-11-17T07:40:00Z',
      finished: true,
      answers: [
        say('q-ring', { kind: 'choose-selective', thickness: 0.0018 }),
        say('q-carry', { kind: 'upgrade-limit', value: 160 }, 'certain'),
        say('q-thin', { kind: 'upgrade-limit', limit: 'room' }, 'guess'),
        say('q-press', { kind: 'upgrade-limit', limit: 'groove' }),
      ],
    },
  ];
}
