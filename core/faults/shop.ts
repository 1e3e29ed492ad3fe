import {
  coilReading,
  couplingStack,
  flangeDrag,
  looseStart,
  tightCircle,
  type Coupling,
  type CouplingState,
} from '../clutch';
import type { HandOverResult } from '../shift';
import type { Answer } from './answer';
import { benchOf, type Bench, type UnitBench } from './bench';
import { checksOf, startRanges, type Check, type CheckKind } from './checks';
import {
  discReading,
  dragReading,
  gapReading,
  gearInReading,
  noiseReading,
  pedalReading,
  playReading,
  roadSlipReading,
  slipTestReading,
  startReading,
  type ClutchBench,
} from './clutchAnswers';
import { drivingOf, type Driving, type SymptomCell } from './driving';
import type { Fault } from './fault';
import { machineOf, type Machine } from './machine';
import {
  airReading,
  cruiseReading,
  delayReading,
  fluidReading,
  hotRunReading,
  levelReading,
  panReading,
  pressureReading,
  pullReading,
  stallCheck,
  stopReading,
  tapReading,
  topSpeedReading,
} from './oilAnswers';
import { singleFaults, type Rig } from './rig';
import { shiftReading, shiftRun } from './shiftAnswers';

/**
 * A rig in the shop: every check that can be made of it, and what each reads with any faults in it. Readings are computed
 * from the machine when they are asked for; what was computed once for the same machine is kept.
 */
export interface Shop {
  readonly rig: Rig;
  readonly driving: Driving | null;
  readonly checks: readonly Check[];
  readonly faults: readonly Fault[];
  /** @throws Error when the rig can't have one of the faults */
  readonly machine: (faults: readonly Fault[]) => Machine;
  readonly answer: (machine: Machine, check: Check) => Answer;
  /** A shift between two ranges, `D1>D2`, over time; `null` where it can't be driven. */
  readonly shift: (machine: Machine, pair: string) => HandOverResult | null;
}

export function openShop(rig: Rig): Shop {
  const driving = rig.unit ? drivingOf(rig) : null;
  const bench = benchOf(rig, driving, startRanges(rig));
  return {
    rig,
    driving,
    checks: checksOf(rig),
    faults: singleFaults(rig),
    machine: (faults) => machineOf(rig, faults),
    answer(machine, check) {
      const answer = read(bench, machine, check);
      // One object for each reading, so that readings are told apart at a glance.
      const { word, figure } = answer;
      return bench.keep(`read ${check.id} ${word} ${figure?.toPrecision(9) ?? ''}`, () => answer);
    },
    shift: (machine, pair) => (driving ? shiftRun({ ...bench, driving }, machine, pair) : null),
  };
}

type Reader = (bench: Bench, machine: Machine, check: Check) => Answer | null;

/** @throws Error when this rig has nothing that the check could be made of */
function read(bench: Bench, machine: Machine, check: Check): Answer {
  const told = READERS[check.kind](bench, machine, check);
  if (!told) throw new Error(`openShop: this rig can't be asked "${check.kind} ${check.target}"`);
  return told;
}

/** What a drive in one range reads, as one answer. */
export const roadAnswer = ({ drive, ratio, above }: SymptomCell): Answer => {
  if (drive === 'flares' || drive === 'jumps-out') return { word: drive, figure: above! };
  const turned = drive === 'wrong-ratio' || drive === 'moves' || drive === 'wrong-way';
  return turned ? { word: drive, figure: ratio! } : { word: drive };
};

const ofUnit =
  (reading: (bench: UnitBench, machine: Machine, target: string) => Answer): Reader =>
  ({ driving, ...bench }, machine, { target }) =>
    driving && reading({ ...bench, driving }, machine, target);

const ofClutch =
  (reading: (bench: ClutchBench, machine: Machine, target: string) => Answer): Reader =>
  (bench, machine, { target }) => {
    const { clutch } = bench.rig;
    return clutch && reading({ ...bench, clutch }, machine, target);
  };

/** What follows from the clutch alone, which most machines share. */
const ofClutchAlone =
  (reading: (bench: ClutchBench, machine: Machine, target: string) => Answer): Reader =>
  (bench, machine, check) => {
    const { clutch } = bench.rig;
    return (
      clutch &&
      bench.keepFor(machine.clutch, `${check.kind} ${check.target}`, () =>
        reading({ ...bench, clutch }, machine, check.target),
      )
    );
  };

const ofCoupling =
  (reading: (coupling: Coupling, state: CouplingState) => Answer): Reader =>
  ({ rig: { coupling } }, machine) =>
    coupling && reading(coupling, machine.coupling);

const figure = (value: number): Answer => ({ word: 'reads', figure: value });

/** How each check is read; `null` where the rig lacks what it is made of. */
const READERS: { readonly [K in CheckKind]: Reader } = {
  // A gear turning, and one's own eyes.
  road: ofUnit(({ driving }, machine, range) => roadAnswer(driving.cell(machine, range))),
  coast: ofUnit(({ driving }, machine, range) => ({ word: driving.cell(machine, range).coast })),
  listen: ofUnit(({ driving }, machine, range) => ({ word: driving.cell(machine, range).heard })),
  'gear-in': ofUnit(({ driving }, m, range) => gearInReading(driving, m, range, 'moving')),
  matched: ofUnit(({ driving }, m, range) => gearInReading(driving, m, range, 'matched')),
  standing: ofUnit(({ driving }, m, range) => gearInReading(driving, m, range, 'standing')),
  hand: ofUnit((_bench, machine, target) => ({ word: byHand(machine, target) })),
  look: ofUnit((_bench, { structure }, target) => ({
    word: structure.some((f) => f.target === target) ? 'stripped' : 'whole',
  })),
  teeth: ofUnit((_bench, { structure, roughSets }, target) => ({
    word: structure.some((f) => f.target === target)
      ? 'stripped'
      : roughSets.includes(target)
        ? 'pitted'
        : 'whole',
  })),
  sleeve: ofUnit((_bench, machine, target) => ({ word: sleeveSeen(machine, target) })),
  // The oil, and what it presses.
  shift: ofUnit(shiftReading),
  delay: ofUnit(delayReading),
  pull: ofUnit(pullReading),
  cruise: ofUnit(cruiseReading),
  stop: ofUnit(stopReading),
  'top-speed': ofUnit(topSpeedReading),
  'hot-run': ofUnit(hotRunReading),
  stall: ofUnit(stallCheck),
  level: ofUnit(levelReading),
  fluid: ofUnit(fluidReading),
  pan: ofUnit(panReading),
  pressure: ofUnit(pressureReading),
  tap: ofUnit(tapReading),
  air: ofUnit(airReading),
  // A dry clutch.
  'slip-test': ofClutch(slipTestReading),
  'road-slip': ofClutch(roadSlipReading),
  start: ofClutch(startReading),
  'drag-test': ofClutchAlone(dragReading),
  pedal: ofClutchAlone(pedalReading),
  play: ofClutchAlone(playReading),
  gap: ofClutchAlone(gapReading),
  noise: ofClutchAlone(noiseReading),
  disc: ofClutchAlone(discReading),
  // An axle coupling.
  flange: ofCoupling((coupling, state) => figure(flangeDrag(coupling, state))),
  circle: ofCoupling((coupling, state) => ({ word: tightCircle(coupling, state) })),
  'loose-start': ofCoupling((coupling, state) => ({ word: looseStart(coupling, state) })),
  coil: ofCoupling((coupling, state) => {
    const ohm = coilReading(coupling, state);
    return Number.isFinite(ohm) ? figure(ohm) : { word: 'open' };
  }),
  drain: ofCoupling((_coupling, state) => ({
    word: state.wrongOil ? 'wrong-kind' : state.wear > 1e-3 ? 'dark' : 'clear',
  })),
  stack: ofCoupling((coupling, state) => figure(couplingStack(coupling, state))),
};

function byHand({ always, never, reversed }: Machine, target: string): string {
  if (always.includes(target)) return 'locked';
  if (never.includes(target)) return 'turns-both-ways';
  return reversed.includes(target) ? 'wrong-way-round' : 'holds-one-way';
}

function sleeveSeen({ always, never, sleeves }: Machine, target: string): string {
  if (always.includes(target)) return 'stuck';
  if (never.includes(target)) return 'fork-broken';
  const state = sleeves.get(target);
  if (!state) return 'sharp';
  return state.rounded > 0 ? 'rounded' : state.wear > 0 ? 'flanks-worn' : 'ring-smooth';
}
