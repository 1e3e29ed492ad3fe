/**
 * A transmission's oil as a small hydraulic model (derived here). The pump gives flow in proportion to its speed; all
 * the leaks together take q = k·√p; the regulator opens at the pressure that the cable asks for:
 *
 *   p = min( p_asked(load), (Q/k)² )       p_asked = p_idle + (p_full − p_idle)·(load + cable)
 *
 * A piston whose seal leaks sees less than the line: flow in through its feed equals flow out past the seal,
 * p_e = p·k_f²/(k_f² + k_s²). Pressures Pa, flows m³/s, loads 0 to 1 of full torque.
 */
export interface OilModel {
  /** Regulated, at no load and at full load. */
  readonly idlePressure: number;
  readonly fullPressure: number;
  /** In reverse, over that in forward ranges. */
  readonly reverseBoost: number;
  /** m³ that the pump moves in one turn. */
  readonly pumpVolume: number;
  /** Of everything that always leaks, and of one element's feed, m³/s for each √Pa. */
  readonly leak: number;
  readonly feed: number;
  /** Share of the load's whole travel that a metre of cable is worth. */
  readonly cablePerMetre: number;
  /** m³ from piston at rest to plates touching. */
  readonly fillVolume: number;
  /** s over which an accumulator lets the pressure rise. */
  readonly rampSeconds: number;
}

/** About those of a car's transmission (memory). */
export const USUAL_OIL: OilModel = {
  idlePressure: 450e3,
  fullPressure: 1200e3,
  reverseBoost: 1.35,
  pumpVolume: 22e-6,
  leak: 0.16e-6,
  feed: 0.42e-6,
  cablePerMetre: 60,
  fillVolume: 45e-6,
  rampSeconds: 0.4,
};

/** How the oil is now. */
export interface OilState {
  readonly pumpDriven: boolean;
  /** Share of the pump's flow that slips back past worn gears. */
  readonly pumpWorn: number;
  /** m by which the cable pulls too early (+) or too late (−). */
  readonly cable: number;
  /** Over what the regulator should hold. */
  readonly regulator: number;
  /** m³ missing in the pan. */
  readonly missing: number;
}

export const OIL_AS_BUILT: OilState = {
  pumpDriven: true,
  pumpWorn: 0,
  cable: 0,
  regulator: 1,
  missing: 0,
};

/** m³ missing from which the pump begins to draw air, and at which it draws nothing but air (memory). */
const DRAWS_AIR_FROM = 0.3e-3;
const ONLY_AIR_AT = 2.2e-3;

/** Share of the pump's flow that is oil. */
const oilShare = (missing: number): number =>
  Math.max(0, Math.min(1, 1 - (missing - DRAWS_AIR_FROM) / (ONLY_AIR_AT - DRAWS_AIR_FROM)));

/** The pressure that the regulator is asked for. */
export function askedPressure(
  oil: OilModel,
  state: OilState,
  load: number,
  reverse: boolean,
): number {
  const pulled = Math.max(0, Math.min(1.15, load + oil.cablePerMetre * state.cable));
  const asked = oil.idlePressure + (oil.fullPressure - oil.idlePressure) * pulled;
  return asked * state.regulator * (reverse ? oil.reverseBoost : 1);
}

/**
 * Line pressure.
 * @param pumpRpm speed of the engine @param leaks share of a feed that leaks in each element now on
 */
export function linePressure(
  oil: OilModel,
  state: OilState,
  running: { readonly load: number; readonly pumpRpm: number; readonly reverse: boolean },
  leaks: readonly number[],
): number {
  if (!state.pumpDriven) return 0;
  const flow =
    oil.pumpVolume * (running.pumpRpm / 60) * (1 - state.pumpWorn) * oilShare(state.missing);
  const through = leaks.reduce((sum, share) => sum + throughLeak(oil, share), oil.leak);
  const supplied = (flow / through) ** 2;
  return Math.min(askedPressure(oil, state, running.load, running.reverse), supplied);
}

/** Feed and leaking seal in a row, as one opening. @param share of the feed's opening that leaks */
const throughLeak = ({ feed }: OilModel, share: number): number =>
  share <= 0 ? 0 : (feed * share) / Math.sqrt(1 + share * share);

/** What a piston sees of the line pressure. @param share of its feed's opening that leaks past the seal */
export const pistonShare = (share: number): number => 1 / (1 + share * share);

/** s to fill an element's piston at this line pressure; `Infinity` without pressure. */
export function fillTime(oil: OilModel, line: number, leakShare: number): number {
  if (line <= 0) return Infinity;
  const over = line - FILL_PRESSURE * oil.fullPressure;
  if (over <= 0) return Infinity;
  const inflow = oil.feed * Math.sqrt(over);
  const lost = oil.feed * leakShare * Math.sqrt(FILL_PRESSURE * oil.fullPressure);
  return inflow > lost ? oil.fillVolume / (inflow - lost) : Infinity;
}

/** Share of the line's full pressure at which the return springs hold a piston while it fills (memory). */
const FILL_PRESSURE = 0.12;
