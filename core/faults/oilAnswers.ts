import { characteristicOf, engineModel, matchEngine, weakened } from '../converter';
import { fillTime, pistonShare } from '../hydraulics';
import { stallReading, topSpeed, fluidOf, USUAL_FLUID } from '../vehicle';
import type { Range } from '../geartrain';
import type { Answer } from './answer';
import type { UnitBench } from './bench';
import { SOUND_MACHINE, type Machine } from './machine';
import { oilElements } from './rig';

/** What the checks of an oil-worked unit read: pressures, air, fluid, pan, stall. Everything is computed. */
const rangeOf = ({ driving }: UnitBench, id: string): Range =>
  driving.unit.ranges.find((r) => r.id === id)!;

/** Pressure where the gauge is screwed in: idling, at full throttle, or full throttle in reverse. */
export function pressureReading(bench: UnitBench, machine: Machine, where: string): Answer {
  const { driving, starts } = bench;
  const { first, reverse } = starts;
  const range = rangeOf(bench, where === 'reverse' ? reverse! : first!);
  const { apply, reverse: back } = driving.sound.loadOf(range.id);
  const load = where === 'idle' ? 0 : 1;
  const line = driving.loads.pressure(machine, applied(machine, apply), back, load);
  return { word: 'reads', figure: line };
}

const applied = ({ never, always, ringOut }: Machine, apply: readonly string[]): string[] => [
  ...apply.filter((id) => !never.includes(id) || ringOut.includes(id)),
  ...always,
];

/** Pressure at an element's own tap, idling in a range that applies it. */
export function tapReading(bench: UnitBench, machine: Machine, element: string): Answer {
  const { driving } = bench;
  const range = driving.unit.ranges.find((r) => r.apply.includes(element));
  if (!range || machine.unfed.includes(element)) return { word: 'reads', figure: 0 };
  const { apply, reverse } = driving.sound.loadOf(range.id);
  const line = driving.loads.pressure(machine, applied(machine, apply), reverse, 0);
  return { word: 'reads', figure: line * pistonShare(machine.leaks.get(element) ?? 0) };
}

/** 30 to 50 psi of shop air at the element's port: what is heard and felt (common practice, no source). */
export function airReading(_bench: UnitBench, machine: Machine, element: string): Answer {
  if (machine.always.includes(element)) return { word: 'does-not-release' };
  if (machine.ringOut.includes(element)) return { word: 'does-not-clamp' };
  if ((machine.leaks.get(element) ?? 0) > 0) return { word: 'hisses' };
  return { word: 'works' };
}

/** s from the lever's move until the range takes hold, idling. */
export function delayReading(bench: UnitBench, machine: Machine, rangeId: string): Answer {
  const { driving, rig } = bench;
  if (driving.cell(machine, rangeId).drive === 'neutral') return { word: 'never' };
  const { apply, reverse } = driving.sound.loadOf(rangeId);
  const line = driving.loads.pressure(machine, apply, reverse, 0);
  const oiled = oilElements(rig);
  const seconds = Math.max(
    ...apply
      .filter((id) => oiled.includes(id) && !machine.always.includes(id))
      .map((id) =>
        driving.loads.oil ? fillTime(driving.loads.oil, [id, machine.leaks.get(id) ?? 0], line) : 0,
      ),
    0,
  );
  if (!Number.isFinite(seconds)) return { word: 'never' };
  const sound = driving.loads.pressure(SOUND_MACHINE, apply, reverse, 0);
  const uncushioned = apply.some((id) => machine.stuckAccumulators.includes(id));
  const bangs = uncushioned || line > BANGS_FROM * sound;
  return { word: bangs ? 'bangs-in' : 'takes-hold', figure: seconds };
}
/** Over the sound pressure, from which a range goes in with a bang. */
const BANGS_FROM = 1.4;

function modelsOf({ rig, keep }: UnitBench, machine: Machine) {
  const { engine, converter } = rig;
  if (!engine || !converter) throw new Error('oilAnswers: expected an engine and a converter');
  return keep(`models ${machine.engineShare} ${machine.stator}`, () => ({
    engine: engineModel(weakened(engine, machine.engineShare)),
    characteristic: characteristicOf(converter, machine.stator)!,
    lockUpNm: converter.lockUpCapacity ?? 0,
  }));
}

/** Engine speed at the end of a stall test in a range, rad/s left to the display: rev/min. */
export function stallCheck(bench: UnitBench, machine: Machine, rangeId: string): Answer {
  const { engine, characteristic } = modelsOf(bench, machine);
  if (!machine.oil.pumpDriven) return { word: 'reads', figure: engine.governedRpm };
  const rpm = stallReading(engine, characteristic, heldAtTurbine(bench, machine, rangeId));
  return { word: 'reads', figure: rpm };
}

/** N·m at the turbine that the unit holds in a range at full load; `Infinity` where nothing slips. */
function heldAtTurbine({ rig, driving }: UnitBench, machine: Machine, rangeId: string): number {
  const cell = driving.cell(machine, rangeId);
  if (cell.drive === 'neutral') return 0;
  if (cell.drive !== 'flares') return Infinity;
  const range = driving.unit.ranges.find((r) => r.id === rangeId)!;
  const { apply, reverse } = driving.sound.loadOf(range.id);
  const line = driving.loads.pressure(machine, apply, reverse, 1);
  return Math.min(
    ...oilElements(rig)
      .filter((id) => driving.sound.factorOf(rangeId, id) > 0)
      .map(
        (id) =>
          (driving.loads.madeFor(driving.sound.worstOf(id)) *
            driving.loads.holdsShare(machine, id, line)) /
          driving.sound.factorOf(rangeId, id),
      ),
  );
}

/** Shares of the sound pull from which a start is felt as strong, and as anything at all. */
const STRONG = 0.85;

export function pullReading(bench: UnitBench, machine: Machine): Answer {
  const { first } = bench.starts;
  if (!first || bench.driving.cell(machine, first).drive === 'neutral') return { word: 'none' };
  const turbine = (m: Machine) => {
    const { engine, characteristic } = modelsOf(bench, m);
    return matchEngine(engine, characteristic, 1, 0).turbineNm;
  };
  const sound = turbine({ ...machine, stator: null, engineShare: 1 });
  const now = Math.min(turbine(machine), heldAtTurbine(bench, machine, first));
  return { word: now / sound >= STRONG ? 'strong' : 'weak' };
}

/** Cruising: turbine speed, throttle and how far the engine falls when the lock-up comes in. */
const CRUISE_RPM = 1700;
const CRUISE_THROTTLE = 0.35;

export function cruiseReading(bench: UnitBench, machine: Machine): Answer {
  const { engine, characteristic, lockUpNm } = modelsOf(bench, machine);
  const rpm = (lock: number) =>
    matchEngine(engine, characteristic, CRUISE_THROTTLE, CRUISE_RPM, lock).engineRpm;
  if (machine.lockUp !== 'works' || !machine.oil.pumpDriven) return { word: 'does-not-drop' };
  return { word: rpm(0) - rpm(lockUpNm) > 20 ? 'drops' : 'does-not-drop' };
}

/** Coming to rest in gear: a lock-up that stays on drags the engine down with the wheels. */
export function stopReading(bench: UnitBench, machine: Machine): Answer {
  const { engine, lockUpNm } = modelsOf(bench, machine);
  const drags = machine.lockUp === 'always' && lockUpNm > engine.torque(engine.idleRpm, 1) * 0.5;
  return { word: drags ? 'stalls' : 'idles' };
}

/** m/s on the level in the best gear that drives as it should. */
export function topSpeedReading(bench: UnitBench, machine: Machine): Answer {
  const { rig, driving } = bench;
  const { engine, characteristic } = modelsOf(bench, machine);
  const gears = driving
    .cells(machine)
    .flatMap((c) => (c.drive === 'right' && c.ratio !== null && c.ratio > 0 ? [c.ratio] : []));
  if (gears.length === 0 || !rig.vehicle) return { word: 'none' };
  const setup = { engine, converter: characteristic, vehicle: rig.vehicle, gears, throttle: 1 };
  return {
    word: 'reads',
    figure: Math.max(...gears.map((_g, k) => topSpeed(setup, k, 0))),
  };
}

/** Driven hard for twenty minutes with the lock-up kept off: throttle, and turbine speed over the governed speed. */
const HARD_THROTTLE = 0.8;
const HARD_SPEED = 0.96;

/** °C of the fluid after a hard run. */
export function hotRunReading(bench: UnitBench, machine: Machine): Answer {
  const { engine, characteristic } = modelsOf(bench, machine);
  const { coolantC, coolerWK } = bench.rig.vehicle ? fluidOf(bench.rig.vehicle) : USUAL_FLUID;
  const turbine = HARD_SPEED * engine.governedRpm;
  const { heatKw } = matchEngine(engine, characteristic, HARD_THROTTLE, turbine);
  return { word: 'reads', figure: coolantC + (1000 * heatKw) / coolerWK };
}

/** Level running against stopped, and whether fluid is missing. */
export function levelReading(_bench: UnitBench, { oil }: Machine): Answer {
  if (!oil.pumpDriven) return { word: 'same-both-ways' };
  return { word: oil.missing > LEVEL_SHOWS ? 'low' : 'normal' };
}
const LEVEL_SHOWS = 0.3e-3;

/** Slip of a flaring element, rad/s, share of the time that it flares, and what takes its heat away, W/K (memory). */
const FLARE_SLIP = 100;
const FLARE_DUTY = 0.2;
const LINING_WK = 20;
/** m³ of lining rubbed off for each joule. */
const WEAR_PER_JOULE = 2e-13;
/** m³ of lining in the pan from which it is seen. */
const SEEN_LINING = 2e-8;
/** °C past which fluid turns brown and smells. */
const BROWN_C = 150;

interface Traces {
  readonly hottestC: number;
  readonly lining: number;
}

/** What slipped, how long and how hot: lining rubbed off, m³, and the hottest that the fluid became, °C. */
function traces(bench: UnitBench, machine: Machine): Traces {
  const { rig, driving } = bench;
  const { coolantC } = rig.vehicle ? fluidOf(rig.vehicle) : USUAL_FLUID;
  let [hottestC, lining] = [coolantC, 0];
  for (const { drive, above } of driving.cells(machine)) {
    if (drive !== 'flares' || above === null) continue;
    const watts = above * driving.loads.engineNm * FLARE_SLIP * FLARE_DUTY;
    hottestC = Math.max(hottestC, coolantC + watts / LINING_WK);
    lining += watts * rig.minutes * 60 * WEAR_PER_JOULE;
  }
  // A lining that was burnt off lies in the pan, and one that is half gone is on its way there.
  const bare = [...machine.lining.values()].filter((left) => left <= 0).length;
  if (bare > 0) hottestC = Math.max(hottestC, BROWN_C + 30);
  lining += bare * 8e-6;
  if (rig.converter && rig.engine)
    hottestC = Math.max(hottestC, hotRunReading(bench, machine).figure ?? 0);
  return { hottestC, lining };
}

/** Colour and smell. */
export function fluidReading(bench: UnitBench, machine: Machine): Answer {
  if (machine.water) return { word: 'milky' };
  return { word: traces(bench, machine).hottestC > BROWN_C ? 'brown-burnt' : 'red' };
}

/** What lies in the pan: lining, metal, both, or nothing. */
export function panReading(bench: UnitBench, machine: Machine): Answer {
  const lining = traces(bench, machine).lining > SEEN_LINING;
  const failed = machine.never.some(
    (id) => bench.driving.unit.elements.find((e) => e.id === id)?.kind === 'one-way',
  );
  const metal =
    machine.structure.length > 0 ||
    machine.ringOut.length > 0 ||
    machine.roughSets.length > 0 ||
    machine.roughShafts.length > 0 ||
    machine.oil.pumpWorn > 0 ||
    failed;
  return { word: lining && metal ? 'both' : lining ? 'lining' : metal ? 'metal' : 'clean' };
}
