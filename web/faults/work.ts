import type { Answer, DeskEntry, Remedy } from '../../core/faults';

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
