import {
  afterChecks,
  byFault,
  readingClass,
  readingOf,
  type Answer,
  type Candidate,
  type Check,
  type DeskEntry,
  type Reading,
  type Remedy,
} from '../../core/faults';
import type { OpenedDesk } from '../workers/protocol';

/** What a person has done at the desk so far: choices and what was read, never what follows from them. */
export interface DeskWork {
  readonly controls: Controls;
  readonly place: DeskPlace;
  /** Check that is being prepared or looked at. */
  readonly check: string | null;
  readonly log: readonly LogEntry[];
  /** Keys of faults that the person has crossed out. */
  readonly crossed: readonly string[];
  /** The desk crosses out what does not fit. */
  readonly helps: boolean;
  /** Key of the cause that is named. */
  readonly named: readonly string[];
  readonly remedy: Remedy | null;
  readonly given: boolean;
}

export interface LogEntry extends DeskEntry {
  readonly answer: Answer;
}

export interface Controls {
  readonly range: string | null;
  readonly engine: 'runs' | 'off';
  readonly throttle: 'closed' | 'light' | 'full';
  readonly pedal: 'up' | 'touch' | 'down';
}

/** Where a check is made. */
export const DESK_PLACES = ['seat', 'lift', 'out'] as const;
export type DeskPlace = (typeof DESK_PLACES)[number];

export const NEW_WORK: DeskWork = {
  controls: { range: null, engine: 'runs', throttle: 'light', pedal: 'up' },
  place: 'seat',
  check: null,
  log: [],
  crossed: [],
  helps: false,
  named: [],
  remedy: null,
  given: false,
};

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
      return runs;
    case 'noise':
      return runs && target.startsWith(pedal);
    case 'drag-test':
      return runs && pedal === 'down';
    default:
      return runs;
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
