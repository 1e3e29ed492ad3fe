import { isDualClutch, sleevesOf, type Unit } from '../../../../core/geartrain';
import { isOf, kindsOf, newGearboxQuestion, type GearboxQuestion } from '../../../../core/lesson';
import type { FamilyEditor } from '../familyEditor';
import { GearboxEditor } from './Editor';

type Kind = GearboxQuestion['kind'];

/** Asked of two clutches only. */
const DUAL: readonly Kind[] = ['set-waiting', 'draw-crossing'];

/** Units of which a kind can be asked: gearboxes with sleeves, those with two clutches first where two are asked. */
export const unitsFor = (kind: Kind, units: readonly Unit[]): Unit[] =>
  units.filter((u) => (DUAL.includes(kind) ? isDualClutch(u) : sleevesOf(u).length > 1));

export const GEARBOX_EDITOR: FamilyEditor<'gearbox'> = {
  label: 'question.ofGearbox',
  kinds: ({ units, vehicles, engines }) =>
    kindsOf('gearbox').filter(
      (kind) =>
        unitsFor(kind, units).length > 0 &&
        (!DUAL.includes(kind) || (vehicles.length > 0 && engines.length > 0)),
    ),
  fresh(kind, { units, vehicles, engines }, now) {
    const fit = unitsFor(kind, units);
    const unit = fit.find((u) => isOf('gearbox', now) && u.id === now.unit) ?? fit[0];
    if (!unit) return null;
    const rig = { unit, vehicle: vehicles[0] ?? null, engine: engines[0] ?? null };
    return { question: newGearboxQuestion(kind, rig), models: modelsOf(kind, rig) };
  },
  Editor: GearboxEditor,
};

const modelsOf = (
  kind: Kind,
  { unit, vehicle, engine }: Parameters<typeof newGearboxQuestion>[1],
) => [
  unit,
  ...(DUAL.includes(kind) && vehicle ? [vehicle] : []),
  ...(kind === 'draw-crossing' && engine ? [engine] : []),
];
