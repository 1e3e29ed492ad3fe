import { readFileSync } from 'node:fs';
import { openText } from '../core/formats';
import { solveUnit, type Solution, type Unit } from '../core/geartrain';
import { toNumber, toText, type Fraction } from '../core/numerics';

/** `npm run -s inspect -- FILE`: what every range of a unit does, as JSON. */
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

const [file] = process.argv.slice(2);
if (file === undefined) {
  console.error('Usage: npm run -s inspect -- FILE');
  process.exit(2);
}
const opened = openText(readFileSync(file, 'utf8'), 'fair-sprocket/unit');
if (!opened.ok) {
  console.error(`${file}: ${JSON.stringify(opened.failure)}`);
  process.exit(1);
}
const unit = opened.document;
const ranges = unit.ranges.map((r) => range(unit, r.id, r.apply));
console.log(JSON.stringify({ unit: unit.id, ranges }, null, 2));
