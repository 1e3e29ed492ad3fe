import { monotoneCurve } from '../numerics';
import { coefficientOfK } from './capacity';
import type { Characteristic, TableModel } from './converter';

/**
 * A converter by its measured table: torque ratio and T/ω² are interpolated monotone over the speed ratio. The
 * coefficient is interpolated, not K, since K has no limit where the torque goes to zero. A table that ends
 * before 1 goes on to no torque at 1.
 */
const COUPLED = 1e-9;

/** @throws Error when the rows don't rise from speed ratio 0, or there are fewer than two */
export function tableCharacteristic({ rows }: TableModel): Characteristic {
  if (rows[0]?.speedRatio !== 0) throw new Error('tableCharacteristic: expected rows from 0 up');
  const ends = rows.at(-1)!.speedRatio < 1;
  const x = [...rows.map((r) => r.speedRatio), ...(ends ? [1] : [])];
  const ratio = monotoneCurve(x, [...rows.map((r) => r.torqueRatio), ...(ends ? [1] : [])]);
  const coefficient = monotoneCurve(x, [
    ...rows.map((r) => coefficientOfK(r.capacity)),
    ...(ends ? [0] : []),
  ]);
  return {
    at: (speedRatio) => {
      const torqueRatio = ratio.at(speedRatio);
      return {
        speedRatio,
        torqueRatio,
        coefficient: coefficient.at(speedRatio),
        efficiency: speedRatio * torqueRatio,
        statorHolds: torqueRatio > 1 + COUPLED,
        statorSpeed: null,
        flow: null,
      };
    },
  };
}
