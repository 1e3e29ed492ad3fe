import { findRoot, monotoneCurve } from '../numerics';
import { coefficientOfK } from './capacity';
import { powerOut, type Characteristic, type ConverterPoint, type TableModel } from './converter';

/**
 * A converter by its measured table: torque ratio and T/ω² are interpolated monotone over the speed ratio. The
 * coefficient is interpolated, not K, since K has no limit where the torque goes to zero: at equal speeds nothing
 * circulates, whatever a last row says. Between rows no more comes out than goes in.
 *
 * A table is measured with the engine driving. With the turbine faster (overrun) the stator turns freely and the wheels
 * change places: a coupling that takes T = −OVERRUN·c(1/SR)·ω_turbine² and hands it to the pump whole (assumed; the share
 * is about what usual blades come to by `streamline.ts`). With the turbine turning backward the stall row is kept.
 */
const OVERRUN = 0.35;
const COUPLED_TO = 1e-12;

/** @throws Error when the rows don't rise from speed ratio 0, or there are fewer than two */
export function tableCharacteristic({ rows }: TableModel): Characteristic {
  if (rows[0]?.speedRatio !== 0) throw new Error('tableCharacteristic: expected rows from 0 up');
  const ends = rows.at(-1)!.speedRatio < 1;
  const x = [...rows.map((r) => r.speedRatio), ...(ends ? [1] : [])];
  const ratio = monotoneCurve(x, [...rows.map((r) => r.torqueRatio), ...(ends ? [1] : [])]);
  const capacities = rows.map((r) => (r.speedRatio < 1 ? coefficientOfK(r.capacity) : 0));
  const coefficient = monotoneCurve(x, [...capacities, ...(ends ? [0] : [])]);
  const couplesAt = couplingOf(x, ratio.at);
  const driving = (speedRatio: number): ConverterPoint => {
    const most = speedRatio > 0 ? 1 / speedRatio : Infinity;
    const torqueRatio = Math.min(most, ratio.at(speedRatio));
    const pump = coefficient.at(speedRatio);
    return pointOf(speedRatio, pump, pump * torqueRatio, torqueRatio, speedRatio < couplesAt);
  };
  const overrunning = (speedRatio: number): ConverterPoint => {
    const taken = -OVERRUN * coefficient.at(1 / speedRatio) * speedRatio * speedRatio;
    return pointOf(speedRatio, taken, taken, 1, false);
  };
  return {
    couplesAt,
    at: (speedRatio) => (speedRatio > 1 ? overrunning(speedRatio) : driving(speedRatio)),
  };
}

const pointOf = (
  speedRatio: number,
  pump: number,
  turbine: number,
  torqueRatio: number,
  statorHolds: boolean,
): ConverterPoint => ({
  speedRatio,
  torqueRatio,
  coefficient: pump,
  turbineCoefficient: turbine,
  efficiency:
    pump === 0 ? Math.max(0, speedRatio * torqueRatio) : powerOut(pump, turbine, speedRatio),
  statorHolds,
  statorSpeed: null,
  flow: null,
});

/** Where the torque ratio first comes down to 1: at a row, or between two where it crosses. */
function couplingOf(x: readonly number[], ratioAt: (speedRatio: number) => number): number {
  const k = x.findIndex((sr) => ratioAt(sr) <= 1);
  if (k < 0) return 1;
  if (k === 0 || ratioAt(x[k]!) === 1) return x[k]!;
  return findRoot((sr) => ratioAt(sr) - 1, x[k - 1]!, x[k]!, COUPLED_TO).x;
}
