import { expose } from 'comlink';
import {
  caseProblems,
  drivingOf,
  examine,
  expertPath,
  FAULT_SPECS,
  faultKey,
  faultPairs,
  fittingPairs,
  gradeDiagnosis,
  openShop,
  readingOf,
  rigOfCase,
  rigOfUnit,
  singleCandidatesCount,
  symptomRow,
  tellsApart,
  type DeskCase,
  type Fault,
  type FaultCase,
  type SymptomRow,
} from '../../core/faults';
import { deskFor, deskOf, faultQuestionKey } from '../../core/lesson';
import type { FaultWorker } from './protocol';

/** The case that lies open in this worker, and its answer with it: the page never has it. */
let open: (DeskCase & { readonly faultCase: FaultCase }) | null = null;

const opened = (): NonNullable<typeof open> => {
  if (!open) throw new Error('fault worker: expected an open case');
  return open;
};

/** Told every so many steps, so that telling costs little. */
const EVERY = 8;
const EVERY_PAIR = 100;

const worker: FaultWorker = {
  atlas(unit) {
    const shop = openShop(rigOfUnit(unit));
    return {
      checks: shop.checks,
      sound: examine(shop, []),
      rows: shop.faults.map((f) => examine(shop, [f])),
    };
  },
  async pairs(unit, onStep) {
    const rig = rigOfUnit(unit);
    const driving = drivingOf(rig);
    const pairs = faultPairs(openShop(rig).faults);
    const rows: SymptomRow[] = [];
    for (const pair of pairs) {
      rows.push(symptomRow(driving, rig, pair));
      if (rows.length % EVERY_PAIR === 0) await onStep({ done: rows.length, of: pairs.length });
    }
    return rows;
  },
  async open(stored, draw, onStep) {
    const of = singleCandidatesCount(openShop(rigOfCase(stored)));
    let done = 0;
    const told: Promise<void>[] = [];
    const step = () => {
      done++;
      if (done % EVERY === 0) told.push(Promise.resolve(onStep({ done, of })));
    };
    const desk = deskFor(stored, draw, undefined, step);
    if (!desk) throw new Error('fault worker: nothing can be drawn for this machine');
    open = { ...desk, faultCase: stored };
    await Promise.all(told);
    const { shop, candidates, sound, complaint } = desk;
    const singles = candidates.filter((c) => c.faults.length === 1);
    return { checks: shop.checks, candidates: singles, sound, complaint };
  },
  read(id) {
    const { shop, truth } = opened();
    const check = shop.checks.find((c) => c.id === id);
    if (!check) throw new Error(`fault worker: expected a check of this machine, got "${id}"`);
    return readingOf(check, truth);
  },
  shift(pair) {
    const { shop, truth } = opened();
    return {
      now: shop.shift(shop.machine(truth.faults), pair)?.samples ?? null,
      sound: shop.shift(shop.machine([]), pair)?.samples ?? null,
    };
  },
  pairsThatFit(readings) {
    const likely = (faults: readonly Fault[]) =>
      faults.reduce((p, f) => p * FAULT_SPECS[f.kind].prior, 1);
    return [...fittingPairs(opened().shop, readings)]
      .map((c) => [...c.faults])
      .sort((a, b) => likely(b) - likely(a));
  },
  grade: (entries, diagnosis) => gradeDiagnosis(opened(), entries, diagnosis),
  rank: (question) =>
    faultQuestionKey(question, { unit: null, faultCase: opened().faultCase }, opened()),
  keyOf: (question, faultCase) => faultQuestionKey(question, { unit: null, faultCase }),
  report(faultCase) {
    const problems = caseProblems(faultCase);
    if (problems.length > 0) return { problems, complaint: [], alike: 0, expert: null };
    const { shop, candidates, truth, priors, complaint } = deskOf(faultCase);
    const own = faultKey(truth.faults);
    const alike = candidates
      .filter((c) => complaint.every((r) => !tellsApart(r.check, c, truth)))
      .map((c) => faultKey(c.faults));
    return {
      problems,
      complaint,
      alike: new Set(alike.filter((key) => key !== own)).size,
      expert: expertPath(candidates, shop.checks, truth, priors, complaint),
    };
  },
};
expose(worker);
