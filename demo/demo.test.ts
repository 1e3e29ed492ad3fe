import { planFindings } from '../core/hydraulics';
import { readdirSync, readFileSync } from 'node:fs';
import { pairFindings } from '../core/converter';
import { checkTeeth, solveUnit, unitFindings } from '../core/geartrain';
import { lessonHash, openText, type DocumentKind, type Documents } from '../core/formats';
import { clutchFindings, packFindings } from '../core/clutch';
import {
  CARRIED_LISTS,
  carrying,
  classBook,
  graderOf,
  isOf,
  QUESTION_KINDS,
  questionsOf,
  posedFor,
} from '../core/lesson';
import { toNumber } from '../core/numerics';

function load<K extends DocumentKind>(folder: string, kind: K): Documents[K][] {
  return readdirSync(`demo/${folder}`).map((file) => {
    const opened = openText(readFileSync(`demo/${folder}/${file}`, 'utf8'), kind);
    if (!opened.ok) throw new Error(`${file}: ${JSON.stringify(opened.failure)}`);
    return opened.document;
  });
}
const lessons = load('lessons', 'fair-sprocket/lesson');
const attempts = load('attempts', 'fair-sprocket/attempt');
const units = load('units', 'fair-sprocket/unit');
const converters = load('converters', 'fair-sprocket/converter');
const engines = load('engines', 'fair-sprocket/engine');
const vehicles = load('vehicles', 'fair-sprocket/vehicle');
const clutches = load('clutches', 'fair-sprocket/clutch');
const packs = load('clutch-packs', 'fair-sprocket/clutch-pack');
const plans = load('hydraulics', 'fair-sprocket/hydraulics');
const cases = load('fault-cases', 'fair-sprocket/fault-case');
const jobs = load('jobs', 'fair-sprocket/job');
const library = [
  ...units,
  ...converters,
  ...engines,
  ...vehicles,
  ...clutches,
  ...packs,
  ...plans,
  ...cases,
  ...jobs,
];

/** Each lesson with its class, graded once: a whole case takes a second or two to lay out. */
const books = lessons.map((lesson) => ({
  lesson,
  book: classBook(
    lesson,
    attempts.filter((a) => a.lesson.id === lesson.id),
  ),
}));

test('every question of the demo world has an answer, on a set that can be built', () => {
  expect(lessons.length).toBeGreaterThanOrEqual(3);
  for (const { lesson, book } of books)
    questionsOf(lesson).forEach(({ id, question }, k) => {
      const seed = { student: 'Any', lessonId: lesson.id, questionId: id, round: 0 };
      // Where somebody's answer was graded there is a key.
      const graded = book.rows.some((r) => r.cells[k]?.setAside === null);
      const posed = posedFor(lesson, question, seed);
      const found = graded || graderOf(posed.question, posed.subject).ok;
      expect([lesson.id, id, found]).toEqual([lesson.id, id, true]);
      if (isOf('gear-set', question))
        expect([lesson.id, id, checkTeeth(question.setup.set)]).toEqual([lesson.id, id, []]);
    });
});

test('every demo lesson has its place in the library’s order', () => {
  expect([...DEMO_ORDER].sort()).toEqual(lessons.map((l) => l.id).sort());
});

test('there is a lesson for each kind of question, and the models in it are those of the library', () => {
  const kinds = new Set(lessons.flatMap((l) => questionsOf(l).map((q) => q.question.kind)));
  expect([...kinds].sort()).toEqual([...QUESTION_KINDS].sort());
  for (const lesson of lessons) {
    // What no block is about would be let go of.
    expect(carrying(lesson, [])).toEqual(lesson);
    for (const list of CARRIED_LISTS)
      for (const model of lesson[list] ?? [])
        expect(model).toEqual(library.find((m) => m.format === model.format && m.id === model.id));
  }
});

test('nothing odd is found in a demo unit, clutch or pack', () => {
  for (const c of clutches) expect([c.id, clutchFindings(c)]).toEqual([c.id, []]);
  for (const p of packs) expect([p.id, packFindings(p)]).toEqual([p.id, []]);
  for (const unit of units) expect([unit.id, unitFindings(unit)]).toEqual([unit.id, []]);
  for (const plan of plans) {
    const unit = units.find((u) => u.id === plan.unit);
    expect([plan.id, unit && planFindings(plan, unit)]).toEqual([plan.id, []]);
  }
});

test('the class’s attempts are fresh: same lesson content, same scores as the model gives', () => {
  for (const { lesson, book } of books)
    for (const { attempt, cells } of book.rows) {
      expect(attempt.lesson.hash).toBe(lessonHash(lesson));
      for (const cell of cells)
        expect([attempt.id, cell?.differs ?? false, cell?.setAside ?? null]).toEqual([
          attempt.id,
          false,
          null,
        ]);
    }
  const found = new Set(attempts.flatMap((a) => a.answers.map((x) => x.misconception)));
  expect(found.size).toBeGreaterThan(6);
});
import { DEMO_ORDER } from '../web/storage/demoOrder';

const ratiosOf = (id: string) => {
  const unit = units.find((u) => u.id === id)!;
  return unit.ranges.flatMap((r) => {
    const { ratio } = solveUnit(unit, r.apply);
    return ratio ? [Number(toNumber(ratio).toFixed(3))] : [];
  });
};

test('every demo unit can be built, and every range does what its gear says', () => {
  for (const unit of units) {
    for (const set of unit.gearsets)
      if (set.kind !== 'mesh')
        expect([unit.id, set.id, checkTeeth(set)]).toEqual([unit.id, set.id, []]);
    for (const range of unit.ranges) {
      const { outcome, ratio } = solveUnit(unit, range.apply);
      const expected = { N: 'neutral', P: 'output-held' }[range.gear] ?? 'drives';
      expect([unit.id, range.id, outcome]).toEqual([unit.id, range.id, expected]);
      if (range.gear === 'R') expect(ratio!.num).toBeLessThan(0n);
    }
  }
});

// Published: the formulas of two equal sets (ρ = Ns/Nr) and of a Ravigneaux arrangement, as in core's tests;
// the simple set in front divides by 1 + Ns/Nr (Lepelletier).
test('the demo units give the ratios of their arrangements', () => {
  expect(ratiosOf('skerry-three')).toEqual([2.44, 1.44, 1, 2.44, -2.273]);
  const [a, b, r] = [30, 36, 78];
  const two = (r * (a + b)) / (a * (b + r));
  const round = (v: number) => Number(v.toFixed(3));
  expect(ratiosOf('quay-four')).toEqual([-r / b, r / a, two, 1, r / (r + b), r / a].map(round));
  const slow = 1 + 36 / 72;
  const six = ratiosOf('lighter-six');
  expect(six.slice(1, 4)).toEqual([slow * (r / a), slow * two, slow].map(round));
  expect(six[6]).toBe(round(r / (r + b)));
  expect(ratiosOf('winch-manual').slice(1)).toEqual(
    [41 / 15, 35 / 21, 29 / 27, 22 / 34, 20 / 36].map((g) => round((g * 34) / 22)),
  );
});

test('the trainer’s coast differs from its drive in two ranges', () => {
  const unit = units.find((u) => u.id === 'harbour-trainer')!;
  const differ = unit.ranges.filter(
    (r) => solveUnit(unit, r.apply).outcome !== solveUnit(unit, r.apply, 'coast').outcome,
  );
  expect(differ.map((r) => r.id)).toEqual(['D1', 'D2']);
});

test('the petrol engine fits both converters of the demo world', () => {
  const petrol = engines.find((e) => e.id === 'pilot-petrol')!;
  for (const converter of converters) expect(pairFindings(petrol, converter)).toEqual([]);
});
