import fc from 'fast-check';
import { openValue } from '../formats';
import {
  bookKeeper,
  classBook,
  confidenceTally,
  continuationOf,
  mergedAttempt,
  questionsOf,
  posedFor,
  isOf,
  type Answer,
  type AttemptAnswer,
  type Lesson,
} from './index';
import { demoAttempts, entry, lessons, record } from './tests/records';

const lessonAsking = (kind: string) =>
  lessons.find((l) => questionsOf(l).some((q) => q.question.kind === kind))!;
const asking = (kind: string) => {
  const lesson = lessonAsking(kind);
  return { lesson, asked: questionsOf(lesson).find((q) => q.question.kind === kind)! };
};

const cellOf = (lesson: Lesson, question: string, answer: AttemptAnswer) => {
  const at = questionsOf(lesson).findIndex((q) => q.id === question);
  return classBook(lesson, [record(lesson, [answer])]).rows[0]!.cells[at]!;
};

test('an answer of another kind is set aside, whatever score it states', () => {
  const { lesson, asked } = asking('number');
  const cell = cellOf(lesson, asked.id, entry(asked.id, { kind: 'choice', choice: 'x' }));
  expect(cell).toMatchObject({ score: null, setAside: 'misfit' });
  const book = classBook(lesson, [
    record(lesson, [entry(asked.id, { kind: 'choice', choice: 'x' })]),
  ]);
  expect(book.rows[0]!.total).toBe(0);
  expect(book.columns.every((c) => c.answered === 0)).toBe(true);
  expect(confidenceTally(book).every((row) => row.answered === 0)).toBe(true);
});

test('a gear set that a record brings along is not believed', () => {
  const { lesson, asked } = asking('number');
  const { question } = asked;
  if (!isOf('gear-set', question) || question.kind !== 'number') throw new Error(question.kind);
  const { subject } = posedFor(lesson, question, {
    student: 'Wend Halyard',
    lessonId: lesson.id,
    questionId: asked.id,
    round: 0,
  });
  if (subject?.kind !== 'gear-set') throw new Error(String(subject?.kind));
  const given = subject.setup;
  const teeth = { sun: 30, pinion: 30, ring: 90 };
  const claimed = { ...given, set: { kind: 'single-pinion' as const, teeth, pinions: 3 } };
  const answer: Answer = {
    kind: 'number',
    value: 4,
    ...(question.direction ? { direction: 'same' } : {}),
  };
  expect(cellOf(lesson, asked.id, entry(asked.id, answer, { setup: claimed }))).toMatchObject({
    score: null,
    setAside: 'other-setup',
  });
  expect(cellOf(lesson, asked.id, entry(asked.id, answer, { setup: given })).setAside).toBeNull();
});

test('nonsense in a whole case is set aside, and a diagnosis is weighed by its readings', () => {
  const { lesson, asked } = asking('diagnose');
  const diagnosis = (entries: string[]): Answer => ({
    kind: 'diagnose',
    entries: entries.map((check) => ({ check, expected: 'right', safe: true })),
    cause: 'C1=burnt',
    remedy: 'strip-down',
  });
  // A guess is no diagnosis: it scores nothing, though the file states full marks.
  const both = [diagnosis(['no such test']), diagnosis([])].map((answer, k) =>
    record(lesson, [entry(asked.id, answer)], { id: `r${k}`, student: `Student ${k}` }),
  );
  const at = questionsOf(lesson).findIndex((q) => q.id === asked.id);
  expect(classBook(lesson, both).rows.map((r) => r.cells[at])).toMatchObject([
    { score: null, setAside: 'misfit' },
    { score: 0, differs: true },
  ]);
});

test.each<[string, Answer]>([
  ['adjust-order', { kind: 'adjust-order', order: ['x'] }],
  ['choice', { kind: 'choice', choice: 'sun-sun' }],
  ['launch-order', { kind: 'launch-order', order: ['moves', 'moves'] }],
  ['read-match', { kind: 'read-match', value: NaN }],
  ['reaction', { kind: 'reaction', elements: ['Z9'] }],
  ['trace-path', { kind: 'trace-path', members: ['nowhere'] }],
  ['noise-test', { kind: 'noise-test', test: 'kick-it' }],
  ['which-element', { kind: 'which-element', element: 'Z9' }],
])('valid nonsense does not throw and does not count: %s', (kind, answer) => {
  const { lesson, asked } = asking(kind);
  expect(cellOf(lesson, asked.id, entry(asked.id, answer))).toMatchObject({
    score: null,
    setAside: 'misfit',
  });
});

const anyWord = fc.constantFrom(
  'sun',
  'C1',
  'B1',
  'D1',
  '1',
  '',
  'x',
  'sun-carrier',
  'constructor',
);
const anyNumber = fc.oneof(fc.double(), fc.constantFrom(0, -1, 1e9, NaN, Infinity));
const anyWords = fc.array(anyWord, { maxLength: 5 });
const anyAnswer = fc
  .tuple(anyWord, anyNumber, anyWords, fc.array(anyNumber, { maxLength: 9 }), fc.boolean())
  .chain(([word, value, words, values, flag]) =>
    fc.constantFrom<unknown>(
      { kind: 'number', value, direction: 'same' },
      { kind: 'choice', choice: word },
      { kind: 'roles', drives: 'sun', driven: 'sun', held: 'sun' },
      { kind: 'fill-chart', on: words },
      { kind: 'trace-path', members: words },
      { kind: 'row-outcome', outcome: 'drives', ratio: value },
      { kind: 'reaction', elements: words },
      { kind: 'drive-or-coast', braking: flag, letsGo: word },
      { kind: 'operate', throttle: value, turbineRpm: value, lockUp: flag },
      { kind: 'read-match', value },
      { kind: 'sketch-curve', values },
      { kind: 'predict-change', way: 'up', value },
      { kind: 'launch-order', order: words },
      { kind: 'set-free-play', forkRod: value, turnbuckle: value },
      { kind: 'will-it-hold', holds: flag, value, range: word },
      { kind: 'adjust-order', order: words },
      { kind: 'noise-test', test: word },
      { kind: 'draw-start', pedal: values, throttle: values },
      { kind: 'choose-selective', thickness: value },
      { kind: 'upgrade-limit', value },
      { kind: 'symptom-row', cells: words.map((range) => ({ range, drive: 'neutral' })) },
      { kind: 'which-element', element: word },
      { kind: 'which-test', check: word },
    ),
  ) as fc.Arbitrary<Answer>;

test('whatever a record says, the class book does not throw, and a score is between 0 and 1', () => {
  const quick = lessons.filter(
    (l) =>
      !questionsOf(l).some((q) =>
        ['diagnose', 'which-test', 'draw-start', 'launch-order'].includes(q.question.kind),
      ),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...quick),
      fc.array(anyAnswer, { minLength: 3, maxLength: 8 }),
      (lesson, answers) => {
        const ids = questionsOf(lesson).map((q) => q.id);
        const given = answers.map((answer, k) => entry(ids[k % ids.length]!, answer));
        for (const cell of classBook(lesson, [record(lesson, given)]).rows[0]!.cells)
          if (cell?.score != null) {
            expect(cell.score).toBeGreaterThanOrEqual(0);
            expect(cell.score).toBeLessThanOrEqual(1);
          }
      },
    ),
    { seed: 20261128, numRuns: 60 },
  );
});

test('the same student twice: both stay, the first counts, or the one that the instructor chose', () => {
  const { lesson, asked } = asking('number');
  const wrong = entry(asked.id, { kind: 'number', value: 99, direction: 'same' });
  const early = record(lesson, [wrong], { id: 'early', student: 'wend halyard ' });
  const late = record(lesson, [], { id: 'late', startedAt: '2030-01-02T08:00:00Z' });
  const counting = (chosen: string[]) =>
    classBook(lesson, [late, early], { chosen }).rows.map((r) => [r.attempt.id, r.counts]);
  expect(counting([])).toEqual([
    ['late', false],
    ['early', true],
  ]);
  expect(counting(['late'])).toEqual([
    ['late', true],
    ['early', false],
  ]);
  expect(classBook(lesson, [late, early]).rows[0]!.twins).toEqual(['early']);
  // Whatever order the files came in, the one that was begun first.
  const later = record(lesson, [], { id: 'later', startedAt: '2030-01-03T08:00:00Z' });
  for (const list of [
    [early, late, later],
    [late, early, later],
    [late, later, early],
    [later, late, early],
  ])
    expect(
      classBook(lesson, list)
        .rows.filter((r) => r.counts)
        .map((r) => r.attempt.id),
    ).toEqual(['early']);
});

test('an attempt is graded from the version it began with', () => {
  const { lesson, asked } = asking('number');
  const changed: Lesson = { ...lesson, converters: [], units: [] };
  const gone = {
    ...changed,
    steps: lesson.steps.map((s) => ({
      ...s,
      blocks: s.blocks.map((b) =>
        b.id === asked.id
          ? {
              id: b.id,
              kind: 'question' as const,
              question: { ...asked.question, ask: 'pinion-speed' } as never,
            }
          : b,
      ),
    })),
  };
  const own = record(lesson, [entry(asked.id, { kind: 'number', value: 1, direction: 'same' })]);
  const at = questionsOf(lesson).findIndex((q) => q.id === asked.id);
  const cell = classBook(gone, [own], { versions: { [own.lesson.hash]: lesson } }).rows[0]!.cells[
    at
  ]!;
  expect(cell.question).toEqual(asked.question);
});

test('a number that the field takes, the record holds: the limits are one', () => {
  const lesson = lessons[0]!;
  const far = record(lesson, [entry('q', { kind: 'predict-change', way: 'up', value: 174_200 })]);
  expect(openValue(far, 'fair-sprocket/attempt')).toMatchObject({ ok: true });
});

test('a record with answers that can’t be read opens without them, and tells', () => {
  const lesson = lessons[0]!;
  const good = entry('q', { kind: 'choice', choice: 'direct' });
  const broken = {
    ...record(lesson, [good]),
    answers: [{ ...good, score: 7 }, good, { ...good, answer: { kind: 'unheard-of' } }],
  };
  const opened = openValue(broken, 'fair-sprocket/attempt');
  if (!opened.ok) throw new Error(JSON.stringify(opened.failure));
  expect(opened.document.answers).toEqual([good]);
  expect(opened.document.setAside?.map((a) => a.at)).toEqual([0, 2]);
  expect(JSON.parse(opened.document.setAside![0]!.raw)).toEqual(broken.answers[0]);
  // What is wrong elsewhere is no matter of an answer.
  expect(openValue({ ...broken, student: 4 }, 'fair-sprocket/attempt').ok).toBe(false);
});

test('two states of one record: the later goes on where the earlier ends, or they differ', () => {
  const lesson = lessons[0]!;
  const [a, b] = ['q1', 'q2'].map((q) => entry(q, { kind: 'choice', choice: 'direct' }));
  const [one, two] = [record(lesson, [a!]), record(lesson, [a!, b!])];
  expect(continuationOf(two, one)).toBe('newer');
  expect(continuationOf(one, two)).toBe('older');
  expect(continuationOf(one, { ...one })).toBe('same');
  expect(continuationOf({ ...one, finishedAt: '2030-01-01T09:00:00Z' }, one)).toBe('newer');
  expect(continuationOf({ ...two, student: 'Somebody Else' }, one)).toBe('other');
  expect(continuationOf(record(lesson, [b!]), one)).toBe('other');
  expect(mergedAttempt(record(lesson, [b!]), one).answers.map((x) => x.question)).toEqual([
    'q2',
    'q1',
  ]);
  // Finished is what one of the two says is finished; where both do, as it is stored.
  const [early, late] = ['2030-01-01T09:00:00Z', '2030-01-02T09:00:00Z'];
  expect(mergedAttempt(one, two)).not.toHaveProperty('finishedAt');
  expect(mergedAttempt(one, { ...two, finishedAt: late }).finishedAt).toBe(late);
  expect(mergedAttempt({ ...one, finishedAt: early }, two).finishedAt).toBe(early);
  expect(mergedAttempt({ ...one, finishedAt: early }, { ...two, finishedAt: late })).toMatchObject({
    finishedAt: early,
  });
});

test('a keeper’s books are those made afresh, whatever was changed between', () => {
  const keeper = bookKeeper();
  for (const id of ['fill-the-chart', 'hold-one-drive-one', 'read-the-crossing']) {
    const lesson = lessons.find((l) => l.id === id)!;
    const handedIn = demoAttempts().filter((a) => a.lesson.id === id);
    // Another model under the same id is another question.
    const otherModels = structuredClone(lesson);
    for (const unit of otherModels.units ?? []) unit.ranges = [...unit.ranges].reverse().slice(1);
    for (const converter of otherModels.converters ?? []) converter.diameter = 0.3;
    const tougher = structuredClone(lesson);
    for (const { question } of questionsOf(tougher))
      if ('tolerance' in question && typeof question.tolerance === 'object')
        question.tolerance.value = 0;
    for (const [home, records] of [
      [lesson, handedIn.slice(0, 1)],
      [lesson, handedIn],
      [tougher, handedIn],
      [otherModels, handedIn],
      [lesson, handedIn],
    ] as const)
      expect(keeper(home, records)).toEqual(classBook(home, records));
  }
});
