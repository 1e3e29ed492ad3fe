/**
 * Units at the edge of the program. Inside core every quantity is SI without a suffix in its name;
 * a plain number that crosses a border carries its unit in its name (`speedRpm`, `torqueNm`).
 *
 * Factors: 1 in = 25.4 mm, 1 mi = 1609.344 m, 1 lb = 0.45359237 kg and 1 lbf = 4.4482216152605 N exactly (published:
 * NIST SP 811, appendix B), so 1 lbf·ft = 1.3558179483314 N·m; 1 Btu (International Table) = 1.05505585262 kJ; 1 hp
 * (mechanical) = 550 ft·lbf/s = 0.74569987158227 kW; 1 gal (U.S.), four quarts, = 231 in³.
 */
export type UnitSystem = 'si' | 'inch-pound';

/**
 * Each quantity's stored unit: rev/min, N·m, kW, mm, m/s, °C, °C of a difference, kg, N, rev/min/√(N·m), kPa, kJ, l,
 * l/min.
 */
export type Quantity =
  | 'speed'
  | 'torque'
  | 'power'
  | 'length'
  | 'road-speed'
  | 'temperature'
  | 'temperature-rise'
  | 'mass'
  | 'force'
  | 'capacity'
  | 'pressure'
  | 'energy'
  | 'volume'
  | 'flow';

interface Display {
  /** Key of the unit's sign in the catalogue of words. */
  readonly unit: string;
  /** Stored number × factor + offset = shown number. */
  readonly factor: number;
  readonly offset?: number;
}

const LBF_IN_N = 4.4482216152605;
const LBF_FT_IN_NM = LBF_IN_N * 0.3048;
const GALLON_IN_LITRES = 231 * 0.254 ** 3;
const HP_IN_KW = (550 * LBF_FT_IN_NM) / 1000;

const DISPLAY = {
  si: {
    speed: { unit: 'revPerMin', factor: 1 },
    torque: { unit: 'newtonMetre', factor: 1 },
    power: { unit: 'kilowatt', factor: 1 },
    length: { unit: 'millimetre', factor: 1 },
    'road-speed': { unit: 'kilometrePerHour', factor: 3.6 },
    temperature: { unit: 'celsius', factor: 1 },
    'temperature-rise': { unit: 'celsius', factor: 1 },
    mass: { unit: 'kilogram', factor: 1 },
    force: { unit: 'newton', factor: 1 },
    capacity: { unit: 'capacityNm', factor: 1 },
    pressure: { unit: 'kilopascal', factor: 1 },
    energy: { unit: 'kilojoule', factor: 1 },
    volume: { unit: 'litre', factor: 1 },
    flow: { unit: 'litrePerMinute', factor: 1 },
  },
  'inch-pound': {
    speed: { unit: 'revPerMin', factor: 1 },
    torque: { unit: 'poundFoot', factor: 1 / LBF_FT_IN_NM },
    power: { unit: 'horsepower', factor: 1 / HP_IN_KW },
    length: { unit: 'inch', factor: 1 / 25.4 },
    'road-speed': { unit: 'milePerHour', factor: 3600 / 1609.344 },
    temperature: { unit: 'fahrenheit', factor: 1.8, offset: 32 },
    'temperature-rise': { unit: 'fahrenheit', factor: 1.8 },
    mass: { unit: 'pound', factor: 1 / 0.45359237 },
    force: { unit: 'poundForce', factor: 1 / LBF_IN_N },
    capacity: { unit: 'capacityLbfFt', factor: Math.sqrt(LBF_FT_IN_NM) },
    pressure: { unit: 'psi', factor: (1000 * 0.0254 ** 2) / LBF_IN_N },
    energy: { unit: 'btu', factor: 1 / 1.05505585262 },
    volume: { unit: 'quart', factor: 4 / GALLON_IN_LITRES },
    flow: { unit: 'gallonPerMinute', factor: 1 / GALLON_IN_LITRES },
  },
} as const satisfies Readonly<Record<UnitSystem, Readonly<Record<Quantity, Display>>>>;

/** The unit's key in the catalogue of words. */
export const displayUnit = (quantity: Quantity, system: UnitSystem) =>
  DISPLAY[system][quantity].unit;

/** From the stored unit to the one shown. */
export function convertToDisplay(value: number, quantity: Quantity, system: UnitSystem): number {
  const { factor, offset = 0 }: Display = DISPLAY[system][quantity];
  return value * factor + offset;
}

/** From the unit shown to the stored one. */
export function convertFromDisplay(value: number, quantity: Quantity, system: UnitSystem): number {
  const { factor, offset = 0 }: Display = DISPLAY[system][quantity];
  return (value - offset) / factor;
}
