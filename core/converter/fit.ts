import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { coefficientOfK } from './capacity';
import type { StreamlineModel, TableModel, Wheel } from './converter';
import { streamlineCharacteristic } from './streamline';

/**
 * Blades for a measured table: the angles, the flow area and the losses of a mean streamline that comes nearest to
 * the table's torque ratios and capacities, by least squares (Levenberg–Marquardt). Radii and density stay as they
 * are given: a table alone can't tell a large wheel with a small area from a small one with a large area.
 */
export interface FitStep {
  /** 0 to 1. */
  readonly share: number;
  readonly model: StreamlineModel;
  /** Root of the mean square of what is missed: torque ratio, and T/ω² over its value at stall. */
  readonly missed: number;
}

/** Each parameter's limits. The order is that of `parametersOf`. */
const LIMITS: readonly (readonly [number, number])[] = [
  ...Array.from({ length: 6 }, () => [-80, 80] as const),
  [0.0005, 0.2],
  [0.05, 3],
  [0.02, 3],
];

const parametersOf = (m: StreamlineModel): number[] => [
  m.pump.exitAngle,
  m.pump.inletAngle,
  m.turbine.exitAngle,
  m.turbine.inletAngle,
  m.stator.exitAngle,
  m.stator.inletAngle,
  m.area,
  m.shock,
  m.friction,
];

function modelOf(start: StreamlineModel, p: readonly number[]): StreamlineModel {
  const wheel = (w: Wheel, k: number): Wheel => ({
    ...w,
    exitAngle: p[2 * k]!,
    inletAngle: p[2 * k + 1]!,
  });
  return {
    ...start,
    pump: wheel(start.pump, 0),
    turbine: wheel(start.turbine, 1),
    stator: wheel(start.stator, 2),
    area: p[6]!,
    shock: p[7]!,
    friction: p[8]!,
  };
}

const ROUNDS = 40;
const ITERATIONS = 12;
/** No further when a round improves the miss by less than this share. */
const ENOUGH = 1e-4;

/**
 * Yields after every round of iterations, so that the caller can show how far it is and stop.
 * @param start radii and density to keep, and where the search begins
 * @throws Error when the table is not sound
 */
export function* fitStreamline(table: TableModel, start: StreamlineModel): Generator<FitStep> {
  const { rows } = table;
  const stall = coefficientOfK(rows[0]!.capacity);
  // One list of what to meet: every row's torque ratio, then every row's capacity.
  const data = {
    x: rows.flatMap((_r, k) => [k, k + rows.length]).sort((a, b) => a - b),
    y: [...rows.map((r) => r.torqueRatio), ...rows.map((r) => coefficientOfK(r.capacity) / stall)],
  };
  const scale = parametersOf(start).map((v, k) => (k < 6 ? 30 : k === 6 ? Math.abs(v) : 1));
  const unscaled = (p: readonly number[]) => p.map((v, k) => v * scale[k]!);
  const predicted = (p: readonly number[]) => {
    const { at } = streamlineCharacteristic(modelOf(start, unscaled(p)));
    const points = rows.map((r) => at(r.speedRatio));
    return (x: number) =>
      x < rows.length ? points[x]!.torqueRatio : points[x - rows.length]!.coefficient / stall;
  };
  const missedBy = (p: readonly number[]) => {
    const f = predicted(p);
    const sum = data.x.reduce((s, x, k) => s + (f(x) - data.y[k]!) ** 2, 0);
    return Math.sqrt(sum / data.x.length);
  };
  let best = parametersOf(start).map((v, k) => v / scale[k]!);
  let missed = missedBy(best);
  for (let round = 1; round <= ROUNDS; round++) {
    const { parameterValues } = levenbergMarquardt(data, predicted, {
      initialValues: best,
      minValues: LIMITS.map(([low], k) => low / scale[k]!),
      maxValues: LIMITS.map(([, high], k) => high / scale[k]!),
      maxIterations: ITERATIONS,
      gradientDifference: 1e-4,
      centralDifference: true,
      damping: 0.01,
      errorTolerance: 1e-12,
    });
    const now = missedBy(parameterValues);
    const settled = !(now < missed * (1 - ENOUGH));
    if (now < missed) [best, missed] = [parameterValues, now];
    const done = settled || round === ROUNDS;
    yield { share: done ? 1 : round / ROUNDS, model: modelOf(start, unscaled(best)), missed };
    if (done) return;
  }
}
