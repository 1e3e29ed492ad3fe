import {
  causeOf,
  complaintOf,
  drawCase,
  drawnCase,
  examine,
  faultKey,
  openShop,
  priorsOf,
  rigOfCase,
  singleCandidates,
  ticketOf,
  type Candidate,
  type DeskCase,
  type Draw,
  type FaultCase,
} from '../../../faults';
import type { FaultQuestion } from './kinds';

type Told = (done: Candidate) => void;

/** Desks that were worked out, as the case stands and by what was drawn: several questions of a lesson are about one case. */
const desks = new WeakMap<FaultCase, Map<string, DeskCase>>();

const asItStands = '';
const named = (draw: Draw | null): string =>
  draw ? `${draw.difficulty} ${draw.seed}` : asItStands;

/** The fault that a question has drawn in the place of its case's own. */
export const drawIn = (question: FaultQuestion): Draw | null =>
  question.kind === 'diagnose' ? (question.draw ?? null) : null;

/** The desk of a case, where it has been worked out. */
export const knownDesk = (faultCase: FaultCase, draw: Draw | null): DeskCase | undefined =>
  desks.get(faultCase)?.get(named(draw));

/**
 * The desk of a case, worked out once: it takes a second.
 * @param draw another fault for the machine of that case
 * @param desk where it is known already
 * @returns `null` when nothing can be drawn for the machine
 */
export function deskFor(
  faultCase: FaultCase,
  draw: Draw | null,
  desk?: DeskCase,
  onCandidate: Told = () => undefined,
): DeskCase | null {
  const known = desk ?? knownDesk(faultCase, draw) ?? workedOut(faultCase, draw, onCandidate);
  if (!known) return null;
  const all = desks.get(faultCase) ?? new Map<string, DeskCase>();
  desks.set(faultCase, all.set(named(draw), known));
  return known;
}

/** What was drawn is one fault as it usually is: it stands among the candidates of the case as it is. */
function workedOut(faultCase: FaultCase, draw: Draw | null, onCandidate: Told): DeskCase | null {
  if (!draw) return deskOf(faultCase, onCandidate);
  const { shop, candidates } = deskFor(faultCase, null, undefined, onCandidate)!;
  const singles = candidates.filter(({ faults }) => faults.length === 1);
  const own = faultKey(causeOf(faultCase));
  const drawn = drawCase(shop, singles, draw.seed, draw.difficulty, own);
  if (!drawn) return null;
  const machine = { ...drawnCase(faultCase, draw, faultCase.name), cause: [drawn.cause] };
  return laidOut(machine, shop, singles);
}

/** Everything that a case's desk needs: all that could be wrong, with what every check would read. */
export function deskOf(faultCase: FaultCase, onCandidate: Told = () => undefined): DeskCase {
  const shop = openShop(rigOfCase(faultCase));
  const cause = causeOf(faultCase);
  const candidates: Candidate[] = [];
  for (const candidate of singleCandidates(shop, cause)) {
    candidates.push(candidate);
    onCandidate(candidate);
  }
  return laidOut(faultCase, shop, candidates);
}

function laidOut(
  faultCase: FaultCase,
  shop: DeskCase['shop'],
  singles: readonly Candidate[],
): DeskCase {
  const cause = causeOf(faultCase);
  const [truth, sound] = [examine(shop, cause), examine(shop, [])];
  // Two causes at once are among what could be wrong too, or nothing would fit at the end.
  const candidates = cause.length > 1 ? [...singles, truth] : singles;
  const priors = priorsOf(faultCase);
  const said = complaintOf(shop, truth, sound, faultCase.id);
  return {
    shop,
    candidates,
    truth,
    sound,
    priors,
    complaint: ticketOf(shop, candidates, truth, said, priors).complaint,
    limit: faultCase.limitMinutes ?? null,
  };
}
