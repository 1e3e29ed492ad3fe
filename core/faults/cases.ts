import { randomFromSeed } from '../numerics';
import type { Reading } from './answer';
import { examine, readingOf, tellsApart, type Candidate } from './candidates';
import { driverChecks, type Check } from './checks';
import type { Priors } from './diagnosis';
import { expertPath, type ExpertPath } from './expert';
import { faultKey, severityOf, type Fault } from './fault';
import type { Shop } from './shop';

/** What speaks loudest in a complaint, first. */
const LOUD: readonly Check['kind'][] = [
  'road',
  'stop',
  'circle',
  'loose-start',
  'start',
  'gear-in',
  'drag-test',
  'road-slip',
  'pull',
  'delay',
  'shift',
  'noise',
  'pedal',
  'listen',
  'coast',
  'hot-run',
  'top-speed',
  'cruise',
];
const TOLD = 2;

/**
 * What a driver would complain of: the loudest of what differs from a sound machine, and one thing that is still right.
 * @param seed picks among alike ones
 */
export function complaintOf(
  shop: Shop,
  truth: Candidate,
  sound: Candidate,
  seed: string,
): Reading[] {
  const random = randomFromSeed(`complaint ${seed}`);
  const driver = driverChecks(shop.checks);
  const differs = driver.filter((c) => tellsApart(c, truth, sound));
  const loudest = differs
    .map((check) => ({ check, lot: random.next() }))
    .sort((a, b) => LOUD.indexOf(a.check.kind) - LOUD.indexOf(b.check.kind) || a.lot - b.lot)
    .map(({ check }) => check);
  const first = loudest[0];
  if (!first) return [];
  const second = loudest.find((c) => c !== first && c.kind === first.kind) ?? loudest[1];
  const good = driver.filter((c) => c.kind === first.kind && !differs.includes(c));
  const told = [first, ...(second ? [second] : [])].slice(0, TOLD);
  const fine = good.length > 0 ? [random.pick(good)] : [];
  return [...told, ...fine].map((check) => ({ check, answer: readingOf(check, truth) }));
}

/** Tests that an expert needs at least: a complaint that gives the cause away is cut short. */
const LEAST_TESTS = 2;

/**
 * What of the complaint stands on the ticket: all of it, or less, so that there is something left to find out. With
 * nothing left of it the driver only says that something is wrong.
 */
export function ticketOf(
  shop: Shop,
  candidates: readonly Candidate[],
  truth: Candidate,
  complaint: readonly Reading[],
  priors: Priors = {},
): { readonly complaint: readonly Reading[]; readonly expert: ExpertPath } {
  const ends = complaint.filter((_r, k) => k === 0 || k === complaint.length - 1);
  const cuts = [complaint, ends, complaint.slice(0, 1)].filter(
    (cut, k, all) => cut.length > 0 && cut.length !== all[k - 1]?.length,
  );
  const ticket = (cut: readonly Reading[]) => ({
    complaint: cut,
    expert: expertPath(candidates, shop.checks, truth, priors, cut),
  });
  // An expert's way takes long to find: the first cut that leaves enough is enough.
  for (const cut of cuts) {
    const found = ticket(cut);
    if (found.expert.steps.length >= LEAST_TESTS) return found;
  }
  return ticket([]);
}

/** Whether a driver would notice anything: a case without a symptom is no case. */
export const hasSymptom = (shop: Shop, truth: Candidate, sound: Candidate): boolean =>
  driverChecks(shop.checks).some((c) => tellsApart(c, truth, sound));

export const DIFFICULTIES = ['easy', 'middling', 'hard'] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

export interface DrawnCase {
  readonly cause: Fault;
  /** Faults that read alike in everything the complaint says. */
  readonly alike: number;
  /** Checks that an expert needs. */
  readonly steps: number;
}

/** Causes looked at before one is chosen; of a machine with few no more than this share, or all would draw the same. */
const DRAWN = 7;
const SHARE = 1 / 3;

/**
 * A fault for a case from a seed: of several drawn, that which is as hard as was asked for. Hard: many faults share the
 * complaint, and an expert needs many checks.
 * @param besides the key of the fault that is there already
 */
export function drawCase(
  shop: Shop,
  candidates: readonly Candidate[],
  seed: string,
  difficulty: Difficulty,
  besides: string | null = null,
): DrawnCase | null {
  const random = randomFromSeed(`case ${seed}`);
  const sound = examine(shop, []);
  const usual = candidates.filter(
    ({ faults }) =>
      faults.length === 1 &&
      severityOf(faults[0]!) === severityOf({ target: '', kind: faults[0]!.kind }),
  );
  const drawn: DrawnCase[] = [];
  const pool = usual.filter((c) => faultKey(c.faults) !== besides && hasSymptom(shop, c, sound));
  const most = Math.min(DRAWN, Math.ceil(pool.length * SHARE));
  while (drawn.length < most) {
    const [truth] = pool.splice(random.whole(0, pool.length - 1), 1) as [Candidate];
    const { complaint, expert } = ticketOf(
      shop,
      candidates,
      truth,
      complaintOf(shop, truth, sound, seed),
    );
    const key = faultKey(truth.faults);
    const alike = candidates.filter(
      (c) => faultKey(c.faults) !== key && complaint.every((r) => !tellsApart(r.check, c, truth)),
    );
    drawn.push({
      cause: truth.faults[0]!,
      alike: new Set(alike.map((c) => faultKey(c.faults))).size,
      steps: expert.steps.length,
    });
  }
  drawn.sort((a, b) => a.steps - b.steps || a.alike - b.alike);
  const at = Math.round((DIFFICULTIES.indexOf(difficulty) / 2) * (drawn.length - 1));
  return drawn[at] ?? null;
}
