import type { Unit } from '../geartrain';
import { demandsOf, type Demands } from './demands';
import { gearsOf, type Gears } from './gears';
import { throttlePressure } from './laws';
import { oiled, pathsOf, type OilPath } from './paths';
import {
  PAN,
  type HydraulicPart,
  type HydraulicPlan,
  type Line,
  type ThrottleBy,
  type Way,
} from './plan';
import { sizedElement } from './sizing';
import { timed } from './timing';
import { governorSizes, shiftValve, valveSizes } from './valveSizing';
import { USUAL_ENGINE, USUAL_PRESSURES, type PlanWishes } from './wishes';

/**
 * The plan of a unit's oil, made from its apply chart: every element that oil works gets a piston, a feed and, where a shift
 * brings it in, an accumulator. Which gears it is on in says on which shift valves it hangs, which lever places on which port of the
 * manual valve. Sizes follow from what the ranges ask of it; free choices are usual ones (memory).
 */
export function planFor(unit: Unit, wishes: PlanWishes = {}): HydraulicPlan {
  const gears = gearsOf(unit);
  const demands = demandsOf(unit, gears, wishes);
  return timed(drawn(unit, gears, demands, wishes), gears, demands);
}

/** The same before its shifts are timed, which takes most of the work: pressures and spools are those of the plan. */
export function untimedPlan(unit: Unit, wishes: PlanWishes = {}): HydraulicPlan {
  const gears = gearsOf(unit);
  return drawn(unit, gears, demandsOf(unit, gears, wishes), wishes);
}

function drawn(unit: Unit, gears: Gears, demands: Demands, wishes: PlanWishes): HydraulicPlan {
  const sheet = new Sheet();
  const byValves = shiftedBy(unit, gears, wishes) === 'valves';
  sheet.line('line', '');
  sheet.line('throttle', '');
  for (const element of oiled(unit)) addElement(sheet, unit, gears, demands, element, byValves);
  addSupply(sheet, gears, demands, wishes);
  if (byValves) addShiftValves(sheet, gears, demands, wishes);
  else addControl(sheet, gears, demands);
  if (wishes.lockUp) addLockUp(sheet, gears, demands, wishes, byValves);
  return {
    format: 'fair-sprocket/hydraulics',
    version: 1,
    id: `${unit.id.slice(0, 70)}-oil`,
    name: unit.name,
    unit: unit.id,
    lines: sheet.lines(),
    parts: sheet.parts,
  };
}

/** Where sleeves have to be moved before a clutch can close, no row of valves does it. */
function shiftedBy(unit: Unit, { forward }: Gears, wishes: PlanWishes): 'valves' | 'solenoids' {
  const dogs = new Set(unit.elements.filter((e) => e.kind === 'dog').map((e) => e.id));
  const sleeves = forward.some(({ range }) => range.apply.some((id) => dogs.has(id)));
  return sleeves ? 'solenoids' : (wishes.shifting ?? 'valves');
}

/** A plan being drawn. */
class Sheet {
  readonly parts: HydraulicPart[] = [];
  /** Lever places in which each port of the manual valve is open. */
  readonly ports = new Map<string, readonly string[]>();
  readonly up = new Map<number, Way[]>();
  readonly down = new Map<number, Way[]>();
  private readonly byId = new Map<string, Line>();

  line(id: string, name: string): string {
    if (!this.byId.has(id)) this.byId.set(id, { id, name });
    return id;
  }

  lines(): Line[] {
    return [...this.byId.values()];
  }

  port(levers: readonly string[]): string {
    const found = [...this.ports].find(([, had]) => had.join('\n') === levers.join('\n'))?.[0];
    if (found !== undefined) return found;
    const named = `port-${levers.map(plain).join('-')}`;
    const id = named.length > LONGEST || this.ports.has(named) ? `port-${this.ports.size}` : named;
    this.line(id, levers.join(' '));
    this.ports.set(id, levers);
    return id;
  }

  /** The passage behind a valve that stands up, or down. */
  past(valve: number, stands: 'up' | 'down', from: string): string {
    const ways = this[stands];
    const to = `${from}.${valve}${stands === 'up' ? 'u' : 'd'}`;
    this.line(to, this.byId.get(from)!.name);
    const had = ways.get(valve) ?? [];
    if (!had.some((w) => w.to === to)) ways.set(valve, [...had, { from, to }]);
    return to;
  }
}

/** Of an id that still says its lever places. */
const LONGEST = 40;
/** A lever place as part of an id. */
const plain = (lever: string): string => lever.replaceAll(/[^A-Za-z0-9]/g, '_').slice(0, 12);

const SOLENOID_OHM = 14;
const SOLENOID_ORIFICE = 1.2e-6;

function addElement(
  sheet: Sheet,
  unit: Unit,
  gears: Gears,
  demands: Demands,
  element: string,
  byValves: boolean,
): void {
  const most = gears.forward.length;
  const levers = gears.levers.filter((lever) =>
    unit.ranges.some((r) => r.lever === lever && r.apply.includes(element)),
  );
  const paths: OilPath[] = byValves
    ? pathsOf(element, gears)
    : levers.length > 0
      ? [{ element, levers, from: 1, to: most }]
      : [];
  const ends = paths.map((path) => {
    let at = sheet.port(path.levers);
    if (path.from > 1) at = sheet.past(path.from - 1, 'up', at);
    if (path.to < most) at = sheet.past(path.to, 'down', at);
    return at;
  });
  let source = ends[0];
  if (source === undefined) return;
  ends.slice(1).forEach((second, k) => {
    const to = sheet.line(`${element}.b${k + 1}`, element);
    sheet.parts.push({
      id: `ball-${element}-${k + 1}`,
      name: '',
      kind: 'shuttle',
      first: source!,
      second,
      to,
    });
    source = to;
  });
  if (!byValves) {
    const to = sheet.line(`${element}.s`, element);
    sheet.parts.push({
      id: `sol-${element}`,
      name: '',
      kind: 'solenoid',
      from: source,
      to,
      rests: 'closed',
      ohm: SOLENOID_OHM,
      orifice: SOLENOID_ORIFICE,
      opensIn: unit.ranges.filter((r) => r.apply.includes(element)).map((r) => r.id),
    });
    source = to;
  }
  const line = sheet.line(element, element);
  const { feed, piston, accumulator } = sizedElement(
    element,
    demands.capacity(element),
    askedByShift(gears, demands, element) ?? askedAtAll(unit, demands, element),
  );
  sheet.parts.push({ ...feed, from: source, to: line }, { ...piston, line });
  if (accumulator) sheet.parts.push({ ...accumulator, line });
}

/** N·m that the upshift which brings an element in asks of it. */
function askedByShift({ forward }: Gears, { timed: asked }: Demands, element: string) {
  const needs = forward.flatMap(({ range }, k) => {
    const before = forward[k - 1]?.range;
    if (!before || before.apply.includes(element) || !range.apply.includes(element)) return [];
    return [Math.max(asked(range.id, element), asked(before.id, element))];
  });
  return needs.length > 0 ? Math.max(...needs) : null;
}

/** N·m that the ranges ask of an element that only the lever brings in. */
const askedAtAll = (unit: Unit, { timed: asked }: Demands, element: string) =>
  Math.max(0, ...unit.ranges.map((r) => asked(r.id, element)));

const REGULATOR_AREA = 2e-4;
const REGULATOR_ORIFICE = 3e-6;
const RELIEF_OVER = 1.5;
/** m³/s that a clean filter lets through (memory). */
const MOST_SUCTION = 2.5e-3;
/** Throttle from which kick-down works. */
const KICK_DOWN_AT = 0.9;

/** Every law that ends at the same pressure with the throttle open. */
function throttleBy(kind: ThrottleBy['kind'], full: number): ThrottleBy {
  if (kind === 'modulator') {
    const land = 4e-5;
    // With the throttle closed the vacuum just takes the spring's force.
    return { kind, spring: full * land, diaphragm: (full * land) / 65e3, land };
  }
  return kind === 'cable'
    ? { kind, rest: 0, rise: full, slack: 0 }
    : { kind, points: [0, full / 3, (2 * full) / 3, full] };
}

function addSupply(sheet: Sheet, gears: Gears, demands: Demands, wishes: PlanWishes): void {
  const { pump, leak, idle, full, reverseBoost, throttleFull } = USUAL_PRESSURES;
  const backward = gears.levers.filter((lever) => demands.reverse.has(lever));
  // The regulator has to feel reverse even where no element is on in it alone.
  const reverse =
    [...sheet.ports].find(([, levers]) => levers.every((l) => backward.includes(l)))?.[0] ??
    (backward.length > 0 && sheet.ports.size > 0 ? sheet.port(backward) : undefined);
  const area = REGULATOR_AREA;
  const boosts = [{ line: 'throttle', area: (area * (full - idle)) / throttleFull }];
  if (reverse) boosts.push({ line: reverse, area: area * (1 - 1 / reverseBoost) });
  sheet.parts.push(
    {
      id: 'pump',
      name: '',
      kind: 'pump',
      to: 'line',
      volume: pump,
      slip: 0,
      leak: 0.4 * leak,
      suction: MOST_SUCTION,
    },
    {
      id: 'regulator',
      name: '',
      kind: 'regulator',
      line: 'line',
      area,
      spring: idle * area,
      boosts,
      orifice: REGULATOR_ORIFICE,
    },
    {
      id: 'relief',
      name: '',
      kind: 'relief',
      line: 'line',
      opensAt: RELIEF_OVER * full * reverseBoost,
      orifice: REGULATOR_ORIFICE,
    },
    ...(['cooler', 'lubrication'] as const).map((id): HydraulicPart => ({
      id,
      name: id === 'cooler' ? 'Cooler' : 'Lubrication',
      kind: 'restriction',
      from: 'line',
      to: PAN,
      orifice: 0.3 * leak,
    })),
    {
      id: 'throttle-valve',
      name: '',
      kind: 'throttle-valve',
      from: 'line',
      to: 'throttle',
      by: throttleBy(wishes.throttle ?? 'cable', throttleFull),
    },
  );
  if (sheet.ports.size === 0) return;
  sheet.parts.push({
    id: 'manual',
    name: '',
    kind: 'manual-valve',
    from: 'line',
    places: gears.levers.map((lever) => ({
      lever,
      opens: [...sheet.ports].filter(([, levers]) => levers.includes(lever)).map(([id]) => id),
    })),
  });
}

function addShiftValves(sheet: Sheet, gears: Gears, demands: Demands, wishes: PlanWishes): void {
  const { mainLever } = gears;
  if (mainLever === null || demands.shifts.length === 0) return;
  // The port with most places among those that press in the main one: there the governor takes its oil.
  const drive = [...sheet.ports]
    .filter(([, levers]) => levers.includes(mainLever))
    .reduce<[string, readonly string[]] | null>(
      (best, port) => (best && best[1].length >= port[1].length ? best : port),
      null,
    )?.[0];
  if (drive === undefined) return;
  sheet.line('governor', '');
  sheet.line('kick', '');
  const governor = governorSizes(demands.shifts);
  const by = throttleBy(wishes.throttle ?? 'cable', USUAL_PRESSURES.throttleFull);
  sheet.parts.push(
    {
      id: 'governor',
      name: '',
      kind: 'governor',
      from: drive,
      to: 'governor',
      ...governor,
    },
    {
      id: 'kick-down',
      name: '',
      kind: 'kick-down-valve',
      from: 'line',
      to: 'kick',
      opensAt: KICK_DOWN_AT,
    },
  );
  demands.shifts.forEach((points, k) => {
    const gear = k + 1;
    sheet.parts.push({
      ...shiftValve(gear, valveSizes(points, governor, throttlePressure({ by }, 0)), drive),
      up: sheet.up.get(gear) ?? [],
      down: sheet.down.get(gear) ?? [],
    });
  });
}

function addControl(sheet: Sheet, gears: Gears, { shifts }: Demands): void {
  if (gears.forward.length < 2) return;
  sheet.parts.push({
    id: 'control',
    name: '',
    kind: 'control',
    kickDown: KICK_DOWN_AT,
    shifts: shifts.map(({ light, full, lightDown }, k) => ({
      gear: k + 1,
      up: [light, full],
      down: [lightDown, (full * lightDown) / light],
    })),
    learned: [],
  });
}

/** Capacity of the lock-up clutch over the engine's torque, Pa of the inside over the release chamber for which it is sized, and N·m for each N (memory). */
const LOCK_MARGIN = 1.5;
const LOCK_PRESS = 350e3;
const LOCK_TORQUE_PER_FORCE = 0.02;
/** k between the clutch and its cover while it is off. */
const LOCK_GAP = 1.5e-6;
/** Into the converter's inside, over the cooler's. */
const CONVERTER_FEED = 4;
/** Speeds of the lock-up over those of the shift below it, and back (memory). */
const LOCKS_AT = { light: 1.2, full: 1.06, down: 0.82 };
/** m² of the land of a valve that a solenoid's signal pushes: it flips at half of the least line pressure. */
const SIGNAL_LAND = 1e-4;

/** The converter's clutch, from the second-highest gear up: its valve moved by the governor past that gear's shift valve, or by a signal. */
function addLockUp(
  sheet: Sheet,
  { forward }: Gears,
  { shifts }: Demands,
  wishes: PlanWishes,
  byValves: boolean,
): void {
  const below = Math.max(1, forward.length - 2);
  const points = shifts[below - 1];
  if (!points) return;
  const locks = {
    light: LOCKS_AT.light * points.light,
    full: LOCKS_AT.full * points.full,
    lightDown: LOCKS_AT.light * LOCKS_AT.down * points.light,
  };
  const [release, apply] = [sheet.line('release', ''), sheet.line('inside', '')];
  // Up, the chamber before the clutch drains.
  const ways = { up: [], down: [{ from: 'line', to: release }] };
  const governor = sheet.parts.find((p) => p.kind === 'governor');
  const behind = sheet.parts.find((p) => p.kind === 'shift-valve' && p.gear === below);
  if (byValves && governor?.kind === 'governor' && behind?.kind === 'shift-valve') {
    const pushes = sheet.line(`governor.${below}u`, '');
    behind.up.push({ from: 'governor', to: pushes });
    const by = throttleBy(wishes.throttle ?? 'cable', USUAL_PRESSURES.throttleFull);
    const { gear: _gear, ...spool } = shiftValve(
      below,
      valveSizes(locks, governor, throttlePressure({ by }, 0)),
      'line',
    );
    sheet.parts.push({
      ...spool,
      governor: { ...spool.governor, line: pushes },
      id: 'lock-up-valve',
      kind: 'lock-up-valve',
      ...ways,
    });
  } else {
    const signal = sheet.line('signal', '');
    sheet.parts.push(
      {
        id: 'sol-lock-up',
        name: 'Lock-up solenoid',
        kind: 'solenoid',
        from: 'line',
        to: signal,
        rests: 'closed',
        ohm: SOLENOID_OHM,
        orifice: SOLENOID_ORIFICE,
        opensIn: forward.slice(below).map((f) => f.range.id),
        above: {
          on: [locks.light, locks.full],
          off: [locks.lightDown, LOCKS_AT.down * locks.full],
        },
      },
      {
        id: 'lock-up-valve',
        name: '',
        kind: 'lock-up-valve',
        governor: { line: signal, area: SIGNAL_LAND },
        throttle: { line: 'throttle', area: 0 },
        difference: { line: signal, area: 0 },
        spring: (SIGNAL_LAND * USUAL_PRESSURES.idle) / 2,
        springRise: 0,
        ...ways,
      },
    );
  }
  sheet.parts.push({
    id: 'lock-up-clutch',
    name: '',
    kind: 'lock-up-clutch',
    release,
    apply,
    area:
      (LOCK_MARGIN * (wishes.inputNm ?? USUAL_ENGINE.inputNm)) /
      (LOCK_PRESS * LOCK_TORQUE_PER_FORCE),
    torquePerForce: LOCK_TORQUE_PER_FORCE,
    gap: LOCK_GAP,
  });
  const cooler = sheet.parts.find((p) => p.id === 'cooler');
  if (cooler?.kind !== 'restriction') return;
  sheet.parts.push({
    id: 'converter-feed',
    name: 'To converter',
    kind: 'restriction',
    from: 'line',
    to: apply,
    orifice: CONVERTER_FEED * cooler.orifice,
  });
  // What comes out of the converter goes through the cooler.
  cooler.from = apply;
}
