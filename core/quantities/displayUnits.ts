/**
 * Units at the edge of the program. Inside core every quantity is SI without a suffix in its name;
 * a plain number that crosses a border carries its unit in its name (`speedRpm`, `torqueNm`).
 *
 * Factors: 1 in = 25.4 mm and 1 lbf = 4.4482216152605 N exactly (published: NIST SP 811, appendix B),
 * so 1 lbf·ft = 1.3558179483314 N·m; 1 hp (mechanical) = 550 ft·lbf/s = 0.74569987158227 kW.
 */
export type UnitSystem = 'si' | 'inch-pound';

/** Each quantity's stored unit: rev/min, N·m, kW, mm. */
export type Quantity = 'speed' | 'torque' | 'power' | 'length';

interface Display {
  /** Key of the unit's sign in the catalogue of words. */
  readonly unit: string;
  /** Stored number × factor = shown number. */
  readonly factor: number;
}

const LBF_FT_IN_NM = 4.4482216152605 * 0.3048;
const HP_IN_KW = (550 * LBF_FT_IN_NM) / 1000;

const DISPLAY: Readonly<Record<UnitSystem, Readonly<Record<Quantity, Display>>>> = {
  si: {
    speed: { unit: 'revPerMin', factor: 1 },
    torque: { unit: 'newtonMetre', factor: 1 },
    power: { unit: 'kilowatt', factor: 1 },
    length: { unit: 'millimetre', factor: 1 },
  },
  'inch-pound': {
    speed: { unit: 'revPerMin', factor: 1 },
    torque: { unit: 'poundFoot', factor: 1 / LBF_FT_IN_NM },
    power: { unit: 'horsepower', factor: 1 / HP_IN_KW },
    length: { unit: 'inch', factor: 1 / 25.4 },
  },
};

/** The unit's key in the catalogue of words. */
export const displayUnit = (quantity: Quantity, system: UnitSystem): string =>
  DISPLAY[system][quantity].unit;

/** From the stored unit (rev/min, N·m, kW, mm) to the one shown. */
export const convertToDisplay = (value: number, quantity: Quantity, system: UnitSystem): number =>
  value * DISPLAY[system][quantity].factor;

/** From the unit shown to the stored one. */
export const convertFromDisplay = (value: number, quantity: Quantity, system: UnitSystem): number =>
  value / DISPLAY[system][quantity].factor;
