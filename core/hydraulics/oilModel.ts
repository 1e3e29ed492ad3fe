import { OIL_SOUND, type WornPlan } from './condition';
import { throttlePressure } from './laws';
import { partsOf, type HydraulicPlan } from './plan';

/**
 * A plan's main circuit in closed form (derived here), for work that asks for thousands of pressures: whatever spools do, the
 * pump's flow goes through leaks, and through feeds whose seals leak, or past the regulator:
 *
 *   p = min( p_asked(load), (Q/Σk)² )       p_asked = (F + p_thr·A_thr + p_rev·A_rev)/A
 *
 * A piston whose seal leaks sees less than the line: p_e = p·k_f²/(k_f² + k_s²). All numbers are the plan's; a test holds it
 * against the plan's own network. Pressures Pa, flows m³/s, loads 0 to 1 of full torque.
 */
export interface OilModel {
  /** Regulated, at no load and at full load. */
  readonly idlePressure: number;
  readonly fullPressure: number;
  /** In reverse, over that in forward ranges. */
  readonly reverseBoost: number;
  /** m³ that the pump moves in one turn. */
  readonly pumpVolume: number;
  /** Of everything that always leaks, m³/s for each √Pa. */
  readonly leak: number;
  readonly elements: ReadonlyMap<string, OilElement>;
}

interface OilElement {
  /** k of its feed, m³ until its plates touch, and Pa on touching. */
  readonly feed: number;
  readonly fillVolume: number;
  readonly touch: number;
}

/** How the oil is now. */
export interface OilWear {
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

export const OIL_AS_BUILT: OilWear = {
  pumpDriven: true,
  pumpWorn: 0,
  cable: 0,
  regulator: 1,
  missing: 0,
};

/** Share of the throttle's whole travel that a metre of cable is worth (memory). */
const CABLE_PER_METRE = 60;
/** Travel past which a cable that is too short pulls no further. */
const MOST_PULL = 1.15;

/** m³ missing from which the pump begins to draw air, and at which it draws nothing but air (memory). */
const DRAWS_AIR_FROM = 0.3e-3;
const ONLY_AIR_AT = 2.2e-3;

/** Share of the pump's flow that is oil. */
const oilShare = (missing: number): number =>
  Math.max(0, Math.min(1, 1 - (missing - DRAWS_AIR_FROM) / (ONLY_AIR_AT - DRAWS_AIR_FROM)));

/** @throws Error when the plan has no pump or no regulator */
export function oilModelOf(plan: HydraulicPlan): OilModel {
  const [pump] = partsOf(plan, 'pump');
  const [regulator] = partsOf(plan, 'regulator');
  const [valve] = partsOf(plan, 'throttle-valve');
  if (!pump || !regulator) throw new Error('oilModelOf: expected a pump and a regulator');
  const boost = regulator.boosts.find((l) => l.line === valve?.to)?.area ?? 0;
  const asked = (throttle: number) =>
    (regulator.spring + boost * (valve ? throttlePressure(valve, throttle) : 0)) / regulator.area;
  const reverse = regulator.boosts
    .filter((b) => b.line !== valve?.to)
    .reduce((sum, b) => sum + b.area, 0);
  const holes = partsOf(plan, 'restriction')
    .filter((r) => r.from === pump.to)
    .reduce((sum, r) => sum + r.orifice, 0);
  return {
    idlePressure: asked(0),
    fullPressure: asked(1),
    reverseBoost: 1 / (1 - reverse / regulator.area),
    pumpVolume: pump.volume * (1 - pump.slip),
    leak: pump.leak + holes,
    elements: new Map(
      partsOf(plan, 'piston').flatMap((p) => {
        const feed = partsOf(plan, 'feed').find((f) => f.to === p.line);
        if (!feed) return [];
        const touch = p.returnForce / p.area;
        return [[p.element, { feed: feed.in, fillVolume: p.area * p.travel, touch }] as const];
      }),
    ),
  };
}

/** The pressure that the regulator is asked for. */
export function askedPressure(
  oil: OilModel,
  wear: OilWear,
  load: number,
  reverse: boolean,
): number {
  const pulled = Math.max(0, Math.min(MOST_PULL, load + CABLE_PER_METRE * wear.cable));
  const asked = oil.idlePressure + (oil.fullPressure - oil.idlePressure) * pulled;
  return asked * wear.regulator * (reverse ? oil.reverseBoost : 1);
}

/** An element that is on, and the share of its feed's opening that leaks past its seal. */
export type Leaking = readonly [element: string, share: number];

/**
 * Line pressure.
 * @param running pumpRpm: speed of the engine @param on elements now on
 */
export function linePressure(
  oil: OilModel,
  wear: OilWear,
  running: { readonly load: number; readonly pumpRpm: number; readonly reverse: boolean },
  on: readonly Leaking[],
): number {
  if (!wear.pumpDriven) return 0;
  const flow =
    oil.pumpVolume * (running.pumpRpm / 60) * (1 - wear.pumpWorn) * oilShare(wear.missing);
  const through = on.reduce(
    (sum, [id, share]) => sum + throughLeak(oil.elements.get(id)?.feed ?? 0, share),
    oil.leak,
  );
  const supplied = (flow / through) ** 2;
  return Math.min(askedPressure(oil, wear, running.load, running.reverse), supplied);
}

/** Feed and leaking seal in a row, as one opening. @param share of the feed's opening that leaks */
const throughLeak = (feed: number, share: number): number =>
  share <= 0 ? 0 : (feed * share) / Math.sqrt(1 + share * share);

/** What a piston sees of the line pressure. @param share of its feed's opening that leaks past the seal */
export const pistonShare = (share: number): number => 1 / (1 + share * share);

/** Of the pressure on touching, what the springs push back with while a piston travels, on average. */
const WHILE_FILLING = 0.75;

/** s to fill an element's piston at this line pressure; `Infinity` without enough of it. */
export function fillTime(oil: OilModel, [element, share]: Leaking, line: number): number {
  const e = oil.elements.get(element);
  if (!e) return 0;
  const back = WHILE_FILLING * e.touch;
  // Where the seal lets by what comes in before the plates touch, they never do.
  if (line * pistonShare(share) <= e.touch) return Infinity;
  const inflow = e.feed * Math.sqrt(line - back);
  return e.fillVolume / (inflow - e.feed * share * Math.sqrt(back));
}

/** The plan in this wear. @param leaks shares of feeds that leak past seals @param stuck accumulators, by their elements */
export function wornPlan(
  plan: HydraulicPlan,
  wear: OilWear,
  leaks: ReadonlyMap<string, number>,
  stuck: readonly string[],
): WornPlan {
  const pistons = partsOf(plan, 'piston');
  const feedInto = (line: string) => partsOf(plan, 'feed').find((f) => f.to === line)?.in ?? 0;
  const accumulators = partsOf(plan, 'accumulator').filter((a) =>
    pistons.some((p) => p.line === a.line && stuck.includes(p.element)),
  );
  return {
    plan: {
      ...plan,
      parts: plan.parts.map((p) => {
        if (p.kind === 'pump') return { ...p, slip: 1 - (1 - p.slip) * (1 - wear.pumpWorn) };
        if (p.kind === 'piston')
          return { ...p, leak: p.leak + (leaks.get(p.element) ?? 0) * feedInto(p.line) };
        if (p.kind === 'throttle-valve' && p.by.kind === 'cable')
          return { ...p, by: { ...p.by, slack: p.by.slack - CABLE_PER_METRE * wear.cable } };
        if (p.kind !== 'regulator') return p;
        const boosts = p.boosts.map((b) => ({
          ...b,
          area: b.area * boostShare(b.line, plan, wear),
        }));
        return { ...p, spring: p.spring * wear.regulator, boosts };
      }),
    },
    condition: {
      ...OIL_SOUND,
      pumpDriven: wear.pumpDriven,
      air: 1 - oilShare(wear.missing),
      stuck: new Map(accumulators.map((a) => [a.id, 0])),
    },
  };
}

/** A regulator that holds too much or too little does so at any throttle; what reverse adds is in proportion anyway. */
const boostShare = (line: string, plan: HydraulicPlan, wear: OilWear): number =>
  line === partsOf(plan, 'throttle-valve')[0]?.to ? wear.regulator : 1;
