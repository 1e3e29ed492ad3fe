import {
  afterChecks,
  byFault,
  readingClass,
  readingOf,
  type Candidate,
  type Check,
  type Reading,
} from '../../core/faults';
import type { OpenedDesk } from '../workers/protocol';
import type { Controls, DeskPlace, LogEntry } from './work';

const UNDER: readonly Check['kind'][] = ['level', 'fluid', 'pan', 'drain'];

export const placeOf = (check: Check): DeskPlace =>
  check.removal ? 'out' : check.lift || UNDER.includes(check.kind) ? 'lift' : 'seat';

/** Whether a check from the seat is made with the controls standing like this. */
export function standsFor({ kind, target }: Check, controls: Controls): boolean {
  const { range, engine, throttle, pedal } = controls;
  const here = range === null || target === '' || target === range;
  const runs = engine === 'runs';
  switch (kind) {
    case 'standing':
      return !runs && here;
    case 'pedal':
    case 'play':
      return !runs;
    case 'road':
      return runs && throttle === 'light' && pedal === 'up' && here;
    case 'listen':
      return runs && throttle === 'light' && here;
    case 'gear-in':
    case 'matched':
      return runs && pedal !== 'touch' && here;
    case 'coast':
    case 'delay':
      return runs && throttle === 'closed' && here;
    case 'stop':
      return runs && throttle === 'closed';
    case 'shift':
      return runs && throttle === 'light' && (range === null || target.startsWith(`${range}>`));
    case 'stall':
      return runs && throttle === 'full' && here;
    case 'pull':
    case 'top-speed':
    case 'hot-run':
    case 'road-slip':
      return runs && throttle === 'full';
    case 'slip-test':
    case 'start':
    case 'cruise':
    case 'level':
    case 'fluid':
    case 'pan':
    case 'pressure':
    case 'tap':
    case 'air':
    case 'hand':
    case 'look':
    case 'teeth':
    case 'sleeve':
    case 'gap':
    case 'disc':
    case 'flange':
    case 'circle':
    case 'loose-start':
    case 'coil':
    case 'drain':
    case 'stack':
      return runs;
    case 'noise':
      return runs && target.startsWith(pedal);
    case 'drag-test':
      return runs && pedal === 'down';
  }
}

/** How the machine stands after what has been done, and the minutes that it took. */
export const stateOf = (checks: readonly Check[], log: readonly LogEntry[]) =>
  afterChecks(log.flatMap((e) => checks.find((c) => c.id === e.check) ?? []));

/** The log as readings. */
export const readingsOf = (checks: readonly Check[], log: readonly LogEntry[]): Reading[] =>
  log.flatMap((e) => {
    const check = checks.find((c) => c.id === e.check);
    return check ? [{ check, answer: e.answer }] : [];
  });

/** Kinds of readings that a check can give on this machine, as it should be first. */
export function expectable({ candidates, sound }: OpenedDesk, check: Check): string[] {
  const should = readingOf(check, sound);
  const all = candidates.map((c) => readingClass(check, readingOf(check, c), should));
  return [...new Set([readingClass(check, should, should), ...all])];
}

export interface BoardGroup {
  readonly target: string;
  /** Keys of its faults with their candidates, one for each level. */
  readonly faults: readonly (readonly [string, readonly Candidate[]])[];
}

/** Everything that could be wrong, part by part. */
export function boardOf(candidates: readonly Candidate[]): BoardGroup[] {
  const groups = new Map<string, [string, Candidate[]][]>();
  for (const [key, list] of byFault(candidates)) {
    const target = list[0]!.faults[0]!.target;
    groups.set(target, [...(groups.get(target) ?? []), [key, list]]);
  }
  return [...groups].map(([target, faults]) => ({ target, faults }));
}
