import { NOISE_TESTS } from '../clutch';
import { solveUnit } from '../geartrain';
import { toNumber } from '../numerics';
import { portTargets } from './applyFault';
import { oilElements, rigKind, sleeveSides, type Rig, type RigKind } from './rig';
import type { Hazard } from './hazards';
import type { Needs } from './shopState';

/**
 * What can be asked of a machine: its own minutes (those of a usual shop; common practice, no source), the state that it
 * needs (`shopState.ts`), and the standing cautions that go with it.
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

export interface CheckSpec {
  /** Of the check itself; the way to the state that it needs comes on top. */
  readonly minutes: number;
  readonly needs: Needs;
  readonly hazards: readonly Hazard[];
  /** How closely a figure is read: a share of it, or so much in its own unit, whichever is more. */
  readonly reads: { readonly share: number; readonly least: number };
}

const EXACTLY: CheckSpec['reads'] = { share: 0, least: 0 };
const spec = (
  minutes: number,
  needs: Needs,
  hazards: readonly Hazard[] = [],
  reads: CheckSpec['reads'] = EXACTLY,
): CheckSpec => ({ minutes, needs, hazards, reads });

const onRoad = (minutes: number, reads?: CheckSpec['reads']): CheckSpec =>
  spec(minutes, { place: 'road' }, ['road-test'], reads);
const STANDING: Needs = { place: 'floor', engine: 'off' };
const IDLING: Needs = { place: 'floor', engine: 'runs' };
const WARM: Needs = { ...IDLING, fluid: 'warm' };
const ON_STANDS: Needs = { place: 'stands', engine: 'off' };
const PAN_OFF: Needs = { ...ON_STANDS, pan: 'off' };
const INSIDE: readonly Hazard[] = [
  'heavy-parts',
  'lifting',
  'park-free',
  'engine-hung',
  'springs',
  'solvents',
];

export const CHECK_SPECS: Readonly<Record<CheckKind, CheckSpec>> = {
  road: onRoad(4, { share: 0.03, least: 0.2 }),
  coast: onRoad(4),
  listen: onRoad(3),
  shift: onRoad(5),
  delay: spec(2, IDLING, ['lurch'], { share: 0.15, least: 0.08 }),
  pull: onRoad(4),
  cruise: onRoad(8),
  stop: onRoad(3),
  'top-speed': onRoad(15, { share: 0.05, least: 0 }),
  'hot-run': onRoad(25, { share: 0, least: 4 }),
  stall: spec(6, WARM, ['stall-test', 'read-warm'], { share: 0.015, least: 0 }),
  level: spec(4, WARM, ['hot-fluid', 'read-warm']),
  fluid: spec(2, { place: 'floor' }, ['hot-fluid']),
  pan: spec(8, PAN_OFF, ['lifting', 'hot-fluid']),
  pressure: spec(15, WARM, ['stall-test', 'hot-fluid', 'read-warm'], { share: 0.05, least: 20e3 }),
  tap: spec(22, WARM, ['hot-fluid', 'read-warm'], { share: 0.08, least: 20e3 }),
  air: spec(35, PAN_OFF, ['lifting', 'hot-fluid', 'compressed-air']),
  hand: spec(15, { unit: 'open' }, INSIDE),
  look: spec(20, { unit: 'open' }, INSIDE),
  teeth: spec(15, { unit: 'open' }, INSIDE),
  'gear-in': onRoad(3),
  matched: onRoad(4),
  standing: spec(2, STANDING),
  sleeve: spec(15, { unit: 'open' }, INSIDE),
  'slip-test': spec(3, IDLING, ['stall-test', 'lurch']),
  'road-slip': onRoad(8),
  'drag-test': spec(3, IDLING, ['lurch']),
  pedal: spec(1, STANDING),
  play: spec(2, STANDING, [], { share: 0, least: 3e-3 }),
  gap: spec(15, ON_STANDS, ['lifting', 'battery'], { share: 0, least: 0.2e-3 }),
  noise: spec(2, IDLING),
  start: onRoad(4),
  disc: spec(45, { unit: 'out' }, [
    'heavy-parts',
    'lifting',
    'park-free',
    'engine-hung',
    'battery',
    'last-bolt',
    'springs',
    'dust',
    'solvents',
  ]),
  flange: spec(15, ON_STANDS, ['lifting', 'park-free'], { share: 0.1, least: 3 }),
  circle: onRoad(5),
  'loose-start': onRoad(8),
  coil: spec(6, ON_STANDS, ['lifting'], { share: 0.1, least: 0.2 }),
  drain: spec(12, ON_STANDS, ['lifting', 'hot-fluid']),
  stack: spec(
    25,
    { unit: 'open' },
    ['heavy-parts', 'lifting', 'park-free', 'springs', 'solvents'],
    {
      share: 0,
      least: 0.15e-3,
    },
  ),
};

export interface Check {
  /** `road D2`, `air C1`, `stall D1`, `fluid`. */
  readonly id: string;
  readonly kind: CheckKind;
  /** Range, element, link, gear set or place; empty where there is only one. */
  readonly target: string;
  readonly machine: RigKind;
  /** Of the check itself. */
  readonly minutes: number;
  readonly needs: Needs;
  /** Made on stands, and with the unit out. */
  readonly lift: boolean;
  readonly removal: boolean;
}

type Maker = (kind: CheckKind, target?: string) => Check;

const makerOf =
  (machine: RigKind): Maker =>
  (kind, target = '') => {
    const { minutes, needs } = CHECK_SPECS[kind];
    return {
      id: target ? `${kind} ${target}` : kind,
      kind,
      target,
      machine,
      minutes,
      needs,
      lift: needs.place === 'stands' || needs.unit !== undefined,
      removal: needs.unit !== undefined,
    };
  };

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

/** The cautions of one check: a range that is not driven in is tried standing, and an idling gauge needs no stall. */
export function hazardsOf({ kind, target, needs }: Check): readonly Hazard[] {
  if ((kind === 'road' || kind === 'listen') && needs.place === 'floor') return ['lurch'];
  const { hazards } = CHECK_SPECS[kind];
  return kind === 'pressure' && target === 'idle'
    ? hazards.filter((h) => h !== 'stall-test')
    : hazards;
}

/** Standing, foot on the brake: what a range that should not drive needs. */
const AT_REST: Needs = { place: 'floor', engine: 'runs' };

/** Every check of this rig, those on the road first. */
export function checksOf(rig: Rig): Check[] {
  const { unit, converter, clutch, coupling, engine, vehicle } = rig;
  const kind = rigKind(rig);
  const checkOf = makerOf(kind);
  const each = (of: CheckKind, targets: readonly string[]): Check[] =>
    targets.map((target) => checkOf(of, target));
  const ranges = unit?.ranges.map((r) => r.id) ?? [];
  const dogs = new Set(sleeveSides(rig));
  const geared = unit?.ranges.filter((r) => r.apply.some((id) => dogs.has(id))) ?? [];
  const rolling = geared.filter((r) => r.id !== startRanges(rig).reverse).map((r) => r.id);
  const oil = oilElements(rig);
  const lever = unit?.elements.filter((e) => e.kind === 'one-way').map((e) => e.id) ?? [];
  const driving = unit?.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives') ?? [];
  const drives = (id: string) => driving.some((r) => r.id === id);
  const inRange = (of: CheckKind, id: string): Check =>
    drives(id) ? checkOf(of, id) : { ...checkOf(of, id), needs: AT_REST };
  const { first, reverse } = startRanges(rig);
  const starts = [first, reverse].filter((id) => id !== null);
  const all = driving.map((r) => r.id);
  // With sleeves, one may come out as the foot is lifted; in reverse nobody lets it run on.
  const onOverrun = kind === 'coupling' ? [] : kind === 'manual' ? rolling.filter(drives) : all;
  const pressures = [...(first ? ['idle', 'full'] : []), ...(reverse ? ['reverse'] : [])];
  return [
    ...ranges.map((id) => inRange('road', id)),
    ...each('coast', onOverrun),
    ...(kind === 'coupling' ? [] : ranges.map((id) => inRange('listen', id))),
    // Reverse goes in at a standstill only.
    ...each('gear-in', rolling),
    ...each('matched', clutch ? rolling : []),
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
