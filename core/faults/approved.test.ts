import { demoAll, demoUnits } from '../tests/demoFile';
import { expectApproved } from '../tests/approved';
import { changedRanges } from './chartReason';
import { CHECK_SPECS, hazardsOf } from './checks';
import { examine, singleCandidates } from './candidates';
import { complaintOf, ticketOf } from './cases';
import { nextChecks, suspects } from './diagnosis';
import { expertPath, remedyOf } from './expert';
import { FAULT_SPECS, faultKey, levelsOf, type FaultKind } from './fault';
import { causeOf, caseProblems, priorsOf, rigOfCase, type FaultCase } from './faultCase';
import { gradeDiagnosis } from './gradeDiagnosis';
import { openShop } from './shop';
import { priceAlone, setMinutes } from './shopState';
import { lookAlikes, rangesBySplit, rigOfUnit, symptomTable } from './symptoms';
import { cheapestPlan } from './testPlan';

test.each(demoAll<FaultCase>('fault-cases').map((c) => [c.id, c] as const))(
  '%s at the desk',
  (id, faultCase) => {
    const said: Record<string, unknown> = {};
    const shop = openShop(rigOfCase(faultCase));
    const all = [...singleCandidates(shop)];
    for (const check of shop.checks)
      said[`check ${check.id}`] = [check, hazardsOf(check), priceAlone(check)];
    for (const candidate of all)
      said[`with ${candidate.faults.map((f) => faultKey([f])).join()}`] = candidate;
    const [truth, sound] = [causeOf(faultCase), []].map((faults) => examine(shop, faults));
    const complaint = complaintOf(shop, truth!, sound!, 'approved');
    const priors = priorsOf(faultCase);
    const ticket = ticketOf(shop, all, truth!, complaint, priors);
    said['ticket'] = [complaint, ticket.complaint, caseProblems(faultCase)];
    said['expert'] = expertPath(all, shop.checks, truth!, priors, ticket.complaint);
    const known = suspects(all, ticket.complaint, priors);
    said['suspects'] = known
      .slice(0, 20)
      .map((s) => [faultKey(s.candidate.faults), s.weight, s.fits]);
    said['next'] = nextChecks(known, shop.checks, ticket.complaint).slice(0, 12);
    said['minutes'] = setMinutes(shop.checks);
    said['plan'] = cheapestPlan(shop.checks, all.slice(0, 9));
    const desk = {
      shop,
      candidates: all,
      truth: truth!,
      sound: sound!,
      priors,
      complaint: ticket.complaint,
      limit: faultCase.limitMinutes ?? null,
    };
    const entries = shop.checks.slice(0, 4).map(({ id: check }, k) => ({
      check,
      expected: 'as-usual',
      safe: k > 0,
    }));
    for (const cause of [truth!, all[0]!, all[7]!])
      said[`graded ${faultKey(cause.faults)}`] = gradeDiagnosis(desk, entries, {
        cause: faultKey(cause.faults),
        remedy: remedyOf(cause.faults),
      });
    expectApproved(`desk-${id}`, said);
  },
);

test('what checks and faults are made of', () => {
  const said: Record<string, unknown> = { ...CHECK_SPECS };
  for (const [kind, spec] of Object.entries(FAULT_SPECS))
    said[`fault ${kind}`] = [spec, levelsOf({ target: 'x', kind: kind as FaultKind })];
  expectApproved('faults-and-checks', said);
});

test('symptoms of whole units, what looks alike, and what changes which ranges', () => {
  const said: Record<string, unknown> = {};
  for (const unit of demoUnits()) {
    const { sound, rows } = symptomTable(rigOfUnit(unit));
    said[`${unit.id} sound`] = sound;
    for (const row of rows) said[`${unit.id} ${faultKey(row.faults)}`] = row.cells;
    said[`${unit.id} alike`] = lookAlikes(rows).map((group) =>
      group.map((r) => faultKey(r.faults)),
    );
    said[`${unit.id} splits`] = rangesBySplit(rows);
    said[`${unit.id} changed`] = changedRanges(unit);
  }
  expectApproved('symptoms', said);
});
