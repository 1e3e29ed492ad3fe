import {
  AS_BUILT,
  COUPLING_AS_BUILT,
  withClutchFault,
  type ClutchState,
  type CouplingState,
} from '../clutch';
import type { StatorFault } from '../converter';
import { OIL_AS_BUILT, type OilWear } from '../hydraulics';
import { SLEEVE_AS_BUILT, type SleeveState } from '../shift';
import {
  clutchFaultOf,
  isClutchFault,
  severityOf,
  type ClutchFaultKind,
  type Fault,
} from './fault';
import { rigFaultProblem, type Rig } from './rig';

/** A rig as its faults leave it: what each fault touches, and nothing of what comes of it. */
export interface Machine {
  /** Broken links and stripped sets: these change the unit itself. */
  readonly structure: readonly Fault[];
  readonly always: readonly string[];
  readonly never: readonly string[];
  readonly reversed: readonly string[];
  /** No oil comes to these. */
  readonly unfed: readonly string[];
  /** Their snap ring is out of its groove: the piston moves, nothing clamps. */
  readonly ringOut: readonly string[];
  readonly stuckAccumulators: readonly string[];
  /** Share of its lining's grip that an element has left. */
  readonly lining: ReadonlyMap<string, number>;
  /** Share of an element's feed that leaks past its seal. */
  readonly leaks: ReadonlyMap<string, number>;
  readonly sleeves: ReadonlyMap<string, SleeveState>;
  readonly roughSets: readonly string[];
  readonly roughShafts: readonly string[];
  readonly oil: OilWear;
  readonly water: boolean;
  readonly stator: StatorFault | null;
  readonly lockUp: 'works' | 'never' | 'always';
  /** Share of its torque that the engine has left. */
  readonly engineShare: number;
  readonly clutch: ClutchState;
  readonly coupling: CouplingState;
}

export const SOUND_MACHINE: Machine = {
  structure: [],
  always: [],
  never: [],
  reversed: [],
  unfed: [],
  ringOut: [],
  stuckAccumulators: [],
  lining: new Map(),
  leaks: new Map(),
  sleeves: new Map(),
  roughSets: [],
  roughShafts: [],
  oil: OIL_AS_BUILT,
  water: false,
  stator: null,
  lockUp: 'works',
  engineShare: 1,
  clutch: AS_BUILT,
  coupling: COUPLING_AS_BUILT,
};

/** @throws Error when the rig can't have one of the faults: check with `rigFaultProblem` first */
export function machineOf(rig: Rig, faults: readonly Fault[]): Machine {
  return faults.reduce<Machine>((machine, fault) => {
    const problem = rigFaultProblem(rig, fault);
    if (problem) throw new Error(`machineOf: ${problem}: ${fault.target}=${fault.kind}`);
    return afflicted(rig, machine, fault, severityOf(fault));
  }, SOUND_MACHINE);
}

const MM = 1e-3;
const LITRE = 1e-3;
const REGULATOR_LOW = 0.6;
const REGULATOR_HIGH = 1.45;

/** Each fault as a change of what it touches. @param how far it has gone, in its kind's own unit */
function afflicted(rig: Rig, m: Machine, fault: Fault, how: number): Machine {
  const { target, kind } = fault;
  const oil = (change: Partial<OilWear>): Machine => ({ ...m, oil: { ...m.oil, ...change } });
  const coupling = (change: Partial<CouplingState>): Machine => ({
    ...m,
    coupling: { ...m.coupling, ...change },
  });
  const sleeve = (change: Partial<SleeveState>): Machine => ({
    ...m,
    sleeves: new Map(m.sleeves).set(target, {
      ...(m.sleeves.get(target) ?? SLEEVE_AS_BUILT),
      ...change,
    }),
  });
  if (isClutchFault(kind)) return { ...m, clutch: clutchAfter(rig, m.clutch, kind, how) };
  switch (kind) {
    case 'broken':
    case 'stripped':
      return { ...m, structure: [...m.structure, fault] };
    case 'will-not-apply':
      return { ...m, never: [...m.never, target], unfed: [...m.unfed, target] };
    case 'burnt':
      return { ...m, lining: new Map(m.lining).set(target, 0) };
    case 'slips':
      return { ...m, lining: new Map(m.lining).set(target, how) };
    case 'seal-leaks':
      return { ...m, leaks: new Map(m.leaks).set(target, how) };
    case 'ring-out':
      return { ...m, never: [...m.never, target], ringOut: [...m.ringOut, target] };
    case 'accumulator-stuck':
      return { ...m, stuckAccumulators: [...m.stuckAccumulators, target] };
    case 'stuck-on':
    case 'seized':
      return { ...m, always: [...m.always, target] };
    case 'will-not-hold':
      return { ...m, never: [...m.never, target] };
    case 'reversed':
      return { ...m, reversed: [...m.reversed, target] };
    case 'rough-teeth':
      return { ...m, roughSets: [...m.roughSets, target] };
    case 'rough-bearing':
      return { ...m, roughShafts: [...m.roughShafts, target] };
    case 'rounded':
      return sleeve({ rounded: how });
    case 'jumps-out':
      return sleeve({ wear: how * MM });
    case 'jumps-out-coast':
      return sleeve({ coastWear: how * MM });
    case 'synchro-worn':
      return sleeve({ synchro: how });
    case 'pump-not-driven':
      return oil({ pumpDriven: false });
    case 'pump-worn':
      return oil({ pumpWorn: how });
    case 'cable-short':
      return oil({ cable: how * MM });
    case 'cable-long':
      return oil({ cable: -how * MM });
    case 'regulator-low':
      return oil({ regulator: REGULATOR_LOW });
    case 'regulator-high':
      return oil({ regulator: REGULATOR_HIGH });
    case 'low-fluid':
      return oil({ missing: how * LITRE });
    case 'water-in-fluid':
      return { ...m, water: true };
    case 'stator-slips':
      return { ...m, stator: 'slips' };
    case 'stator-seized':
      return { ...m, stator: 'seized' };
    case 'lock-up-off':
      return { ...m, lockUp: 'never' };
    case 'lock-up-on':
      return { ...m, lockUp: 'always' };
    case 'engine-weak':
      return { ...m, engineShare: 1 - how };
    case 'ramp-jammed':
      return coupling({ jammed: how });
    case 'coil-open':
      return coupling({ coilOpen: true });
    case 'pilot-worn':
      return coupling({ pilotWorn: how });
    case 'pack-worn':
      return coupling({ wear: how * MM });
    case 'wrong-oil':
      return coupling({ wrongOil: true });
  }
}

/** A clutch's fault so many times as strong as usual: every number goes on in proportion. */
function clutchAfter(
  { clutch }: Rig,
  state: ClutchState,
  kind: ClutchFaultKind,
  times: number,
): ClutchState {
  if (!clutch) return state;
  const usual = withClutchFault(clutch, state, clutchFaultOf(kind));
  const scaled = Object.entries(usual).map(([key, value]: [string, unknown]) => {
    const before = state[key as keyof ClutchState];
    return typeof value === 'number' && typeof before === 'number'
      ? [key, before + (value - before) * times]
      : [key, value];
  });
  const next = Object.fromEntries(scaled) as ClutchState;
  return { ...next, cushion: Math.max(0.02, next.cushion), damper: Math.max(0, next.damper) };
}
