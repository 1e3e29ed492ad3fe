import type { TFunction } from 'i18next';
import type { Converter, ConverterPoint } from '../../core/converter';
import type { MemberRole } from '../../core/geartrain';
import type { Turning } from '../ratio/useTurning';
import { formatNumber } from '../shared/numbers';

/** What both drawings of a converter show. */
export interface DrawingProps {
  readonly converter: Converter;
  readonly point: ConverterPoint;
  readonly locked: boolean;
  readonly turning: Turning;
}

export const WHEELS = ['pump', 'turbine', 'stator'] as const;
export type Wheel = (typeof WHEELS)[number];

/** What a wheel does: the pump drives, the turbine is driven, the stator is held or goes round with the fluid. */
export function wheelRole(wheel: Wheel, point: ConverterPoint, locked: boolean): MemberRole {
  if (wheel === 'pump') return 'drives';
  if (wheel === 'turbine') return 'driven';
  return point.statorHolds && !locked ? 'held' : 'idle';
}

/** Speed over the pump's; `null` where a table does not say. */
export function speedOf(wheel: Wheel, point: ConverterPoint, locked: boolean): number | null {
  if (wheel === 'pump') return 1;
  if (locked) return 1;
  if (wheel === 'turbine') return point.speedRatio;
  return point.statorHolds ? 0 : point.statorSpeed;
}

/** "Pump: drives, × 1.00. Turbine: driven, × 0.35. Stator: held, × 0.00". */
export const wheelsInWords = (t: TFunction, point: ConverterPoint, locked: boolean): string =>
  WHEELS.map((wheel) => {
    const speed = speedOf(wheel, point, locked);
    const does = `${t(`converter.wheels.${wheel}`)}: ${t(`memberRoles.${wheelRole(wheel, point, locked)}`)}`;
    return speed === null ? does : `${does}, × ${formatNumber(speed, 2)}`;
  }).join('. ');
