import { CLUTCH_SLIPS, type ClutchSlip } from './families/clutch/slips';
import { CONVERTER_SLIPS, type ConverterSlip } from './families/converter/slips';
import { FAULT_SLIPS, type FaultSlip } from './families/fault/slips';
import { GEARBOX_SLIPS, type GearboxSlip } from './families/gearbox/slips';
import { SET_SLIPS, type SetSlip } from './families/gear-set/slips';
import { OIL_SLIPS, type OilSlip } from './families/oil/slips';
import { OWN_SLIPS, type OwnSlip } from './families/own/slips';
import { STRIP_SLIPS, type StripSlip } from './families/strip-down/slips';
import { UNIT_SLIPS, type UnitSlip } from './families/unit/slips';

export type Misconception =
  | SetSlip
  | UnitSlip
  | ConverterSlip
  | ClutchSlip
  | FaultSlip
  | GearboxSlip
  | OilSlip
  | StripSlip
  | OwnSlip;

/** What learners get wrong, of all families; some are made in more than one. */
export const MISCONCEPTIONS: readonly Misconception[] = [
  ...new Set([
    ...SET_SLIPS,
    ...UNIT_SLIPS,
    ...CONVERTER_SLIPS,
    ...CLUTCH_SLIPS,
    ...FAULT_SLIPS,
    ...GEARBOX_SLIPS,
    ...OIL_SLIPS,
    ...STRIP_SLIPS,
    ...OWN_SLIPS,
  ]),
];
