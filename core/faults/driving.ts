import {
  dragTest,
  goesIn,
  jumpsOutAbove,
  jumpsOutOnCoastAbove,
  SLEEVE_AS_BUILT,
  type GoesIn,
} from '../shift';
import type { Motion, Range, Settled, Unit } from '../geartrain';
import { SAME_ANSWER } from '../numerics';
import { AT_ONCE, loadsOf, type Loads } from './loads';
import type { Machine } from './machine';
import { outcomesOf, type Outcomes } from './outcomes';
import { oilElements, sleeveSides, type Rig } from './rig';
import { soundUnit, type SoundUnit } from './soundUnit';

/** What a driver meets in a range, computed from the machine as it is, against the unit as it was made. */
export type DriveSymptom =
  | 'right'
  | 'wrong-ratio'
  | 'wrong-way'
  | 'neutral'
  | 'binds'
  | 'moves'
  | 'flares'
  | 'jumps-out';
export const DRIVE_SYMPTOMS: readonly DriveSymptom[] = [
  'right',
  'neutral',
  'wrong-ratio',
  'flares',
  'binds',
  'jumps-out',
  'moves',
  'wrong-way',
];
export type CoastSymptom = 'right' | 'no-braking' | 'brakes' | 'binds' | 'jumps-out';
export type Heard = 'quiet' | 'whine' | 'growl';

export interface SymptomCell {
  readonly range: string;
  readonly drive: DriveSymptom;
  /** ω_in/ω_out; `null` unless it drives. */
  readonly ratio: number | null;
  /** Share of full load from which it flares or jumps out; `null` otherwise. */
  readonly above: number | null;
  readonly coast: CoastSymptom;
  readonly heard: Heard;
  /** How its sleeves go in on the move. */
  readonly goesIn: GoesIn;
}

export interface Driving {
  readonly unit: Unit;
  readonly loads: Loads;
  readonly sound: SoundUnit;
  /** @throws Error when the unit has no such range */
  readonly cell: (machine: Machine, range: string) => SymptomCell;
  readonly cells: (machine: Machine) => SymptomCell[];
}

interface Parts {
  readonly rig: Rig;
  readonly unit: Unit;
  readonly loads: Loads;
  readonly outcomes: Outcomes;
  readonly sound: SoundUnit;
  readonly oiled: readonly string[];
  readonly sleeves: readonly string[];
  /** N·m with which the dry clutch drags on. */
  readonly dragOf: (machine: Machine) => number;
}

/** @throws Error when the rig has no unit, or one too large to tabulate */
export function drivingOf(rig: Rig): Driving {
  const { unit } = rig;
  if (!unit) throw new Error('drivingOf: expected a rig with a unit');
  const loads = loadsOf(rig);
  const outcomes = outcomesOf(rig, unit);
  const sound = soundUnit(unit, outcomes, loads);
  const drags = new WeakMap<object, number>();
  const parts: Parts = {
    rig,
    unit,
    loads,
    outcomes,
    sound,
    oiled: oilElements(rig),
    sleeves: sleeveSides(rig),
    dragOf({ clutch }) {
      if (!rig.clutch) return 0;
      if (!drags.has(clutch)) drags.set(clutch, dragTest(rig.clutch, clutch).drag);
      return drags.get(clutch)!;
    },
  };
  const cell = (machine: Machine, id: string): SymptomCell => {
    const range = unit.ranges.find((r) => r.id === id);
    if (!range) throw new Error(`drivingOf: expected a range of "${unit.id}", got "${id}"`);
    return cellOf(parts, machine, range);
  };
  return {
    unit,
    loads,
    sound,
    cell,
    cells: (machine) => unit.ranges.map((r) => cellOf(parts, machine, r)),
  };
}

function cellOf(parts: Parts, machine: Machine, range: Range): SymptomCell {
  const { outcomes, sound } = parts;
  const goes = sleevesGoIn(parts, machine, range);
  let gone = goes === 'refuses' ? refusing(parts, machine, range) : 0;
  let now = outcomes.settled(machine, range, 'drive', gone);
  let lets = letsGo(parts, machine, range, now);
  // What slips at the lightest load never takes hold: the rest has to do without it.
  if (lets.atOnce !== 0) {
    gone |= lets.atOnce;
    now = outcomes.settled(machine, range, 'drive', gone);
    lets = letsGo(parts, machine, range, now);
  }
  const plainly = driveSymptom(sound.motionOf(range.id).drive, now.motion);
  const drive = lets.first && plainly === 'right' ? lets.first.symptom : plainly;
  return {
    range: range.id,
    drive,
    ratio: now.motion.outcome === 'drives' ? now.motion.ratio : null,
    above: lets.first && drive === lets.first.symptom ? lets.first.above : null,
    coast: coastOf(parts, machine, range, gone),
    heard: drive === 'neutral' || drive === 'binds' ? 'quiet' : heardIn(parts, machine, range),
    goesIn: goes,
  };
}

const SAME_RATIO = 100 * SAME_ANSWER;

/** What a driver meets where a range does this now and did that as it was made. */
export function driveSymptom(was: Motion, now: Motion): DriveSymptom {
  if (now.outcome === 'drives') {
    if (was.outcome !== 'drives') return 'moves';
    if (now.ratio * was.ratio < 0) return 'wrong-way';
    const same = Math.abs(now.ratio - was.ratio) <= SAME_RATIO * Math.abs(was.ratio);
    return same ? 'right' : 'wrong-ratio';
  }
  if (now.outcome === was.outcome) return 'right';
  return now.outcome === 'neutral' ? 'neutral' : 'binds';
}

interface LetsGo {
  readonly above: number;
  readonly symptom: 'flares' | 'jumps-out';
}

/** What lets go first as the load rises, and the elements that do so at once. */
function letsGo(
  parts: Parts,
  machine: Machine,
  range: Range,
  now: Settled,
): { readonly first: LetsGo | null; readonly atOnce: number } {
  const { unit, outcomes } = parts;
  let [first, atOnce]: [LetsGo | null, number] = [null, 0];
  unit.elements.forEach(({ id }, k) => {
    const bit = outcomes.maskFor([id]);
    const torque = now.motion.torques[k]!;
    if (!(now.mask & bit) || Number.isNaN(torque) || torque === 0) return;
    for (const found of elementLetsGo(parts, machine, range, id, Math.abs(torque), now.motion)) {
      if (found.above <= AT_ONCE) atOnce |= bit;
      else if (!first || found.above < first.above) first = found;
    }
  });
  return { first, atOnce };
}

function elementLetsGo(
  { rig, loads, outcomes, sound, oiled }: Parts,
  machine: Machine,
  range: Range,
  id: string,
  factor: number,
  { ratio }: Motion,
): LetsGo[] {
  const found: LetsGo[] = [];
  const slips = (above: number | null) => {
    if (above !== null) found.push({ above, symptom: 'flares' });
  };
  if (oiled.includes(id) && holdsLess(machine, id) && !machine.always.includes(id))
    slips(loads.slipsFrom(machine, sound.loadOf(range.id), id, factor, sound.worstOf(id)));
  if (id === outcomes.main && rig.clutch && rig.vehicle && ratio > 0)
    slips(loads.drySlipsFrom(rig.clutch, machine, ratio * rig.vehicle.finalDrive));
  const sleeve = machine.sleeves.get(id);
  if (sleeve && sleeve.wear > 0) {
    const above = jumpsOutAbove(sleeve) / (factor * loads.engineNm);
    if (above <= 1) found.push({ above, symptom: 'jumps-out' });
  }
  return found;
}

/** Whether anything is different for what an oil element can hold. */
const holdsLess = (m: Machine, id: string): boolean =>
  m.lining.has(id) ||
  m.leaks.size > 0 ||
  m.oil.pumpWorn > 0 ||
  m.oil.missing > 0 ||
  m.oil.cable < 0 ||
  m.oil.regulator < 1;

/** Torque on coast over full torque: what the engine drags with. */
const COAST_LOAD = 0.2;

function coastOf(parts: Parts, machine: Machine, range: Range, gone: number): CoastSymptom {
  const { outcomes, sound } = parts;
  const now = outcomes.settled(machine, range, 'coast', gone);
  const was = sound.motionOf(range.id).coast.outcome;
  const { outcome } = now.motion;
  if (outcome === was && was !== 'drives') return 'right';
  if (outcome === was) {
    if (jumpsOnCoast(parts, machine, now)) return 'jumps-out';
    return slipsOnCoast(parts, machine, range, now) ? 'no-braking' : 'right';
  }
  if (outcome === 'drives') return 'brakes';
  return outcome === 'neutral' ? 'no-braking' : 'binds';
}

/** Whether the other flanks of a sleeve, which carry on the overrun, push it out. */
function jumpsOnCoast({ unit, loads, outcomes }: Parts, machine: Machine, now: Settled): boolean {
  return unit.elements.some(({ id }, k) => {
    const sleeve = machine.sleeves.get(id);
    if (!sleeve || !(now.mask & outcomes.maskFor([id]))) return false;
    const carries = Math.abs(now.motion.torques[k]!) * COAST_LOAD * loads.engineNm;
    return carries > jumpsOutOnCoastAbove(sleeve);
  });
}

function slipsOnCoast(
  { unit, loads, outcomes, sound, oiled }: Parts,
  machine: Machine,
  range: Range,
  now: Settled,
): boolean {
  const { apply, reverse } = sound.loadOf(range.id);
  return unit.elements.some(({ id }, k) => {
    if (!oiled.includes(id) || !holdsLess(machine, id)) return false;
    if (!(now.mask & outcomes.maskFor([id]))) return false;
    const line = loads.pressure(machine, apply, reverse, 0);
    const holds = loads.madeFor(sound.worstOf(id)) * loads.holdsShare(machine, id, line);
    return Math.abs(now.motion.torques[k]!) * COAST_LOAD * loads.fullNm > holds;
  });
}

function heardIn({ sound }: Parts, machine: Machine, range: Range): Heard {
  if (machine.roughSets.length + machine.roughShafts.length === 0) return 'quiet';
  const { sets, shafts } = sound.runningIn(range.id);
  if (machine.roughShafts.some((id) => shafts.has(id))) return 'growl';
  return machine.roughSets.some((id) => sets.has(id)) ? 'whine' : 'quiet';
}

/** Sleeves that carry torque in a range, as it was made. */
const sleevesIn = ({ sleeves, sound }: Parts, range: Range): string[] =>
  range.apply.filter((id) => sleeves.includes(id) && sound.factorOf(range.id, id) > 0);

/** The worst of the sleeves that carry torque in this range. */
function sleevesGoIn(parts: Parts, machine: Machine, range: Range): GoesIn {
  const drag = parts.dragOf(machine);
  if (machine.sleeves.size === 0 && drag === 0) return 'clean';
  const words = sleevesIn(parts, range).map((id) =>
    goesIn(machine.sleeves.get(id) ?? SLEEVE_AS_BUILT, false, drag),
  );
  return words.includes('refuses') ? 'refuses' : words.includes('grinds') ? 'grinds' : 'clean';
}

const refusing = (parts: Parts, machine: Machine, range: Range): number =>
  parts.outcomes.maskFor(
    sleevesIn(parts, range).filter(
      (id) => goesIn(machine.sleeves.get(id) ?? SLEEVE_AS_BUILT, false) === 'refuses',
    ),
  );
