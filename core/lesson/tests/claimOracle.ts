import { conditionIn, freeParts, planOfJob, selectivesOf, type Job } from '../../assembly';
import type { GearSetSetup, Port, Unit } from '../../geartrain';
import { toNumber } from '../../numerics';
import { compileTrain, solveSpeeds, solveUnit } from '../../geartrain';
import type { AnyClaim, Subject } from '../families/families';
import type { Windowed } from '../families/clutch/claims';
import type { GearboxRig } from '../families/gearbox/kinds';
import type { OilRig } from '../families/oil/kinds';
import type { Does } from '../families/unit/claims';
import type { Question } from '../question';

/**
 * Claims worked out anew, by other means than those that made them: one set by Willis's equation in floating point, a unit
 * by trying which of its one-way clutches hold, the rest by what must balance. `null` where it has no means of its own.
 */
export function claimIsSo(claim: AnyClaim, question: Question, subject: Subject): boolean | null {
  const checks = checksFor(question, subject) as Readonly<
    Record<string, ((claim: AnyClaim) => boolean | null) | undefined>
  >;
  return checks[claim.claim]?.(claim) ?? null;
}

type Checks = {
  readonly [C in AnyClaim['claim']]?: (claim: Extract<AnyClaim, { claim: C }>) => boolean | null;
};

function checksFor(question: Question, subject: Subject): Checks {
  switch (subject.kind) {
    case 'gear-set':
      return setChecks(question, subject.setup);
    case 'unit':
      return unitChecks(subject.unit);
    case 'strip-down':
      return stripChecks(subject.subject.job);
    case 'gearbox':
      return gearboxChecks(question, subject.rig);
    case 'oil':
      return oilChecks(subject.rig);
    case 'converter':
    case 'clutch':
    case 'fault':
    case 'own':
      return BALANCES;
  }
}

const near = (a: number, b: number): boolean => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a));

/** Speeds of sun, carrier and ring for one turn of what drives (Willis 1841: S·ωs ± R·ωr = (S ± R)·ωc); published, from memory. */
function willis({ set }: GearSetSetup, drives: Port, driven: Port): Record<Port, number> {
  const { sun, ring } = set.teeth;
  const sign = set.kind === 'single-pinion' ? 1 : -1;
  const weight: Record<Port, number> = { sun, ring: sign * ring, carrier: -(sun + sign * ring) };
  // One is held: the other two are left in the sum.
  const speeds: Record<Port, number> = { sun: 0, carrier: 0, ring: 0 };
  speeds[drives] = 1;
  speeds[driven] = -weight[drives] / weight[driven];
  return speeds;
}

function setChecks(question: Question, setup: GearSetSetup): Checks {
  const { roles, set } = setup;
  const third = (['sun', 'carrier', 'ring'] as const).find(
    (p) => p !== roles.drives && p !== roles.driven,
  )!;
  const speeds =
    roles.reaction === 'locked'
      ? { sun: 1, carrier: 1, ring: 1 }
      : roles.reaction === 'held'
        ? willis(setup, roles.drives, roles.driven)
        : null;
  const ratio = speeds && 1 / speeds[roles.driven];
  return {
    'turns-for-one': (claim) =>
      speeds !== null &&
      near(claim.turns, Math.abs(speeds[claim.other] / speeds[claim.part])) &&
      claim.way === (speeds[claim.other] * speeds[claim.part] > 0 ? 'same' : 'opposite'),
    carrier: (claim) =>
      (claim.way === 'held') === (roles.reaction === 'held' && third === 'carrier'),
    meshes: (claim) => third === 'carrier' && roles.reaction === 'held' && set.kind === claim.way,
    formula: (claim) => ratio !== null && near(Math.abs(ratio), claim.ratio),
    'right-with': (claim) => {
      const other = willis(setup, claim.part, claim.other);
      return near(claim.ratio, Math.abs(1 / other[claim.other])) && other[claim.third] === 0;
    },
    gives: (claim) => {
      const other = willis(setup, claim.part, claim.other);
      return near(claim.ratio, Math.abs(1 / other[claim.other])) && other[claim.third] === 0;
    },
    'with-plain': (claim) => {
      const plain = willis(
        { ...setup, set: { kind: 'single-pinion', teeth: set.teeth } },
        roles.drives,
        roles.driven,
      );
      return set.kind === 'double-pinion' && near(claim.ratio, Math.abs(1 / plain[roles.driven]));
    },
    torques: (claim) =>
      ratio !== null &&
      near(claim.torqueOut, Math.abs(ratio) * setup.inputTorqueNm) &&
      near(claim.torqueHeld, Math.abs(ratio - 1) * setup.inputTorqueNm),
    'part-speeds': (claim) =>
      speeds !== null &&
      (['sun', 'carrier', 'ring'] as const).every((p) => near(claim[p], Math.abs(speeds[p]))),
    'pinion-speed': (claim) => {
      if (speeds === null) return false;
      const gear = set.kind === 'single-pinion' ? set.teeth.pinion : set.teeth.inner;
      const rolled = (-(speeds.sun - speeds.carrier) * set.teeth.sun) / gear!;
      const rpm = setup.inputSpeedRpm;
      return (
        near(claim.against, Math.abs(rolled) * rpm) &&
        near(claim.total, Math.abs(rolled + speeds.carrier) * rpm)
      );
    },
    'as-one': () => roles.reaction === 'locked',
    'nothing-held': () => roles.reaction === 'free',
    'one-over': (claim) =>
      question.kind === 'number' && ratio !== null && near(claim.ratio, Math.abs(ratio)),
  };
}

/**
 * Whether parts of a train of plain meshes hold each other still: every shaft's speed as a multiple of its neighbour's, gone
 * round by the meshes and what is in; where two ways round give two speeds, only standing still is left.
 */
function heldStill({ gearsets, elements }: Unit, apply: readonly string[]): boolean {
  const links: [string, string, number][] = [
    ...gearsets.flatMap((g): [string, string, number][] =>
      g.kind === 'mesh'
        ? [[g.first, g.second, (g.internal ? 1 : -1) * (g.teeth.first / g.teeth.second)]]
        : [],
    ),
    ...elements
      .filter((e) => apply.includes(e.id))
      .map((e): [string, string, number] => [e.between[0], e.between[1], 1]),
  ];
  const speeds = new Map<string, number>();
  for (const [start] of links) {
    if (speeds.has(start)) continue;
    speeds.set(start, 1);
    for (let rounds = 0; rounds < links.length; rounds++)
      for (const [a, b, times] of links) {
        if (speeds.has(a) && !speeds.has(b)) speeds.set(b, speeds.get(a)! * times);
        if (speeds.has(b) && !speeds.has(a)) speeds.set(a, speeds.get(b)! / times);
      }
  }
  return links.some(([a, b, times]) => !near(speeds.get(a)! * times, speeds.get(b)!));
}

function gearboxChecks(question: Question, { unit, vehicle }: GearboxRig): Checks {
  return {
    'in-at-once': (claim) => heldStill(unit, claim.apply) === (claim.way === 'bind'),
    'same-sleeve': (claim) =>
      (unit.sleeves ?? []).some(
        (s) => s.id === claim.sleeve && [claim.side, claim.other].every((x) => s.sides.includes(x)),
      ),
    'ramps-apart': ({ ramps: { off, on }, ms, way }) => {
      const middle = (r: { at: number; over: number }) => r.at + r.over / 2;
      const behind = middle(on) - middle(off);
      return Math.abs(Math.abs(behind) * 1000 - ms) <= 0.51 && behind > 0 === (way === 'gap');
    },
    // As the speed has it at that time, the engine turns past where it changes (from memory: 2400 up, 1100 down).
    'speed-asks': ({ at, from }) => {
      if (question.kind !== 'set-waiting' || !vehicle) return null;
      const [ratio] = possible(unit, unit.ranges.find((r) => r.id === from)!.apply);
      const k = Math.min(7, Math.floor(at / 5));
      const speed =
        question.speeds[k]! + ((at - 5 * k) / 5) * (question.speeds[k + 1]! - question.speeds[k]!);
      const rpm =
        ((speed * vehicle.finalDrive) / vehicle.tyreRadiusM) * Math.abs(ratio!) * (30 / Math.PI);
      return rpm > 2400 || rpm < 1100;
    },
  };
}

/** The ratios that a row can have, over every choice of one-way clutches that hold. */
function possible(unit: Unit, apply: readonly string[]): number[] {
  const train = compileTrain(unit);
  const oneWays = unit.elements.filter((e) => e.kind === 'one-way').map((e) => e.id);
  const bit = (id: string) => 1 << train.elementIds.indexOf(id);
  const on = apply.reduce((mask, id) => mask | bit(id), 0);
  const out = new Float64Array(train.members.length);
  const ratios: number[] = [];
  for (let choice = 0; choice < 1 << oneWays.length; choice++) {
    const mask = oneWays.reduce((m, id, k) => (choice & (1 << k) ? m | bit(id) : m), on);
    if (!solveSpeeds(train, mask, out)) continue;
    const [o, i] = [
      out[train.members.indexOf(unit.output)]!,
      out[train.members.indexOf(unit.input)]!,
    ];
    if (Math.abs(o) > 1e-9) ratios.push(i / o);
  }
  return ratios;
}

function unitChecks(unit: Unit): Checks {
  const drivesSo = ({ outcome, ratio, way, apply }: Does): boolean | null => {
    if (outcome !== 'drives' || ratio === null) return null;
    return possible(unit, apply).some((r) => near(r, way === 'opposite' ? -ratio : ratio));
  };
  return {
    does: drivesSo,
    without: drivesSo,
    'without-one-ways': drivesSo,
    'range-ratio': (claim) => {
      const apply = unit.ranges.find((r) => r.id === claim.range)?.apply ?? [];
      return possible(unit, apply).some((r) => near(Math.abs(r), claim.ratio));
    },
    'to-case': (claim) =>
      unit.elements.some((e) => e.id === claim.element && e.between.includes('case')),
    stages: (claim) =>
      near(
        claim.factors.reduce((a, b) => a * b, 1),
        claim.ratio,
      ),
  };
}

/** A hair, m. */
const HAIR = 1e-6;

const liesSo = ({ value, low, high, way }: Windowed): boolean =>
  low < high && way === (value < low - HAIR ? 'under' : value > high + HAIR ? 'over' : 'inside');

/** What goes in comes out; a window has its ends the right way round; a reading lies where it is said to lie. */
const BALANCES: Checks = {
  running: (claim) =>
    near(claim.torqueOut, claim.multiplies * claim.torqueIn) &&
    claim.speedOut <= claim.speedIn + 1e-9,
  power: (claim) => near(claim.powerIn, claim.powerOut + claim.heat),
  first: (claim) => claim.time < claim.laterTime,
  play: liesSo,
  centre: liesSo,
  clearance: liesSo,
  holds: (claim) => (claim.way === 'more') === claim.value >= claim.asked,
  faces: (claim) => near(2 * claim.oneFace, claim.value),
  'could-hold': (claim) => claim.load <= claim.before,
  'order-leaves': (claim) => claim.value < claim.low || claim.value > claim.high,
  'order-brings': (claim) => claim.value >= claim.low && claim.value <= claim.high,
};

/** Jobs by what the unit file says of an element, and what an order, a sum or a thickness must come to. */
function stripChecks(job: Job): Checks {
  const plan = planOfJob(job)!;
  // All that can leave while one part stays: what is left can only come after it.
  const after = (first: string): Set<string> => {
    const gone = new Set<string>();
    for (;;) {
      const next = freeParts(plan, gone).filter((id) => id !== first);
      if (next.length === 0) break;
      for (const id of next) gone.add(id);
    }
    return new Set(plan.parts.map((p) => p.id).filter((id) => !gone.has(id)));
  };
  const selective = (part: string) => selectivesOf(plan).find((s) => s.part === part);
  return {
    'comes-first': (claim) => after(claim.first).has(claim.part),
    'gap-with': (claim) => {
      const own = selective(claim.part);
      const on = plan.parts.find((p) => p.id === own?.on);
      // Worn plates are not set: with new ones in.
      const gap = on && conditionIn({ ...job, hidden: [] }, on).values[own!.measure];
      // The thicker by so much, the tighter by as much; the gap is told to a hundredth.
      return gap !== undefined && Math.abs(claim.gap + claim.size - own!.now - gap) < 0.006;
    },
    'gap-wanted': (claim) => claim.least < claim.most,
    'lies-before': (claim) => claim.part !== claim.other,
    has: (claim) => job.hidden.some((h) => h.part === claim.part && h.damage === claim.damage),
    'nothing-wrong': (claim) => job.hidden.every((h) => h.part !== claim.part),
    changing: (claim) => claim.cost >= job.prices.rate / 10,
    'coming-back': (claim) => claim.cost > job.prices.day * job.prices.daysLost,
  };
}

/** Of oil: a valve stands up where more pushes it up than down; an engine turns by its gear's ratio, worked out by tooth counts elsewhere. */
function oilChecks({ unit }: OilRig): Checks {
  return {
    'spool-weighed': ({ governor, wants, way }) => governor > wants === (way === 'up'),
    'engine-in-gear': ({ ratio, rpm, engine }) =>
      near(engine, rpm * ratio) &&
      unit.ranges.some((r) => {
        const turns = solveUnit(unit, r.apply).ratio;
        return turns !== null && near(toNumber(turns), ratio);
      }),
    floored: ({ from, to, way }) =>
      to <= from &&
      (from === to) === ['control-keeps', 'first-already', 'valve-stays-up'].includes(way),
  };
}
