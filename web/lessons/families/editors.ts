import type { FamilyName } from '../../../core/lesson';
import { CLUTCH_EDITOR } from './clutch/offer';
import { CONVERTER_EDITOR } from './converter/offer';
import type { FamilyEditor } from './familyEditor';
import { FAULT_EDITOR } from './fault/offer';
import { GEARBOX_EDITOR } from './gearbox/offer';
import { GEAR_SET_EDITOR } from './gear-set/offer';
import { OIL_EDITOR } from './oil/offer';
import { OWN_EDITOR } from './own/offer';
import { STRIP_EDITOR } from './strip-down/offer';
import { UNIT_EDITOR } from './unit/offer';

/** How each family is asked, in the order in which the kinds are offered. */
const EDITORS: { readonly [F in FamilyName]: FamilyEditor<F> } = {
  'gear-set': GEAR_SET_EDITOR,
  unit: UNIT_EDITOR,
  converter: CONVERTER_EDITOR,
  clutch: CLUTCH_EDITOR,
  fault: FAULT_EDITOR,
  gearbox: GEARBOX_EDITOR,
  oil: OIL_EDITOR,
  'strip-down': STRIP_EDITOR,
  own: OWN_EDITOR,
};

/** The row of a family whose types are not known here: what is handed in must be of that family. */
export const editorOf = (family: FamilyName) =>
  EDITORS[family] as unknown as FamilyEditor<FamilyName>;
