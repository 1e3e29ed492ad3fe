import type { ShiftMoment, ShiftSetting } from '../../../../core/lesson';

/** What a student clicks, chooses or types before the commit. */
export interface OilDraft {
  /** Parts that were clicked. */
  readonly parts: readonly string[];
  /** By valve. */
  readonly places: Readonly<Record<string, 'up' | 'down'>>;
  readonly moments: readonly (ShiftMoment | null)[];
  readonly up: number | null;
  readonly down: number | null;
  readonly ball: string | null;
  readonly gear: number | null;
  readonly engineRpm: number | null;
  /** As it is found, until something is turned. */
  readonly setting: ShiftSetting | null;
}

export const EMPTY: OilDraft = {
  parts: [],
  places: {},
  moments: [],
  up: null,
  down: null,
  ball: null,
  gear: null,
  engineRpm: null,
  setting: null,
};
