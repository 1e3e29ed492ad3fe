import {
  appliedWithFaults,
  UNIT_FAULT_KINDS,
  withFaults,
  type Fault,
  type UnitFaultKind,
} from '../core/faults';
import { solveUnit, type Solution, type Unit } from '../core/geartrain';
import { toNumber, toText, type Fraction } from '../core/numerics';
import { printed, readUnit, Refusal } from './readUnit';
import type { Say } from './say';

const number = (value: Fraction | null | undefined): number | null =>
  value ? toNumber(value) : null;

function range(unit: Unit, id: string, apply: readonly string[]) {
  const drive = solveUnit(unit, apply);
  const coast = solveUnit(unit, apply, 'coast');
  return {
    id,
    outcome: drive.outcome,
    ratio: number(drive.ratio),
    ratioExact: drive.ratio && toText(drive.ratio),
    outputTorque: number(drive.outputTorque),
    speeds: Object.fromEntries([...drive.speeds].map(([member, v]) => [member, number(v)])),
    elements: Object.fromEntries(
      [...drive.elements].map(([element, { state, torque }]) => [
        element,
        { state, torque: number(torque) },
      ]),
    ),
    coast: coastOf(drive, coast),
  };
}

/** The road drives: where a one-way clutch lets go, the engine idles and does not brake. */
function coastOf(drive: Solution, coast: Solution) {
  const letsGo = drive.outcome === 'drives' && coast.outcome === 'neutral';
  return {
    outcome: letsGo ? 'overruns' : coast.outcome,
    engineBraking: coast.outcome === 'drives',
  };
}

interface Request {
  readonly file: string;
  readonly faults: readonly Fault[];
}

/** FILE, then any number of `--fault TARGET=KIND`. */
function readArguments(args: readonly string[]): Request | null {
  const files: string[] = [];
  const faults: Fault[] = [];
  for (let k = 0; k < args.length; k++) {
    const argument = args[k]!;
    if (argument !== '--fault') {
      files.push(argument);
      continue;
    }
    const [target, kind] = (args[++k] ?? '').split('=');
    if (!target || !UNIT_FAULT_KINDS.includes(kind as UnitFaultKind)) return null;
    faults.push({ target, kind: kind as UnitFaultKind });
  }
  return files.length === 1 ? { file: files[0]!, faults } : null;
}

function inspected(args: readonly string[]) {
  const request = readArguments(args);
  if (!request)
    throw new Refusal(
      `Usage: npm run -s inspect -- FILE [--fault TARGET=KIND]…\nKinds: ${UNIT_FAULT_KINDS.join(', ')}`,
      2,
    );
  const unit = readUnit(request.file);
  const faulty = withFaults(unit, request.faults);
  if (!faulty.ok) throw new Refusal(`${request.file}: ${faulty.problem}: ${faulty.target}`, 1);
  const ranges = unit.ranges.map((r) =>
    range(faulty.unit, r.id, appliedWithFaults(r.apply, faulty)),
  );
  return { unit: unit.id, ranges };
}

/**
 * `npm run -s inspect -- FILE [--fault TARGET=KIND]…`: what every range of a unit does, as JSON.
 * Speeds are multiples of the input's speed, torques of the input's torque; `null` is open.
 */
export const inspect = (args: readonly string[], say: Say): number =>
  printed(say, () => inspected(args));
