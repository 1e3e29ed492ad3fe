import { readFileSync } from 'node:fs';
import type { Unit } from '../core/geartrain';
import { crossing, drivePreselected, USUAL_CROSSING, USUAL_RULE } from '../core/shift';
import type { Vehicle } from '../core/vehicle';
import { compare } from './compare';

const read = <T>(file: string): T => JSON.parse(readFileSync(file, 'utf8')) as T;
const nothing = () => undefined;

/** A dual clutch: one crossing on the stepping kernel, and a minute's drive with its waiting gears. */
export function benchDualClutch(): void {
  const unit = read<Unit>('demo/units/ferry-dual.json');
  const vehicle = read<Vehicle>('demo/vehicles/yard-tractor.json');
  const range = (id: string) => unit.ranges.find((r) => r.id === id)!;
  const crossed = compare('', nothing, () => {
    crossing({
      unit,
      vehicle,
      from: range('D2'),
      to: range('D3'),
      waiting: 'S3',
      engineNm: 160,
      engineInertia: 0.2,
      engineRpm: 2400,
      ...USUAL_CROSSING,
    });
  }).theirsNs;
  const driven = compare('', nothing, () => {
    drivePreselected({
      unit,
      vehicle,
      gears: unit.ranges.filter((r) => r.lever === 'D'),
      speed: [0, 9, 9, 0.5, 5].map((value, k) => ({ time: 15 * k, value })),
      changes: { up: 2400, down: 1100 },
      waits: USUAL_RULE,
    });
  }).theirsNs;
  console.log(
    `dual clutch: one crossing in ${(crossed / 1e6).toFixed(1)} ms (20 ms asked), a drive of 60 s in ${(driven / 1e6).toFixed(1)} ms (200 ms asked)`,
  );
}
