import type { Unit } from '../../core/geartrain';
import { partsOf, type Gears, type HydraulicPlan } from '../../core/hydraulics';

/** Which elements an upshift brings in, and which it lets go. @param gear the lower one, 1 for the first */
export function pairOf(unit: Unit, plan: HydraulicPlan, { forward }: Gears, gear: number) {
  const at = Math.max(1, Math.min(forward.length - 1, gear));
  const [from, to] = [forward[at - 1]?.range, forward[at]?.range];
  const fed = partsOf(plan, 'piston').map((p) => p.element);
  const [was, will] = [from?.apply ?? [], to?.apply ?? []];
  return {
    gear: at,
    from,
    to,
    coming: fed.filter((id) => will.includes(id) && !was.includes(id)),
    going: fed.filter((id) => was.includes(id) && !will.includes(id)),
    unit: unit.id,
  };
}
