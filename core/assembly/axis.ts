import { portPlaces, risersOf, type Planned } from '../drawing/sectionPlan';
import { orderGap } from '../drawing/sectionGap';
import { searchPlan } from '../drawing/sectionSearch';
import type { GearSet, Unit } from '../geartrain';
import type { Place } from './parts';

/**
 * Where everything stands along the axis and how far it reaches from it, out of the unit's own section (derived here):
 * gap k reaches from k to k + ½, the gear set behind it stands at k + ¾. What stands before a part, and covers some of the
 * radius that the part needs to pass, bars its way to that side.
 */
export interface Axis {
  readonly columns: readonly GearSet[];
  /** The web of a member in a gap; `null` where it has none there. */
  readonly web: (member: string, gap: number) => Place | null;
  readonly gapOf: (element: string) => number;
  /** A gear at a port of a set. */
  readonly gear: (set: GearSet, member: string) => Place;
  /** From here on everything is outside of every drum: where plates and bands of brakes lie. */
  readonly caseFrom: number;
  readonly top: number;
  /** Gaps in which a member has a web, from the front. */
  readonly gapsOf: (member: string) => readonly number[];
}

const GEAR_AT = 0.75;
/** Half of what a gear takes up of the radius. */
const GEAR_HALF = 0.9;
/** What lies in the case takes up this much below it. */
const CASE_ROOM = 1.7;

export function axisOf(unit: Unit): Axis {
  const { planned } = searchPlan(unit, [], 'first');
  const { plan, levels } = planned;
  const webs = new Map<string, Place>();
  for (let gap = 0; gap <= plan.columns.length; gap++)
    for (const [member, place] of websIn(unit, planned, gap)) webs.set(`${member}@${gap}`, place);
  const gaps = Array.from({ length: plan.columns.length + 1 }, (_, gap) => gap);
  return {
    columns: plan.columns,
    web: (member, gap) => webs.get(`${member}@${gap}`) ?? null,
    gapOf: (element) => plan.gapOf[element] ?? 0,
    gear: (set, member) => {
      const { place } = portPlaces(set, plan.flipped).find((p) => p.member === member)!;
      const height = levels[place];
      const at = plan.columns.indexOf(set) + GEAR_AT;
      return { at, inner: height - GEAR_HALF, outer: height + GEAR_HALF };
    },
    caseFrom: levels.top - CASE_ROOM,
    top: levels.top,
    gapsOf: (member) => gaps.filter((gap) => webs.has(`${member}@${gap}`)),
  };
}

function websIn(unit: Unit, planned: Planned, gap: number): [string, Place][] {
  const { levels } = planned;
  const { order, clutchHeight } = orderGap(risersOf(unit, planned, gap), levels);
  return order.map((riser, k) => {
    const heights = [
      ...riser.left,
      ...riser.right,
      ...riser.clutches.map((e) => clutchHeight.get(e.id) ?? levels.middle),
      ...riser.grounded.map(() => levels.top - CASE_ROOM),
    ];
    const at = gap + (0.5 * (k + 1)) / (order.length + 1);
    return [riser.member, { at, inner: Math.min(...heights), outer: Math.max(...heights) }];
  });
}
