import {
  bodyOf,
  BOLT_YIELD,
  turned,
  type BodyBolt,
  type BoltPlan,
  type HydraulicPlan,
  type LaidBody,
  type Turned,
} from '../../../hydraulics';
import { onceFor } from '../../../numerics';
import { EVEN, LEVEL, type BoltOrderQuestion, type OilRig } from './kinds';

/** A valve body's bolts, turned in an order. */

export type BoltOrder = Pick<BoltPlan, 'order' | 'inTurns'>;
/** What of a question decides how a body behaves. */
export type BodyAsked = Pick<BoltOrderQuestion, 'job' | 'body'>;

const bodies = onceFor<HydraulicPlan, LaidBody>();
export const bodyFor = ({ plan }: OilRig, { body }: BodyAsked): LaidBody =>
  bodies(plan, JSON.stringify(body), () => bodyOf(plan, body));

const runs = onceFor<HydraulicPlan, Turned>();
export const turnedBy = (rig: OilRig, asked: BodyAsked, { order, inTurns }: BoltOrder): Turned =>
  runs(rig.plan, JSON.stringify([asked.body, asked.job, order, inTurns]), () =>
    turned(bodyFor(rig, asked), { job: asked.job, order, inTurns }),
  );

/** What an order comes to. */
export interface BoltsAs {
  /** The bolt that was nearest to bending, or furthest past it, and its stress over the one that bends it. */
  readonly bolt: string;
  readonly strain: number;
  /** rad of the furthest lean, and the bolt whose turn it was. */
  readonly lean: number;
  readonly leanAt: string;
  /** Share by which the clamp that is furthest off in the end is off its own, and whose it is. */
  readonly off: number;
  readonly offAt: string;
}

export function boltsAs(rig: OilRig, asked: BodyAsked, order: BoltOrder): BoltsAs {
  const { turns, stress, lean, clamps } = turnedBy(rig, asked, order);
  const [bolt, worst] = Object.entries(stress).reduce((a, b) => (b[1].value > a[1].value ? b : a));
  const [offAt, clamp] = Object.entries(clamps).reduce((a, b) =>
    Math.abs(b[1] - 1) > Math.abs(a[1] - 1) ? b : a,
  );
  return {
    bolt,
    strain: worst.value / BOLT_YIELD,
    lean: lean.value,
    leanAt: turns[lean.turn]?.bolt ?? '',
    off: clamp - 1,
    offAt,
  };
}

/** What has to be so, by the job. */
export const boltsKept = ({ job }: BodyAsked, { strain, lean, off }: BoltsAs) => ({
  whole: strain < 1,
  as: job === 'off' ? lean <= LEVEL : Math.abs(off) <= EVEN,
});

export function orderKeeps(rig: OilRig, asked: BodyAsked, order: BoltOrder): boolean {
  const { whole, as } = boltsKept(asked, boltsAs(rig, asked, order));
  return whole && as;
}

/** One after the other as far from the one before as can be, the furthest from the middle first. */
function crosswise(bolts: readonly BodyBolt[]): BodyBolt[] {
  const left = [...bolts].sort((a, b) => Math.hypot(b.x, b.y) - Math.hypot(a.x, a.y));
  const order: BodyBolt[] = [];
  while (left.length > 0) {
    const last = order.at(-1);
    const outermost = left.filter(
      (b) => Math.abs(Math.hypot(b.x, b.y) - Math.hypot(left[0]!.x, left[0]!.y)) < 1e-9,
    );
    const next = last
      ? outermost.reduce((a, b) =>
          Math.hypot(b.x - last.x, b.y - last.y) > Math.hypot(a.x - last.x, a.y - last.y) ? b : a,
        )
      : outermost[0]!;
    order.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return order;
}

/** As a shop does it: the thin ones off first and on last, crosswise, from the outside in, or back. */
export function shopOrder(rig: OilRig, asked: BodyAsked): BoltOrder {
  const { bolts } = bodyFor(rig, asked);
  const off = [
    ...crosswise(bolts.filter((b) => !b.thick)),
    ...crosswise(bolts.filter((b) => b.thick)),
  ].map((b) => b.id);
  return { order: asked.job === 'off' ? off : off.reverse(), inTurns: true };
}

/** The thick ones off first, or on last. */
export function strongFirst(rig: OilRig, asked: BodyAsked): BoltOrder {
  const { bolts } = bodyFor(rig, asked);
  const [thin, thick] = [bolts.filter((b) => !b.thick), bolts.filter((b) => b.thick)];
  const off = [...crosswise(thick), ...crosswise(thin)].map((b) => b.id);
  return { order: asked.job === 'off' ? off : off.reverse(), inTurns: true };
}

/** From one end to the other, each at once. */
export function alongTheRow(rig: OilRig, asked: BodyAsked): BoltOrder {
  const { bolts } = bodyFor(rig, asked);
  const order = [...bolts].sort((a, b) => a.x - b.x || a.y - b.y).map((b) => b.id);
  return { order, inTurns: false };
}

/** Whether an order goes from one end of the body to the other, and never back. */
export function goesAlong(rig: OilRig, asked: BodyAsked, { order }: BoltOrder): boolean {
  const at = order.map((id) => bodyFor(rig, asked).bolts.find((b) => b.id === id)?.x ?? 0);
  const steps = at.slice(1).map((x, k) => x - at[k]!);
  return steps.every((d) => d >= 0) || steps.every((d) => d <= 0);
}

/** Whether a thin one is what the body hangs on at last, or is drawn down by at first. */
export function hangsOnThin(rig: OilRig, asked: BodyAsked, { order }: BoltOrder): boolean {
  const id = asked.job === 'off' ? order.at(-1) : order[0];
  const bolt = bodyFor(rig, asked).bolts.find((b) => b.id === id);
  return bolt !== undefined && !bolt.thick;
}

/** How a bolt was when it was nearest to bending: what it pulled, and how many held with it. */
export function strainedAt(rig: OilRig, asked: BodyAsked, order: BoltOrder) {
  const { turns, stress } = turnedBy(rig, asked, order);
  const { bolt, strain } = boltsAs(rig, asked, order);
  const turn = turns[stress[bolt]!.turn]!;
  const { bolts } = bodyFor(rig, asked);
  const tension = turn.standing.tensions[bolts.findIndex((b) => b.id === bolt)]!;
  return { bolt, strain, tension, holding: turn.standing.tensions.filter((t) => t > 0).length };
}

/** N of all springs on a body that lies where it belongs. */
export const springsPush = (rig: OilRig, asked: BodyAsked): number =>
  bodyFor(rig, asked).pushes.reduce((sum, p) => sum + p.force, 0);
