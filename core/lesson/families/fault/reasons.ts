import {
  faultKey,
  REMEDIES,
  remedyOf,
  worksIn,
  type DiagnosisGrade,
  type Fault,
  type NextCheck,
  type Remedy,
} from '../../../faults';
import type { Unit } from '../../../geartrain';
import { scored, type Asked, type Of, type Reasons } from '../../family';
import { recognise, type Thought, type Why } from '../../learners';
import {
  cellsWith,
  changesOf,
  diagnosedSo,
  faultClaimHolds,
  gradeOnce,
  othersOf,
  type FaultClaim,
} from './claims';
import type { FaultAnswer, SaidCell } from './kinds';
import { diagnosed } from './grade';
import type { FaultKey } from './key';
import type { FaultSlip } from './slips';
import type { FaultTypes } from './types';

type About<K> = Omit<Asked<FaultTypes, K>, 'answer'>;
type ThoughtAs<K> = Thought<Of<FaultAnswer, K>, FaultSlip, FaultClaim>;

const saidIn = (cells: readonly SaidCell[], range: string) =>
  cells.find((c) => c.range === range)?.drive;

function rowThoughts({
  question,
  subject: { subject },
  key,
}: About<'symptom-row'>): ThoughtAs<'symptom-row'>[] {
  const { unit } = subject;
  if (key.kind !== 'symptom-row' || !unit) return [];
  const fault = question.fault as Fault;
  const right = key.cells;
  type Said = Of<FaultAnswer, 'symptom-row'>;
  const wrong = (a: Said) => right.filter((c) => saidIn(a.cells, c.range) !== c.drive);
  const claims = (a: Said): FaultClaim[] =>
    wrong(a)
      .slice(0, 3)
      .flatMap(({ range, drive }) => [
        worksAt(unit, fault.target, range),
        { claim: 'cell', range, drive },
      ]);
  const said = (of: (cell: (typeof right)[number]) => SaidCell['drive']) => ({
    kind: 'symptom-row' as const,
    cells: right.map((c) => ({ range: c.range, drive: of(c) })),
  });
  const list: ThoughtAs<'symptom-row'>[] = [];
  const only = (
    slip: FaultSlip,
    has: boolean,
    answer: Said,
    is: (range: string, a: Said) => boolean,
  ) => {
    if (has)
      list.push({
        slip,
        answer,
        gives: (a) => wrong(a).length > 0 && wrong(a).every((c) => is(c.range, a)),
        claims,
      });
  };
  const driveOf = (range: string) => right.find((c) => c.range === range)?.drive;
  only(
    'no-fall-back',
    right.some((c) => c.drive === 'wrong-ratio'),
    said((c) => (c.drive === 'wrong-ratio' ? 'neutral' : c.drive)),
    (range, a) => driveOf(range) === 'wrong-ratio' && saidIn(a.cells, range) === 'neutral',
  );
  only(
    'tie-up-unseen',
    right.some((c) => c.drive === 'binds'),
    said((c) => (c.drive === 'binds' ? 'right' : c.drive)),
    (range, a) => driveOf(range) === 'binds' && saidIn(a.cells, range) !== 'binds',
  );
  const bad = right.filter((c) => c.drive !== 'right');
  if (bad.length > 1)
    list.push({
      slip: 'only-its-own-gear',
      answer: said((c) => (c === bad[0] ? c.drive : 'right')),
      gives: (a) => {
        const named = right.filter((c) => saidIn(a.cells, c.range) !== 'right');
        return named.length === 1 && named[0]!.drive !== 'right';
      },
      claims,
    });
  if (bad.length > 0)
    list.push({
      slip: 'expects-no-symptom',
      answer: said(() => 'right'),
      gives: (a) => right.every((c) => saidIn(a.cells, c.range) === 'right'),
      claims,
    });
  for (const other of othersOf(unit, fault)) {
    const cells = cellsWith(unit, other).filter((c) => right.some((r) => r.range === c.range));
    if (cells.length === 0 || cells.every((c) => driveOf(c.range) === c.drive)) continue;
    if (cells.every((c) => c.drive === 'right')) continue;
    const with_ = (a: Said): FaultClaim[] =>
      wrong(a)
        .slice(0, 2)
        .flatMap(({ range, drive }) => [
          { claim: 'cell-with', fault: other.kind, range, drive: saidIn(a.cells, range)! },
          { claim: 'cell', range, drive },
        ]);
    list.push({
      slip: 'another-fault-of-the-part',
      answer: { kind: 'symptom-row', cells: cells.map(({ range, drive }) => ({ range, drive })) },
      gives: (a) => cells.every((c) => saidIn(a.cells, c.range) === c.drive),
      claims: with_,
    });
  }
  return list;
}

/** Whether a part works in a range: said of elements only. */
const worksAt = (unit: Unit, element: string, range: string): FaultClaim => ({
  claim: 'works',
  element,
  range,
  way: worksIn(unit, range).includes(element) ? 'works' : 'idle',
});

function elementThoughts({
  subject: { subject },
  key,
}: About<'which-element'>): ThoughtAs<'which-element'>[] {
  const { unit } = subject;
  if (key.kind !== 'which-element' || !unit) return [];
  const ranges = (good: boolean) =>
    key.cells.filter((c) => (c.drive === 'right') === good).map((c) => c.range);
  const [good, bad] = [ranges(true), ranges(false)];
  // What binds or moves is made by something that is on too much: there the chart's rule does not clear.
  const lost = key.cells.every((c) => c.drive !== 'binds' && c.drive !== 'moves');
  if (!lost) return [];
  const changed = changesOf(unit);
  return unit.elements
    .map((e) => e.id)
    .filter((id) => !key.right.includes(id))
    .flatMap((element): ThoughtAs<'which-element'>[] => {
      const works = (range: string) => worksIn(unit, range).includes(element);
      const answer = { kind: 'which-element' as const, element };
      const needed = good.filter((r) => changed.mustWork(r, element));
      if (bad.length > 0 && bad.every(works) && needed.length > 0)
        return [
          {
            slip: 'works-in-a-good-range',
            answer,
            claims: () => [
              { claim: 'cell', range: needed[0]!, drive: 'right' },
              { claim: 'needs', element, range: needed[0]! },
            ],
          },
        ];
      const idle = bad.filter((r) => !works(r));
      if (idle.length > 0)
        return [
          {
            slip: 'not-in-every-bad-range',
            answer,
            claims: () => [
              {
                claim: 'cell',
                range: idle[0]!,
                drive: key.cells.find((c) => c.range === idle[0])!.drive,
              },
              worksAt(unit, element, idle[0]!),
            ],
          },
        ];
      return [];
    });
}

const told = ({ check, minutes, bits }: NextCheck): FaultClaim => ({
  claim: 'check',
  check: check.id,
  minutes,
  bits,
});

function testThoughts({ question, key }: About<'which-test'>): ThoughtAs<'which-test'>[] {
  if (key.kind !== 'which-test') return [];
  const best = key.ranked[0]!;
  return question.offered.flatMap((check): ThoughtAs<'which-test'>[] => {
    const answer = { kind: 'which-test' as const, check };
    const own = key.ranked.find((n) => n.check.id === check);
    if (!own)
      return [
        { slip: 'tells-nothing', answer, claims: () => [{ claim: 'silent', check }, told(best)] },
      ];
    return own.minutes > best.minutes
      ? [{ slip: 'dear-before-cheap', answer, claims: () => [told(own), told(best)] }]
      : [];
  });
}

type Diagnosed = Of<FaultAnswer, 'diagnose'>;

function deskThoughts({ key }: About<'diagnose'>): ThoughtAs<'diagnose'>[] {
  if (key.kind !== 'diagnose') return [];
  const { desk } = key;
  const truth = faultKey(desk.truth.faults);
  const remedy = remedyOf(desk.truth.faults);
  const other = desk.candidates.find((c) => faultKey(c.faults) !== truth);
  const entry = (safe: boolean) => (c: { id: string }) => ({ check: c.id, expected: '', safe });
  const said = (
    cause: string,
    fix: Remedy,
    checks = desk.shop.checks.slice(0, 1),
    safe = true,
  ) => ({
    kind: 'diagnose' as const,
    entries: checks.map(entry(safe)),
    cause,
    remedy: fix,
  });
  const wrong = said(other ? faultKey(other.faults) : truth, remedy);
  return gradeThoughts((a) => gradeOnce(desk, a), {
    'works-in-a-good-range': wrong,
    'cautions-skipped': said(truth, remedy, [...desk.shop.checks], false),
    'against-the-readings': wrong,
    'wrong-remedy': said(
      truth,
      REMEDIES.find((r) => r !== remedy)!,
    ),
    'tells-nothing': said(truth, remedy, [...desk.shop.checks]),
    'dear-before-cheap': said(truth, remedy, [...desk.shop.checks]),
  });
}

type DeskSlip = Extract<
  FaultSlip,
  | 'works-in-a-good-range'
  | 'cautions-skipped'
  | 'against-the-readings'
  | 'wrong-remedy'
  | 'tells-nothing'
  | 'dear-before-cheap'
>;

/** What went wrong at the desk, as its grade tells it: what weighs most with a master is said, and alone. */
function gradeThoughts(
  grade: (answer: Diagnosed) => DiagnosisGrade,
  examples: Readonly<Record<DeskSlip, Diagnosed>>,
): ThoughtAs<'diagnose'>[] {
  const checks = (
    claim: 'skipped' | 'speaks-against' | 'told-nothing',
    list: readonly string[],
    answer: Diagnosed,
  ) => list.slice(0, 3).map((check): FaultClaim => ({ claim, check, answer }));
  const rows: readonly (readonly [
    DeskSlip,
    (g: DiagnosisGrade) => boolean,
    (g: DiagnosisGrade, a: Diagnosed) => FaultClaim[],
  ])[] = [
    [
      'works-in-a-good-range',
      (g) => g.clearedBy.length > 0,
      (g, a) => g.clearedBy.slice(0, 2).map((range) => ({ claim: 'cleared', range, answer: a })),
    ],
    ['cautions-skipped', (g) => g.unsafe.length > 0, (g, a) => checks('skipped', g.unsafe, a)],
    [
      'against-the-readings',
      (g) => g.against.length > 0,
      (g, a) => checks('speaks-against', g.against, a),
    ],
    [
      'wrong-remedy',
      (g) => !g.remedy && g.cause !== 'wrong',
      (g, a) => [{ claim: 'remedy', remedy: remedyOf(g.was), answer: a }],
    ],
    [
      'tells-nothing',
      (g) => g.useless.length > 0 && !g.thrifty,
      (g, a) => [...checks('told-nothing', g.useless, a), spent(g, a)],
    ],
    ['dear-before-cheap', (g) => g.useless.length === 0 && !g.thrifty, (g, a) => [spent(g, a)]],
  ];
  return rows.map(([slip, gives, claims], k) => ({
    slip,
    weight: 3 ** (rows.length - k),
    answer: examples[slip],
    gives: (a) => gives(grade(a)),
    claims: (a) => claims(grade(a), a),
  }));
}

/** A diagnosis that was weighed elsewhere, as an answer to its question. */
export const diagnosisAssessed = (grade: DiagnosisGrade, answer: Diagnosed) => ({
  ...scored(diagnosed(grade)),
  why: whyDiagnosed(grade, answer),
});

function whyDiagnosed(grade: DiagnosisGrade, answer: Diagnosed): Why<FaultSlip, FaultClaim> {
  const holds = (claim: FaultClaim) => 'answer' in claim && diagnosedSo(claim, grade);
  const thoughts = gradeThoughts(() => grade, {
    'works-in-a-good-range': answer,
    'cautions-skipped': answer,
    'against-the-readings': answer,
    'wrong-remedy': answer,
    'tells-nothing': answer,
    'dear-before-cheap': answer,
  });
  const found =
    grade.score === 1 ? { named: [], fitting: 0 } : recognise(thoughts, answer, () => false, holds);
  return { ...found, facts: [spent(grade, answer)] };
}

const spent = (
  grade: { minutes: number; expert: { minutes: number } },
  answer: Of<FaultAnswer, 'diagnose'>,
): FaultClaim => ({
  claim: 'spent',
  minutes: grade.minutes,
  expert: grade.expert.minutes,
  answer,
});

const sameCells = (a: readonly SaidCell[], b: readonly SaidCell[]): boolean =>
  a.length === b.length && a.every((c) => saidIn(b, c.range) === c.drive);

export const reasons: Reasons<FaultTypes> = {
  thoughts: {
    'symptom-row': rowThoughts,
    'which-element': elementThoughts,
    'which-test': testThoughts,
    diagnose: deskThoughts,
  },
  same: {
    'symptom-row': ({ answer }, o) => sameCells(answer.cells, o.cells),
    'which-element': ({ answer }, o) => answer.element === o.element,
    'which-test': ({ answer }, o) => answer.check === o.check,
    diagnose: ({ answer }, o) => JSON.stringify(answer) === JSON.stringify(o),
  },
  facts: {
    'symptom-row': ({ question, subject: { subject }, key }) =>
      key.kind === 'symptom-row' && subject.unit
        ? key.cells
            .filter((c) => c.drive !== 'right')
            .slice(0, 2)
            .flatMap(({ range, drive }) => [
              worksAt(subject.unit!, question.fault.target, range),
              { claim: 'cell' as const, range, drive },
            ])
        : [],
    'which-element': ({ subject: { subject }, key }) => elementFacts(key, subject.unit),
    'which-test': ({ key }) => (key.kind === 'which-test' ? [told(key.ranked[0]!)] : []),
    diagnose: ({ key, answer }) =>
      key.kind === 'diagnose' ? [spent(gradeOnce(key.desk, answer), answer)] : [],
  },
  holds: (claim, { question, subject }) => faultClaimHolds(claim, question, subject.subject),
};

/** The element that is it works in a range that is bad. */
function elementFacts(key: FaultKey, unit: Unit | null): FaultClaim[] {
  if (key.kind !== 'which-element' || !unit) return [];
  const bad = key.cells.filter((c) => c.drive !== 'right').slice(0, 2);
  return bad.flatMap(({ range, drive }) => [
    { claim: 'cell', range, drive },
    worksAt(unit, key.right[0]!, range),
  ]);
}
