import { NOISE_TESTS } from '../clutch';
import { solveUnit } from '../geartrain';
import { toNumber } from '../numerics';
import { portTargets } from './applyFault';
import { oilElements, rigKind, sleevesOf, type Rig } from './rig';

/**
 * What can be asked of a machine, with its price. Minutes are those of a usual shop (common practice, no source);
 * hazards name the standing cautions that go with a check.
 */
export type CheckKind =
  | 'road'
  | 'coast'
  | 'listen'
  | 'shift'
  | 'delay'
  | 'pull'
  | 'cruise'
  | 'stop'
  | 'top-speed'
  | 'hot-run'
  | 'stall'
  | 'level'
  | 'fluid'
  | 'pan'
  | 'pressure'
  | 'tap'
  | 'air'
  | 'hand'
  | 'look'
  | 'teeth'
  | 'gear-in'
  | 'matched'
  | 'standing'
  | 'sleeve'
  | 'slip-test'
  | 'road-slip'
  | 'drag-test'
  | 'pedal'
  | 'play'
  | 'gap'
  | 'noise'
  | 'start'
  | 'disc'
  | 'flange'
  | 'circle'
  | 'loose-start'
  | 'coil'
  | 'drain'
  | 'stack';

export type Hazard =
  | 'heavy-parts'
  | 'lifting'
  | 'springs'
  | 'dust'
  | 'hot-fluid'
  | 'compressed-air'
  | 'rotating'
  | 'stall-test';

export interface CheckSpec {
  readonly minutes: number;
  readonly lift: boolean;
  readonly removal: boolean;
  readonly hazards: readonly Hazard[];
  /** How closely a figure is read: a share of it, or so much in its own unit, whichever is more. */
  readonly reads: { readonly share: number; readonly least: number };
}

const spec = (
  minutes: number,
  hazards: Hazard[] = [],
  reads: CheckSpec['reads'] = { share: 0, least: 0 },
): CheckSpec => ({
  minutes,
  lift: hazards.includes('lifting') || hazards.includes('heavy-parts'),
  removal: hazards.includes('heavy-parts'),
  hazards,
  reads,
});

export const CHECK_SPECS: Readonly<Record<CheckKind, CheckSpec>> = {
  road: spec(4, [], { share: 0.03, least: 0.2 }),
  coast: spec(4),
  listen: spec(3, ['rotating']),
  shift: spec(5),
  delay: spec(2, [], { share: 0.15, least: 0.08 }),
  pull: spec(4),
  cruise: spec(8),
  stop: spec(3),
  'top-speed': spec(15, [], { share: 0.05, least: 0 }),
  'hot-run': spec(25, [], { share: 0, least: 4 }),
  stall: spec(6, ['stall-test'], { share: 0.015, least: 0 }),
  level: spec(6, ['hot-fluid']),
  fluid: spec(3, ['hot-fluid']),
  pan: spec(45, ['lifting', 'hot-fluid']),
  pressure: spec(15, ['lifting', 'hot-fluid'], { share: 0.05, least: 20e3 }),
  tap: spec(25, ['lifting', 'hot-fluid'], { share: 0.08, least: 20e3 }),
  air: spec(60, ['lifting', 'hot-fluid', 'compressed-air']),
  hand: spec(300, ['heavy-parts', 'lifting']),
  look: spec(320, ['heavy-parts', 'lifting']),
  teeth: spec(310, ['heavy-parts', 'lifting']),
  'gear-in': spec(3),
  matched: spec(4),
  standing: spec(2),
  sleeve: spec(300, ['heavy-parts', 'lifting']),
  'slip-test': spec(3, ['stall-test']),
  'road-slip': spec(8),
  'drag-test': spec(3),
  pedal: spec(1),
  play: spec(2, [], { share: 0, least: 3e-3 }),
  gap: spec(25, ['lifting', 'rotating'], { share: 0, least: 0.2e-3 }),
  noise: spec(2, ['rotating']),
  start: spec(4),
  disc: spec(260, ['heavy-parts', 'lifting', 'dust', 'springs']),
  flange: spec(25, ['lifting'], { share: 0.1, least: 3 }),
  circle: spec(5),
  'loose-start': spec(8),
  coil: spec(10, ['lifting'], { share: 0.1, least: 0.2 }),
  drain: spec(20, ['lifting', 'hot-fluid']),
  stack: spec(190, ['heavy-parts', 'springs'], { share: 0, least: 0.15e-3 }),
};

export interface Check {
  /** `road D2`, `air C1`, `stall D1`, `fluid`. */
  readonly id: string;
  readonly kind: CheckKind;
  /** Range, element, link, gear set or place; empty where there is only one. */
  readonly target: string;
  readonly minutes: number;
  readonly lift: boolean;
  readonly removal: boolean;
}

const checkOf = (kind: CheckKind, target = ''): Check => {
  const { minutes, lift, removal } = CHECK_SPECS[kind];
  return { id: target ? `${kind} ${target}` : kind, kind, target, minutes, lift, removal };
};
const each = (kind: CheckKind, targets: readonly string[]): Check[] =>
  targets.map((target) => checkOf(kind, target));

/** Noise tests of both schools, by their names in `clutch/noise.ts`. */
const NOISES = NOISE_TESTS.map((t) => t.id);

/** Checks that a driver makes without meaning to: a complaint is made of these. */
const DRIVER_CHECKS: readonly CheckKind[] = [
  'road',
  'coast',
  'listen',
  'shift',
  'delay',
  'pull',
  'cruise',
  'stop',
  'top-speed',
  'hot-run',
  'gear-in',
  'start',
  'road-slip',
  'drag-test',
  'pedal',
  'noise',
  'circle',
  'loose-start',
];
export const driverChecks = (checks: readonly Check[]): Check[] =>
  checks.filter((c) => DRIVER_CHECKS.includes(c.kind));

/** Pairs of ranges that the lever's own order shifts between, as `D1>D2`. */
export function shiftsOf({ unit }: Rig): string[] {
  if (!unit) return [];
  const forward = unit.ranges
    .flatMap((r) => {
      const { ratio } = solveUnit(unit, r.apply);
      return ratio && toNumber(ratio) > 0 ? [{ range: r, ratio: toNumber(ratio) }] : [];
    })
    .sort((a, b) => b.ratio - a.ratio);
  const lever = forward.find(
    (f) => forward.filter((g) => g.range.lever === f.range.lever).length > 1,
  )?.range.lever;
  const own = forward.filter((f) => f.range.lever === lever);
  return own.slice(1).map((to, k) => `${own[k]!.range.id}>${to.range.id}`);
}

export interface StartRanges {
  /** The lowest gear ahead, and reverse; `null` where the unit has none. */
  readonly first: string | null;
  readonly reverse: string | null;
}

/** What a vehicle starts in. */
export function startRanges({ unit }: Rig): StartRanges {
  const driving = (unit?.ranges ?? []).flatMap((r) => {
    const { ratio } = solveUnit(unit!, r.apply);
    return ratio ? [{ id: r.id, ratio: toNumber(ratio) }] : [];
  });
  const forward = driving.filter((d) => d.ratio > 0).sort((a, b) => b.ratio - a.ratio);
  return {
    first: forward[0]?.id ?? null,
    reverse: driving.find((d) => d.ratio < 0)?.id ?? null,
  };
}

/** Every check of this rig, those on the road first. */
export function checksOf(rig: Rig): Check[] {
  const { unit, converter, clutch, coupling, engine, vehicle } = rig;
  const kind = rigKind(rig);
  const ranges = unit?.ranges.map((r) => r.id) ?? [];
  const dogs = new Set(sleevesOf(rig));
  const geared = unit?.ranges.filter((r) => r.apply.some((id) => dogs.has(id))) ?? [];
  const oil = oilElements(rig);
  const lever = unit?.elements.filter((e) => e.kind === 'one-way').map((e) => e.id) ?? [];
  const { first, reverse } = startRanges(rig);
  const starts = [first, reverse].filter((id) => id !== null);
  const driving = unit?.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives') ?? [];
  const braking = kind === 'manual' || kind === 'coupling' ? [] : driving.map((r) => r.id);
  const pressures = [...(first ? ['idle', 'full'] : []), ...(reverse ? ['reverse'] : [])];
  return [
    ...each('road', ranges),
    ...each('coast', braking),
    ...each('listen', kind === 'coupling' ? [] : ranges),
    ...each(
      'gear-in',
      geared.map((r) => r.id),
    ),
    ...each('matched', clutch ? geared.map((r) => r.id) : []),
    ...each(
      'standing',
      geared.map((r) => r.id),
    ),
    ...(engine && vehicle && oil.length > 0 ? each('shift', shiftsOf(rig)) : []),
    ...(oil.length > 0 && engine ? each('delay', starts) : []),
    ...(converter && engine
      ? [
          checkOf('pull'),
          ...(converter.lockUpCapacity === undefined ? [] : [checkOf('cruise'), checkOf('stop')]),
          ...(vehicle ? [checkOf('top-speed'), checkOf('hot-run')] : []),
          ...each('stall', starts),
        ]
      : []),
    ...(oil.length > 0 ? [checkOf('level'), checkOf('fluid'), checkOf('pan')] : []),
    ...(oil.length > 0 ? each('pressure', pressures) : []),
    ...each('tap', oil),
    ...each('air', oil),
    ...(clutch
      ? [
          ...(engine && vehicle && unit
            ? [checkOf('slip-test'), checkOf('road-slip'), checkOf('start')]
            : []),
          checkOf('drag-test'),
          checkOf('pedal'),
          checkOf('play'),
          ...each('noise', NOISES),
          checkOf('gap'),
          checkOf('disc'),
        ]
      : []),
    ...(coupling
      ? [
          checkOf('circle'),
          checkOf('loose-start'),
          checkOf('flange'),
          checkOf('coil'),
          checkOf('drain'),
          checkOf('stack'),
        ]
      : []),
    ...each('sleeve', [...dogs]),
    ...each('hand', lever),
    ...each('teeth', unit?.gearsets.map((g) => g.id) ?? []),
    ...each('look', unit ? portTargets(unit) : []),
  ];
}
