import type { Unit } from '../geartrain';
import { circuitOf } from './circuit';
import { gearsOf } from './gears';
import { oiled } from './paths';
import { linesOf, openingsOf, springsOf, waysOf } from './partTable';
import { PAN, partsOf, type HydraulicPlan } from './plan';

/** What is wrong, or odd, with a plan. Each says the part or passage that it is about. */
export type PlanFindingKind =
  | 'no-pump'
  | 'no-regulator'
  | 'no-spring'
  | 'orifice-shut'
  | 'line-unknown'
  | 'never-fed'
  | 'element-unknown'
  | 'element-not-fed'
  | 'lever-unknown'
  | 'other-unit'
  | 'never-settles'
  | 'range-differs';

export interface PlanFinding {
  readonly kind: PlanFindingKind;
  /** `error`: what it works out to means nothing. */
  readonly weight: 'error' | 'warning';
  /** A part, a passage, an element, a lever place or a range, by its id. */
  readonly about: string;
}

const error = (kind: PlanFindingKind, about: string): PlanFinding => ({
  kind,
  weight: 'error',
  about,
});
const warning = (kind: PlanFindingKind, about: string): PlanFinding => ({
  kind,
  weight: 'warning',
  about,
});

/** @param unit that the plan is to feed; left out, only the plan itself is looked at */
export function planFindings(plan: HydraulicPlan, unit?: Unit): PlanFinding[] {
  const found = [...ofParts(plan), ...ofLines(plan)];
  if (!unit || found.some((f) => f.weight === 'error')) return found;
  return [...found, ...ofUnit(plan, unit)];
}

function ofParts(plan: HydraulicPlan): PlanFinding[] {
  const out: PlanFinding[] = [];
  if (partsOf(plan, 'pump').length === 0) out.push(error('no-pump', plan.id));
  if (partsOf(plan, 'regulator').length === 0) out.push(warning('no-regulator', plan.id));
  for (const part of plan.parts) {
    if (springsOf(part).some((force) => force <= 0)) out.push(error('no-spring', part.id));
    if (openingsOf(part).some((k) => k <= 0)) out.push(error('orifice-shut', part.id));
  }
  return out;
}

/** Passages that are not there, and those that no pump reaches however the valves stand. */
function ofLines(plan: HydraulicPlan): PlanFinding[] {
  const known = new Set([PAN, ...plan.lines.map((l) => l.id)]);
  const unknown = [...new Set(plan.parts.flatMap(linesOf))].filter((l) => !known.has(l));
  const reached = new Set(partsOf(plan, 'pump').map((p) => p.to));
  for (let before = -1; before !== reached.size;) {
    before = reached.size;
    for (const [from, to] of plan.parts.flatMap(waysOf))
      if (reached.has(from) && to !== PAN) reached.add(to);
  }
  const dry = plan.lines.filter((l) => !reached.has(l.id));
  return [
    ...unknown.map((l) => error('line-unknown', l)),
    ...dry.map((l) => warning('never-fed', l.id)),
  ];
}

/** rev/min of the engine, and throttle, at which ranges are tried: enough oil for all of them. */
const TRIED = { throttle: 0.3, outputRpm: 0, engineRpm: 2000, celsius: 80 };

function ofUnit(plan: HydraulicPlan, unit: Unit): PlanFinding[] {
  const out: PlanFinding[] = [];
  if (plan.unit !== unit.id) out.push(warning('other-unit', plan.unit));
  const pistons = partsOf(plan, 'piston').map((p) => p.element);
  const elements = new Set(oiled(unit));
  for (const id of pistons) if (!elements.has(id)) out.push(error('element-unknown', id));
  for (const id of elements)
    if (!pistons.includes(id) && unit.ranges.some((r) => r.apply.includes(id)))
      out.push(error('element-not-fed', id));
  const places = new Set(
    partsOf(plan, 'manual-valve').flatMap((v) => v.places.map((p) => p.lever)),
  );
  const gears = gearsOf(unit);
  for (const lever of gears.levers)
    if (places.size > 0 && !places.has(lever)) out.push(error('lever-unknown', lever));
  if (out.some((f) => f.weight === 'error')) return out;
  const circuit = circuitOf(plan);
  for (const range of unit.ranges) {
    const gear = gears.gearOf(range);
    const running = { ...TRIED, lever: range.lever };
    const state = circuit.inGear(running, gear, range.id);
    if (!state.settled || !circuit.at(running, state.spools, range.id).settled)
      out.push(error('never-settles', range.id));
    const wanted = range.apply.filter((id) => elements.has(id));
    const same =
      wanted.length === state.applied.length && wanted.every((id) => state.applied.includes(id));
    if (!same) out.push(warning('range-differs', range.id));
  }
  return out;
}
