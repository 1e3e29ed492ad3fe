import {
  circuitOf,
  gearsOf,
  planFor,
  planFindings,
  oilMap,
  USUAL_ENGINE,
  WARM_C,
} from '../core/hydraulics';
import { printed, readDocument, readUnit, Refusal } from './readUnit';
import type { Say } from './say';

const PLAN_USAGE = 'Usage: npm run -s hydraulics -- UNIT.json';
const MAP_USAGE = 'Usage: npm run -s shiftmap -- DOCUMENT.json [--unit UNIT.json]';

/** `npm run -s hydraulics -- UNIT.json`: the oil plan made for a unit, as a document of its own. */
export const hydraulics = (args: readonly string[], say: Say): number =>
  printed(say, () => {
    const [file, ...more] = args;
    if (!file || file.startsWith('-') || more.length > 0) throw new Refusal(PLAN_USAGE, 2);
    return planFor(readUnit(file));
  });

/**
 * `npm run -s shiftmap -- DOCUMENT.json [--unit UNIT.json]`: at which output speeds, rev/min, the valves of a plan change
 * gear, for throttle 0, 0.1 … 1; `null` where they never do. With the unit, the pump turns as each gear has it.
 */
export const shiftmap = (args: readonly string[], say: Say): number =>
  printed(say, () => {
    const [file, flag, unitFile, ...more] = args;
    const asked = flag === undefined || (flag === '--unit' && unitFile !== undefined);
    if (!file || file.startsWith('-') || !asked || more.length > 0) throw new Refusal(MAP_USAGE, 2);
    const plan = readDocument(file, 'fair-sprocket/hydraulics');
    const unit = unitFile === undefined ? undefined : readUnit(unitFile);
    const wrong = planFindings(plan, unit).filter((f) => f.weight === 'error');
    if (wrong.length > 0)
      throw new Refusal(wrong.map((f) => `${file}: ${f.kind}: ${f.about}`).join('\n'), 1);
    if (unit && plan.unit !== unit.id)
      throw new Refusal(`${file}: is for the unit "${plan.unit}", not for "${unit.id}"`, 1);
    const forward = unit && gearsOf(unit).forward;
    const { shifts, lockUp } = oilMap(
      circuitOf(plan),
      {
        celsius: WARM_C,
        idleRpm: USUAL_ENGINE.idleRpm,
        ...(forward ? { ratios: forward.map((f) => f.ratio) } : {}),
      },
      forward?.map((f) => f.range.id),
    );
    return { shifts, ...(lockUp ? { lockUp } : {}) };
  });
