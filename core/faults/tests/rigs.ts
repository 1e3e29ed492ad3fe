import { USUAL_COUPLING, type Clutch } from '../../clutch';
import type { Converter, Engine } from '../../converter';
import type { Unit } from '../../geartrain';
import { ravigneaux, simpson } from '../../geartrain/tests/textbookUnits';
import type { Vehicle } from '../../vehicle';
import { examine, openShop, singleCandidates, type Candidate, type Shop } from '../index';
import { BARE_RIG, type Rig } from '../rig';
import { demoFile, demoUnit } from '../../tests/demoFile';

/** Rigs of the demo world, and textbook units with ranges: shared by the tests of faults. */

const engine = demoFile<Engine>('engines/yard-diesel');
const petrol = demoFile<Engine>('engines/pilot-petrol');
const converter = demoFile<Converter>('converters/jetty-eleven');
const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
export const QUAY = demoUnit('quay-four');

export const AUTOMATIC: Rig = { ...BARE_RIG, unit: QUAY, engine, converter, vehicle };
export const MANUAL: Rig = {
  ...BARE_RIG,
  unit: demoUnit('winch-manual'),
  engine: petrol,
  clutch: demoFile<Clutch>('clutches/bollard-nine'),
  vehicle,
};
export const DUAL: Rig = {
  ...BARE_RIG,
  unit: demoUnit('ferry-dual'),
  engine: petrol,
  vehicle,
};
export const COUPLING: Rig = { ...BARE_RIG, coupling: USUAL_COUPLING };

const range = (id: string, apply: string[]) => ({ id, lever: id[0]!, gear: id.slice(1), apply });

export const SIMPSON: Unit = {
  ...simpson(33, 72),
  ranges: [
    range('D1', ['C1']),
    range('D2', ['C1', 'B1']),
    range('D3', ['C1', 'C2']),
    range('L1', ['C1', 'B2']),
    range('R', ['C2', 'B2']),
  ],
};
export const RAVIGNEAUX: Unit = {
  ...ravigneaux(30, 36, 78),
  ranges: [
    range('D1', ['Ca', 'Bc']),
    range('D2', ['Ca', 'Bb']),
    range('D3', ['Ca', 'Cb']),
    range('D4', ['Cc', 'Bb']),
    range('R', ['Cb', 'Bc']),
  ],
};

/** A shop with every single fault looked at, worked out once for all tests of a file. */
export function furnished(rig: Rig): { shop: Shop; all: Candidate[]; sound: Candidate } {
  const shop = openShop(rig);
  return { shop, all: [...singleCandidates(shop)], sound: examine(shop, []) };
}

/** Ranges that were bad and good, told the plain way. */
export const asSeen = (bad: readonly string[], good: readonly string[]) =>
  new Map([...bad.map((r) => [r, 'neutral'] as const), ...good.map((r) => [r, 'right'] as const)]);
