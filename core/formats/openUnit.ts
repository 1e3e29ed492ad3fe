import type { Unit } from '../geartrain';
import { openAs, type OpenResult } from './opening';
import { UNIT } from './unitKind';

/** A unit as it is edited: what is wrong with it, if anything. */
export const openUnit = (unit: Unit): OpenResult<'fair-sprocket/unit'> =>
  openAs('fair-sprocket/unit', UNIT, { ...unit });
