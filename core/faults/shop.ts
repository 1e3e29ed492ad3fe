import {
  coilReading,
  couplingStack,
  flangeDrag,
  looseStart,
  tightCircle,
  type Coupling,
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

function read(bench: Bench, machine: Machine, check: Check): Answer {
  const { rig, driving } = bench;
  const { kind, target } = check;
  if (driving) {
    const told =
      readUnit(driving, machine, check) ?? readOil({ ...bench, driving }, machine, check);
    if (told) return told;
  }
  if (rig.clutch) {
    const told = readClutch({ ...bench, clutch: rig.clutch }, machine, check);
    if (told) return told;
  }
  if (rig.coupling) {
    const told = readCoupling(rig.coupling, machine, check);
    if (told) return told;
  }
  throw new Error(`openShop: this rig can't be asked "${kind} ${target}"`);
}

/** What a drive in one range reads, as one answer. */
export const roadAnswer = ({ drive, ratio, above }: SymptomCell): Answer => {
  if (drive === 'flares' || drive === 'jumps-out') return { word: drive, figure: above! };
  const turned = drive === 'wrong-ratio' || drive === 'moves' || drive === 'wrong-way';
  return turned ? { word: drive, figure: ratio! } : { word: drive };
};

/** A sound gear turning and one's own eyes. */
function readUnit(driving: Driving, machine: Machine, { kind, target }: Check): Answer | null {
  const has = (list: readonly string[]) => list.includes(target);
  switch (kind) {
    case 'road':
      return roadAnswer(driving.cell(machine, target));
    case 'coast':
      return { word: driving.cell(machine, target).coast };
    case 'listen':
      return { word: driving.cell(machine, target).heard };
    case 'gear-in':
      return gearInReading(driving, machine, target, 'moving');
    case 'matched':
      return gearInReading(driving, machine, target, 'matched');
    case 'standing':
      return gearInReading(driving, machine, target, 'standing');
    case 'hand':
      return {
        word: has(machine.always)
          ? 'locked'
          : has(machine.never)
            ? 'turns-both-ways'
            : has(machine.reversed)
              ? 'wrong-way-round'
              : 'holds-one-way',
      };
    case 'look':
    case 'teeth': {
      const gone = machine.structure.some((f) => f.target === target);
      const rough = kind === 'teeth' && has(machine.roughSets);
      return { word: gone ? 'stripped' : rough ? 'pitted' : 'whole' };
    }
    case 'sleeve': {
      const state = machine.sleeves.get(target);
      if (has(machine.always)) return { word: 'stuck' };
      if (has(machine.never)) return { word: 'fork-broken' };
      if (!state) return { word: 'sharp' };
      return {
        word: state.rounded > 0 ? 'rounded' : state.wear > 0 ? 'flanks-worn' : 'ring-smooth',
      };
    }
    default:
      return null;
  }
}

function readOil(bench: UnitBench, machine: Machine, { kind, target }: Check): Answer | null {
  switch (kind) {
    case 'shift':
      return shiftReading(bench, machine, target);
    case 'delay':
      return delayReading(bench, machine, target);
    case 'pull':
      return pullReading(bench, machine);
    case 'cruise':
      return cruiseReading(bench, machine);
    case 'stop':
      return stopReading(bench, machine);
    case 'top-speed':
      return topSpeedReading(bench, machine);
    case 'hot-run':
      return hotRunReading(bench, machine);
    case 'stall':
      return stallCheck(bench, machine, target);
    case 'level':
      return levelReading(bench, machine);
    case 'fluid':
      return fluidReading(bench, machine);
    case 'pan':
      return panReading(bench, machine);
    case 'pressure':
      return pressureReading(bench, machine, target);
    case 'tap':
      return tapReading(bench, machine, target);
    case 'air':
      return airReading(bench, machine, target);
    default:
      return null;
  }
}

function readClutch(bench: ClutchBench, machine: Machine, { kind, target }: Check): Answer | null {
  const alone = CLUTCH_ALONE[kind];
  // These follow from the clutch alone, which most machines share.
  if (alone)
    return bench.keepFor(machine.clutch, `${kind} ${target}`, () => alone(bench, machine, target));
  switch (kind) {
    case 'slip-test':
      return slipTestReading(bench, machine);
    case 'road-slip':
      return roadSlipReading(bench, machine);
    case 'start':
      return startReading(bench, machine);
    default:
      return null;
  }
}

const CLUTCH_ALONE: Readonly<
  Partial<Record<CheckKind, (bench: ClutchBench, machine: Machine, target: string) => Answer>>
> = {
  'drag-test': dragReading,
  pedal: pedalReading,
  play: playReading,
  gap: gapReading,
  noise: noiseReading,
  disc: discReading,
};

function readCoupling(coupling: Coupling, { coupling: state }: Machine, { kind }: Check) {
  switch (kind) {
    case 'flange':
      return { word: 'reads', figure: flangeDrag(coupling, state) };
    case 'circle':
      return { word: tightCircle(coupling, state) };
    case 'loose-start':
      return { word: looseStart(coupling, state) };
    case 'coil': {
      const ohm = coilReading(coupling, state);
      return Number.isFinite(ohm) ? { word: 'reads', figure: ohm } : { word: 'open' };
    }
    case 'drain':
      return { word: state.wrongOil ? 'wrong-kind' : state.wear > 1e-3 ? 'dark' : 'clear' };
    case 'stack':
      return { word: 'reads', figure: couplingStack(coupling, state) };
    default:
      return null;
  }
}
