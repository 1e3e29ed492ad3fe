import type { Unit } from '../geartrain';
import { demandsOf, type Demands } from './demands';
import { gearsOf, type Gears } from './gears';
import { throttlePressure } from './laws';
import { oiled, pathsOf, type OilPath } from './paths';
import { PAN, type HydraulicPart, type HydraulicPlan } from './plan';
import { addLockUp } from './generateLockUp';
import { Sheet, SOLENOID_OHM, SOLENOID_ORIFICE, throttleBy } from './sheet';
import { sizedElement } from './sizing';
import { timed } from './timing';
import { governorSizes, shiftValve, valveSizes } from './valveSizing';
import { USUAL_PRESSURES, type PlanWishes } from './wishes';

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
