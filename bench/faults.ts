import { readFileSync } from 'node:fs';
import {
  causeOf,
  examine,
  nextChecks,
  openShop,
  readingOf,
  rigOfCase,
  singleCandidates,
  suspects,
  type CheckKind,
  type FaultCase,
} from '../core/faults';
import { compare } from './compare';

/** The Fault desk: a reading, a shift through time, a case laid out, and the next check. */
const SIMULATED: readonly CheckKind[] = ['shift', 'start'];
const ms = (work: () => void): number => compare('', work, () => void 0).oursNs / 1e6;

export function benchFaults(): void {
  for (const id of ['slipway-two-gears', 'crane-truck-second', 'ferry-odd-gears']) {
    const faultCase = JSON.parse(readFileSync(`demo/fault-cases/${id}.json`, 'utf8')) as FaultCase;
    const shop = openShop(rigOfCase(faultCase));
    const cause = causeOf(faultCase);
    const plain = shop.checks.filter((c) => !SIMULATED.includes(c.kind));
    const worst = Math.max(
      ...plain.map((check) => once(() => void shop.answer(shop.machine(cause), check))),
    );
    const begun = performance.now();
    const all = [...singleCandidates(shop)];
    const laid = performance.now() - begun;
    const truth = examine(shop, cause);
    const readings = plain.slice(0, 3).map((check) => ({ check, answer: readingOf(check, truth) }));
    const next = ms(() => void nextChecks(suspects(all, readings), shop.checks, readings));
    const thin = ms(() => void suspects(all, readings));
    console.log(
      `fault desk, ${id}: dearest reading ${worst.toFixed(1)} ms (a frame is 16.7 ms), case of ${all.length} ` +
        `faults × ${shop.checks.length} checks laid out in ${laid.toFixed(0)} ms, suspects ${thin.toFixed(2)} ms, ` +
        `next check ${next.toFixed(1)} ms`,
    );
    const shift = shop.checks.find((c) => c.kind === 'shift');
    if (!shift) continue;
    const shifted = ms(() => {
      const fresh = openShop(rigOfCase(faultCase));
      fresh.shift(fresh.machine([]), shift.target);
    });
    console.log(`a simulated shift, shop opened for it: ${shifted.toFixed(0)} ms (100 ms asked)`);
  }
}

function once(work: () => void): number {
  const begun = performance.now();
  work();
  return performance.now() - begun;
}
