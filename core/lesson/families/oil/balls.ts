import {
  partsOf,
  spoolsIn,
  USUAL_ENGINE,
  WARM_C,
  type OilRunning,
  type OilState,
  type PlanFault,
} from '../../../hydraulics';
import { onceFor } from '../../../numerics';
import type { OilGauge, OilRig, WhichBallQuestion } from './kinds';
import { circuitFor, gearsFor, linesFor } from './runs';

/** What gauges and a shift say of a ball that is not in its place. */

/** Pa that two readings of a shop's gauge must be apart to be told apart (memory). */
export const GAUGE_PA = 25_000;

/** rev/min of the output where no shift says what is usual in a gear. */
const SLOW_RPM = 400;

export const ballsOf = ({ plan }: OilRig): string[] => partsOf(plan, 'shuttle').map((s) => s.id);

const gone = (ball: string | null): PlanFault | null =>
  ball === null ? null : { part: ball, kind: 'ball-missing' };

/** Halfway between the speed at which a gear comes and the one at which it goes. */
function speedIn(rig: OilRig, throttle: number, gear: number): number {
  const ups = linesFor(rig, null, [throttle]).map((l) => l.points[0]!.up);
  const [comes, goes] = [gear > 1 ? (ups[gear - 2] ?? SLOW_RPM) : 0, ups[gear - 1]];
  return goes === null || goes === undefined ? comes * 1.2 : (comes + goes) / 2;
}

const standings = onceFor<OilRig['plan'], StandingWithout>();

interface StandingWithout {
  readonly running: OilRunning;
  readonly state: OilState;
}

/** The plan with a ball out, or whole, in a gear of a lever place. @param ball `null`: none is out */
export function standingWithout(
  rig: OilRig,
  ball: string | null,
  throttle: number,
  { lever, gear }: Omit<OilGauge, 'element'>,
): StandingWithout {
  const name = JSON.stringify([ball, throttle, lever, gear, rig.unit.id]);
  return standings(rig.plan, name, () => {
    const { forward, mainLever, rangeAt } = gearsFor(rig);
    const outputRpm = lever === mainLever ? speedIn(rig, throttle, gear) : SLOW_RPM;
    const engineRpm = Math.max(USUAL_ENGINE.idleRpm, outputRpm * (forward[gear - 1]?.ratio ?? 1));
    const running = { lever, throttle, outputRpm, engineRpm, celsius: WARM_C };
    const range = rangeAt(lever, gear)?.id;
    const circuit = circuitFor(rig, gone(ball));
    return { running, state: circuit.at(running, spoolsIn(rig.plan, gear), range) };
  });
}

/** Pa at a gauge. @param ball see `standingWithout` */
export function gaugeReads(
  rig: OilRig,
  ball: string | null,
  throttle: number,
  gauge: OilGauge,
): number {
  const piston = partsOf(rig.plan, 'piston').find((p) => p.element === gauge.element);
  const { pressures } = standingWithout(rig, ball, throttle, gauge).state;
  return (piston && pressures.get(piston.line)) ?? 0;
}

/** Whether all that the next gear asks for is on. */
export function takesHold(
  rig: OilRig,
  ball: string | null,
  throttle: number,
  gear: number,
): boolean {
  const lever = gearsFor(rig).mainLever ?? '';
  const { applied } = standingWithout(rig, ball, throttle, { lever, gear: gear + 1 }).state;
  return gearsFor(rig)
    .on(lever, gear + 1)
    .every((element) => applied.includes(element));
}

type Evidence = Pick<WhichBallQuestion, 'ball' | 'throttle' | 'gauges' | 'gear'>;

/** How each gauge, and the shift, would be with another ball out: whether that is what is seen. */
export function fitsEvidence(
  rig: OilRig,
  { ball, throttle, gauges, gear }: Evidence,
  other: string | null,
): { readonly gauges: readonly boolean[]; readonly shift: boolean; readonly all: boolean } {
  const same = gauges.map(
    (g) =>
      Math.abs(gaugeReads(rig, ball, throttle, g) - gaugeReads(rig, other, throttle, g)) < GAUGE_PA,
  );
  const shift = takesHold(rig, ball, throttle, gear) === takesHold(rig, other, throttle, gear);
  return { gauges: same, shift, all: shift && same.every(Boolean) };
}
