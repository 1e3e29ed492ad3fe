import type { BindReason } from '../../../../core/lesson';
import { WAITING_MARKS, type Ramps, type WornPart } from '../../../../core/shift';

/** What a student says or draws before the commit. */
export interface GearboxDraft {
  readonly part: WornPart | null;
  readonly side: string | null;
  readonly binds: 'yes' | 'no' | null;
  readonly why: BindReason | null;
  /** Ranges, one for each mark. */
  readonly gears: readonly (string | null)[];
  readonly ramps: Ramps;
  /** Ramps that were touched: as they open they are nobody's answer. */
  readonly drawn: boolean;
}

export const EMPTY: GearboxDraft = {
  part: null,
  side: null,
  binds: null,
  why: null,
  gears: WAITING_MARKS.map(() => null),
  ramps: { off: { at: 0.05, over: 0.15 }, on: { at: 0.2, over: 0.1 } },
  drawn: false,
};
