import {
  gearAt,
  isSleeveSide,
  memberInertias,
  sleeveWith,
  solveUnit,
  type Range,
  type Unit,
} from '../geartrain';
import { onceFor, toNumber } from '../numerics';
import { RPM_TO_RAD } from '../quantities';
import type { Vehicle } from '../vehicle';
import { handOver, shiftQuality, type HandOverResult, type ShiftQuality } from './handOver';
import type { Trace } from './trace';

/**
 * A gear change of a dual clutch: the next gear waits on the other input shaft, and the torque crosses from one clutch to the
 * other while both carry it. Where the wrong gear waits, its sleeve is moved and its shaft synchronized first; where both
 * gears hang on one clutch, that opens and nothing drives meanwhile.
 *
 *   t = J·i²·Δω / T_s    (textbook: Naunheimer, Bertsche, Ryborz, Novak, Automotive Transmissions, ch. 9)
 */
export interface Crossing {
  readonly unit: Unit;
  readonly vehicle: Vehicle;
  readonly from: Range;
  readonly to: Range;
  /** The sleeve's side that waits as the command comes; `null` for none. */
  readonly waiting: string | null;
  readonly engineNm: number;
  readonly engineInertia: number;
  readonly engineRpm: number;
  /** When the old clutch begins to let go, and the new one to take hold: s from the crossing on; how long each takes. */
  readonly off: Ramp;
  readonly on: Ramp;
  /** Share of the engine's torque that is left while its speed changes. */
  readonly cut: number;
}
export interface Ramp {
  at: number;
  over: number;
}
/** Of the clutch that lets go, and of the one that takes. */
export interface Ramps {
  off: Ramp;
  on: Ramp;
}
/** s between which ramps are drawn. */
export const RAMP_LIMITS = { at: [0, 0.4], over: [0.01, 0.2] } as const;

/** N·m and rev/min of the engine as a crossing begins, where nothing else is told (from memory). */
export const CROSSING_ENGINE = { nm: 160, rpm: 2400 } as const;

/** About 30 ms crossing (common practice, no source), and half of the engine's torque meanwhile (from memory). */
export const USUAL_CROSSING = {
  off: { at: 0.1, over: 0.03 },
  on: { at: 0.1, over: 0.03 },
  cut: 0.5,
} as const;

/** N·m at the sleeve, s to move it out and in (from memory). */
const SYNCHRO_NM = 20;
const MOVES_IN = 0.08;
/** s in which the engine's torque comes and goes (from memory). */
const CUT_RAMP = 0.04;
/** Over what is asked, that a clutch holds before and after. */
const MARGIN = 1.3;
/** s that are looked on when all of it is over. */
const SECONDS = 0.8;
/** s; with half of it every figure is the same to a hundredth. */
const STEP = 2e-3;

export interface CrossingResult {
  readonly run: HandOverResult;
  /** s from the command until the waiting gear is the right one. */
  readonly lost: number;
  /** s for which both clutches carry torque. */
  readonly across: number;
  /** Share by which the output torque falls below what both gears give, until the engine has its new speed. */
  readonly dip: number;
  /** Least sum of both clutches' torques, over what the engine gives: 0 where nothing holds. */
  readonly leastSum: number;
  /** The clutches, the old one first; the same twice where both gears hang on it. */
  readonly clutches: readonly [string, string];
}

/** Least sum of both clutches' torques, over the engine's, below which next to nothing holds (from memory). */
const HOLE = 0.05;

/** What a driver says of it: as of every shift, and a hole where for a moment neither clutch holds. */
export type CrossingQuality = ShiftQuality | 'hole';
export function crossingQuality({ run, leastSum }: CrossingResult): CrossingQuality {
  const quality = shiftQuality(run.summary);
  return quality === 'bumps' && leastSum < HOLE ? 'hole' : quality;
}

export interface Way {
  readonly clutch: string;
  readonly side: string;
}
const waysOnce = onceFor<Unit, Way | null>();

/** The clutch that carries a range, and the sleeve's side that it drives through; `null` where it does not drive. */
export const wayOf = (unit: Unit, { apply }: Range): Way | null =>
  waysOnce(unit, apply.join(), () => wayFor(unit, apply));

function wayFor(unit: Unit, apply: readonly string[]): Way | null {
  const { ratio } = solveUnit(unit, apply);
  if (!ratio) return null;
  const carrying = unit.elements.filter(
    ({ id }) =>
      apply.includes(id) &&
      solveUnit(
        unit,
        apply.filter((a) => a !== id),
      ).ratio === null,
  );
  const clutch = carrying.find((e) => e.kind === 'clutch')?.id;
  const side = carrying.find(isSleeveSide)?.id;
  return clutch !== undefined && side !== undefined ? { clutch, side } : null;
}

/** A gear change that hands over from one clutch to the other. */
export interface CrossingPair {
  readonly id: string;
  readonly from: Range;
  readonly to: Range;
  /** What the new gear drives by. */
  readonly next: Way;
}

/** Gear changes up and down by one, of one lever place, that hand over from one clutch to the other. */
export function crossingPairs(unit: Unit): CrossingPair[] {
  const driving = unit.ranges.flatMap((range) => {
    const way = wayOf(unit, range);
    return way ? [{ range, way }] : [];
  });
  return driving.flatMap((a, k) =>
    [driving[k + 1], driving[k - 1]].flatMap((b): CrossingPair[] =>
      b && b.range.lever === a.range.lever && b.way.clutch !== a.way.clutch
        ? [{ id: `${a.range.id}>${b.range.id}`, from: a.range, to: b.range, next: b.way }]
        : [],
    ),
  );
}

const turnsOnce = onceFor<Unit, number>();

/** Turns of a member for one turn of the output, with a clutch and a side in. */
const turnsWith = (unit: Unit, clutch: string, side: string, member: string): number =>
  turnsOnce(unit, [clutch, side, member].join(), () => {
    const { ratio, speeds } = solveUnit(unit, [clutch, side]);
    const turns = speeds.get(member);
    return ratio && turns ? toNumber(ratio) * toNumber(turns) : 0;
  });

/**
 * s to bring a clutch's shaft from the gear that waits to the one that is wanted, and the sleeve over.
 * @param wrong `null`: no gear was in, and the shaft stood still
 * @param outputRpm of the unit's output
 */
export function synchronizingTime(
  unit: Unit,
  clutch: string,
  wrong: string | null,
  right: string,
  outputRpm: number,
): number {
  if (wrong === right) return 0;
  const [engine, shaft] = unit.elements.find((e) => e.id === clutch)!.between;
  const driven = shaft === unit.input ? engine : shaft;
  const wanted = turnsWith(unit, clutch, right, driven);
  const before = wrong === null ? 0 : turnsWith(unit, clutch, wrong, driven);
  // What the shaft turns for one turn of the gear: its inertia counts by the square of that.
  const over = wanted / (turnsWith(unit, clutch, right, gearAt(unit, right)!) || 1);
  const inertia = memberInertias(unit).get(driven)! * over * over;
  const slip = Math.abs((wanted - before) / over) * outputRpm * RPM_TO_RAD;
  return MOVES_IN + (inertia * slip) / SYNCHRO_NM;
}

/** How a gear that is asked for comes to the speed of its shaft, and the sleeve goes over. */
export interface Meeting {
  /** The member that the side locks. */
  readonly gear: string;
  /** rev/min: of the gear before, and of the hub, which the road turns. */
  readonly gearRpm: number;
  readonly hubRpm: number;
  /** s that the ring brakes or drags the gear, and until the sleeve is over its teeth. */
  readonly brakes: number;
  readonly seconds: number;
}

/**
 * A sleeve moved on the move, clutch open: the ring brings the gear to its hub's speed before it lets the sleeve through.
 * @param before the side that was in; `null`: none, and what hangs on the clutch stood still
 * @returns `null` where the side's gear hangs on no clutch
 */
export function meeting(
  unit: Unit,
  before: string | null,
  side: string,
  outputRpm: number,
): Meeting | null {
  const gear = gearAt(unit, side);
  const clutch = unit.elements.find(
    (e) => e.kind === 'clutch' && solveUnit(unit, [e.id, side]).ratio !== null,
  )?.id;
  const hub = sleeveWith(unit, side)?.sleeve.hub;
  if (gear === null || clutch === undefined || hub === undefined) return null;
  // A side that hangs on another clutch left this one's shaft as it was: still.
  const wrong = before !== null && solveUnit(unit, [clutch, before]).ratio ? before : null;
  const seconds = synchronizingTime(unit, clutch, wrong, side, outputRpm);
  return {
    gear,
    gearRpm: wrong === null ? 0 : turnsWith(unit, clutch, wrong, gear) * outputRpm,
    hubRpm: turnsWith(unit, clutch, side, hub) * outputRpm,
    brakes: Math.max(0, seconds - MOVES_IN),
    seconds,
  };
}

/** @throws Error where one of the two ranges does not drive through a clutch and a sleeve */
export function crossing(plan: Crossing): CrossingResult {
  const { unit, from, to, engineNm, engineRpm } = plan;
  const [old, next] = [wayOf(unit, from), wayOf(unit, to)];
  if (!old || !next) throw new Error('crossing: expected two ranges that drive by a clutch');
  const ratio = toNumber(solveUnit(unit, from.apply).ratio!);
  const outputRpm = engineRpm / Math.abs(ratio);
  const same = old.clutch === next.clutch;
  const lost = synchronizingTime(
    unit,
    next.clutch,
    same ? old.side : plan.waiting,
    next.side,
    outputRpm,
  );
  const holds = MARGIN * engineNm;
  const begins = lost + plan.on.at;
  const after = toNumber(solveUnit(unit, to.apply).ratio!);
  const change = Math.abs(engineRpm * (1 - after / ratio)) * RPM_TO_RAD;
  // What of its own torque the engine lacks meanwhile changes its speed: J·Δω over that.
  const changing = (plan.engineInertia * change) / Math.max(0.1, 1 - plan.cut) / engineNm;
  // From the crossing on until both ramps and the engine's change are over.
  const over = Math.max(plan.off.at + plan.off.over, plan.on.at + plan.on.over + changing);
  const takes: Trace = [
    { time: begins, value: 0 },
    { time: begins + plan.on.over, value: engineNm },
    { time: begins + plan.on.over + changing, value: engineNm },
    { time: begins + plan.on.over + changing + CUT_RAMP, value: holds },
  ];
  const lets: Trace = [
    { time: lost + plan.off.at, value: holds },
    { time: lost + plan.off.at + plan.off.over, value: 0 },
  ];
  const run = handOver({
    unit,
    vehicle: plan.vehicle,
    from: same ? from.apply : [old.clutch, old.side, next.side],
    to: same ? [next.clutch, next.side] : [next.clutch, old.side, next.side],
    inputNm: engineNm,
    inputShare: same ? eased(0, begins, 0) : eased(begins, changing, plan.cut),
    inputInertia: plan.engineInertia,
    inputRpm: engineRpm,
    holds: new Map(
      same
        ? [[next.clutch, takes]]
        : [
            [old.clutch, lets],
            [next.clutch, takes],
          ],
    ),
    seconds: lost + over + SECONDS,
    step: STEP,
  });
  const shifting = run.samples.filter((s) => s.time >= 0);
  const of = (id: string, s: (typeof shifting)[number]) => s.torques[id] ?? 0;
  const sums = shifting.map((s) => of(old.clutch, s) + (same ? 0 : of(next.clutch, s)));
  // Pulling steadily in a gear, engine and vehicle gain speed together.
  const metres = plan.vehicle.tyreRadiusM / plan.vehicle.finalDrive;
  const mass = plan.vehicle.massKg * metres * metres;
  const level = (i: number) => (engineNm * i * mass) / (mass + plan.engineInertia * i * i);
  const output = shifting.filter((s) => s.time <= lost + over).map((s) => s.outputNm);
  const spacing = shifting.length > 1 ? shifting[1]!.time - shifting[0]!.time : 0;
  const both = shifting.filter((s) => !same && of(old.clutch, s) > 1 && of(next.clutch, s) > 1);
  return {
    run,
    lost,
    across: both.length * spacing,
    dip: Math.max(0, 1 - Math.min(...output) / Math.min(level(ratio), level(after))),
    leastSum: Math.min(...sums) / engineNm,
    clutches: [old.clutch, next.clutch],
  };
}

/** Share of the engine's torque: eased to what is left at a time, held, and back. */
function eased(at: number, held: number, left: number): Trace {
  return [
    { time: at, value: at === 0 ? left : 1 },
    { time: at + CUT_RAMP, value: left },
    { time: at + Math.max(CUT_RAMP, held), value: left },
    { time: at + Math.max(CUT_RAMP, held) + CUT_RAMP, value: 1 },
  ];
}
