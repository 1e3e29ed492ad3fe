import type { Unit } from '../../core/geartrain';
import { exchanged, type Gears, type HydraulicPlan } from '../../core/hydraulics';

/** Which elements an upshift brings in, and which it lets go. @param gear the lower one, 1 for the first */
export function pairOf(unit: Unit, plan: HydraulicPlan, { forward }: Gears, gear: number) {
  const at = Math.max(1, Math.min(forward.length - 1, gear));
  const [from, to] = [forward[at - 1]?.range, forward[at]?.range];
  return {
    gear: at,
    from,
    to,
    ...exchanged(plan, from?.apply ?? [], to?.apply ?? []),
    unit: unit.id,
  };
}
