import { checkOrder, freeParts, legalOrder, ORDER_RULES, planOf } from '../core/assembly';
import { printed, readText, readUnit, Refusal } from './readUnit';
import type { Say } from './say';

const USAGE = 'Usage: npm run -s plan -- UNIT.json [--order ORDER.json]';

/** @throws Refusal */
function orderIn(file: string): string[] {
  let value: unknown;
  try {
    value = JSON.parse(readText(file));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(`${file}: is no JSON`, 1);
  }
  if (!Array.isArray(value) || !value.every((id) => typeof id === 'string'))
    throw new Refusal(`${file}: expected a JSON array of part ids`, 1);
  return value;
}

function planned([file, flag, orderFile, ...more]: readonly string[]) {
  const asked = flag === undefined || (flag === '--order' && orderFile !== undefined);
  if (!file || file.startsWith('-') || !asked || more.length > 0) throw new Refusal(USAGE, 2);
  const plan = planOf(readUnit(file));
  return {
    unit: plan.unit,
    parts: plan.parts.map(({ id, kind, of, count, openings }) => ({
      id,
      kind,
      of,
      count,
      openings,
    })),
    rules: plan.rules.map((rule) => ({ ...rule, why: ORDER_RULES[rule.rule].why })),
    free: freeParts(plan),
    order: legalOrder(plan),
    ...(orderFile === undefined ? {} : checkOrder(plan, orderIn(orderFile))),
  };
}

/**
 * `npm run -s plan -- UNIT.json [--order ORDER.json]`: a unit's parts, what may leave before what, what is free at first and
 * one legal order, as JSON; with an order of one's own, every rule that it breaks.
 */
export const plan = (args: readonly string[], say: Say): number =>
  printed(say, () => planned(args));
