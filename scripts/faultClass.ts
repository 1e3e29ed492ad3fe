import type { DriveSymptom, Remedy } from '../core/faults';
import type { Answer } from '../core/lesson';
import type { DemoAnswer, DemoAttempt } from './demoClass';

/** What the invented students of the demo world answered about faults, and did at the desk. */
const say = (
  question: string,
  answer: Answer,
  confidence: DemoAnswer['confidence'] = 'fairly-sure',
): DemoAnswer => ({ question, answer, confidence });

const row = (...cells: string[]): Answer => ({
  kind: 'symptom-row',
  cells: cells.map((cell) => {
    const [range, drive] = cell.split(' ') as [string, DriveSymptom];
    return { range, drive };
  }),
});

const found = (
  cause: string,
  remedy: Remedy,
  ...entries: (readonly [check: string, expected: string, safe: boolean])[]
): Answer => ({
  kind: 'diagnose',
  entries: entries.map(([check, expected, safe]) => ({ check, expected, safe })),
  cause,
  remedy,
});

export const FAULT_CLASS: readonly DemoAttempt[] = [
  {
    student: 'Tova Relnik',
    lesson: 'good-gears-bad-gears',
    startedAt: '2026-11-18T07:32:00Z',
    finished: true,
    answers: [
      say(
        'q-burnt',
        row('D1 right', 'D2 right', 'D3 wrong-ratio', 'L1 right', 'R neutral'),
        'certain',
      ),
      say('q-seized', row('D1 right', 'D2 binds', 'D3 binds', 'L1 right', 'R right')),
      say('q-which', { kind: 'which-element', element: 'B1' }, 'certain'),
      say('q-next', { kind: 'which-test', check: 'fluid' }, 'certain'),
    ],
  },
  {
    student: 'Osk Marrow',
    lesson: 'good-gears-bad-gears',
    startedAt: '2026-11-18T07:35:00Z',
    finished: true,
    answers: [
      say('q-burnt', row('D1 right', 'D2 right', 'D3 neutral', 'L1 right', 'R neutral')),
      say('q-seized', row('D1 right', 'D2 right', 'D3 right', 'L1 right', 'R right'), 'guess'),
      say('q-which', { kind: 'which-element', element: 'C1' }),
      say('q-next', { kind: 'which-test', check: 'pan' }),
    ],
  },
  {
    student: 'Pell Dunmoor',
    lesson: 'before-you-strip-it',
    startedAt: '2026-11-19T07:40:00Z',
    finished: true,
    answers: [
      say(
        'q-crawler',
        found('F1=will-not-hold', 'strip-down', ['fluid', 'red', true], ['road L1', 'right', true]),
        'certain',
      ),
      say(
        'q-ramp',
        found('C1=slips', 'strip-down', ['fluid', 'brown-burnt', false], ['pan', 'lining', false]),
      ),
      say(
        'q-hopper',
        found('coupling=ramp-jammed', 'strip-down', ['flange', 'high', true]),
        'certain',
      ),
    ],
  },
];
