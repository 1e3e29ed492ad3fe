import {
  faultKey,
  REMEDIES,
  remedyOf,
  type DiagnosisGrade,
  type NextCheck,
  type Remedy,
} from '../../../faults';
import { scored, type Of, type Keyed, type ThoughtOf } from '../../family';
import { recognise, type Why } from '../../learners';
import { diagnosedSo, gradeOnce, type FaultClaim } from './claims';
import type { FaultAnswer } from './kinds';
import { diagnosed } from './grade';
import type { FaultSlip } from './slips';
import type { FaultTypes } from './types';

/** What a check is expected to say, and what it takes. */
export const told = ({ check, minutes, bits }: NextCheck): FaultClaim => ({
  claim: 'check',
  check: check.id,
  minutes,
  bits,
});

/** What choosing another check comes of. */
export function testThoughts({
  question,
  key,
}: Keyed<FaultTypes, 'which-test'>): ThoughtOf<FaultTypes, 'which-test'>[] {
  const best = key.ranked[0]!;
  return question.offered.flatMap((check): ThoughtOf<FaultTypes, 'which-test'>[] => {
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

/** What went wrong at the desk, for a case whose desk is known. */
export function deskThoughts({
  key,
}: Keyed<FaultTypes, 'diagnose'>): ThoughtOf<FaultTypes, 'diagnose'>[] {
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
): ThoughtOf<FaultTypes, 'diagnose'>[] {
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
  const found = grade.score === 1 ? { named: [], fitting: 0 } : recognise(thoughts, answer, holds);
  return { ...found, facts: [spent(grade, answer)] };
}

export const spent = (
  grade: { minutes: number; expert: { minutes: number } },
  answer: Of<FaultAnswer, 'diagnose'>,
): FaultClaim => ({
  claim: 'spent',
  minutes: grade.minutes,
  expert: grade.expert.minutes,
  answer,
});
