import type { ShiftMoment } from '../../../../core/hydraulics';
import {
  sharesOf,
  type DrawnPressures,
  type DrawPressuresQuestion,
  type OilRig,
  type ShiftSetting,
} from '../../../../core/lesson';

/** What a student marks, chooses or types before the commit. */
export interface OilDraft {
  /** Parts that were marked. */
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
  /** Until something is drawn, as before the shift. */
  readonly drawn: DrawnPressures | null;
  /** Bolts in the order in which they were pressed. */
  readonly bolts: readonly string[];
  readonly inTurns: boolean | null;
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
  drawn: null,
  bolts: [],
  inTurns: null,
};

export const drawnIn = (
  { drawn }: OilDraft,
  question: DrawPressuresQuestion,
  rig: OilRig,
): DrawnPressures => drawn ?? sharesOf(rig, question, [0], [1]);
