import type { TFunction } from 'i18next';
import type { Converter, ConverterPoint, Match } from '../../core/converter';
import type { MemberRole } from '../../core/geartrain';
import type { Turning } from '../bench/useTurning';
import { formatNumber } from '../shared/numbers';

/** What both drawings of a converter show. */
export interface DrawingProps {
  readonly converter: Converter;
  readonly point: ConverterPoint;
  readonly mode: DrawnMode;
  readonly turning: Turning;
}

/** How the wheels go together: by the fluid, the other way round when the road pushes, as one, or not at all. */
export type DrawnMode = 'fluid' | 'overrun' | 'locked' | 'stalled';

export function drawnMode({ kind, point }: Pick<Match, 'kind' | 'point'>): DrawnMode {
  if (kind === 'locked') return 'locked';
  if (kind === 'can-not-pull-idle') return 'stalled';
  return point.speedRatio > 1 ? 'overrun' : 'fluid';
}

export const WHEELS = ['pump', 'turbine', 'stator'] as const;
export type Wheel = (typeof WHEELS)[number];

/**
 * What a wheel does: the pump drives and the turbine is driven, or the other way round; the stator is held or goes round
 * with the fluid.
 */
export function wheelRole(wheel: Wheel, point: ConverterPoint, mode: DrawnMode): MemberRole {
  if (mode === 'stalled') return 'idle';
  const first = mode === 'overrun' ? 'turbine' : 'pump';
  if (wheel !== 'stator') return wheel === first ? 'drives' : 'driven';
  return point.statorHolds && mode !== 'locked' ? 'held' : 'idle';
}

/** Speed over the pump's; `null` where a table does not say. */
export function speedOf(wheel: Wheel, point: ConverterPoint, mode: DrawnMode): number | null {
  if (mode === 'stalled') return 0;
  if (wheel === 'pump' || mode === 'locked') return 1;
  if (wheel === 'turbine') return point.speedRatio;
  return point.statorHolds ? 0 : point.statorSpeed;
}

/** "Pump: drives, × 1.00. Turbine: driven, × 0.35. Stator: held, × 0.00". */
export const wheelsInWords = (t: TFunction, point: ConverterPoint, mode: DrawnMode): string =>
  WHEELS.map((wheel) => {
    const speed = speedOf(wheel, point, mode);
    const does = `${t(`converter.wheels.${wheel}`)}: ${t(`memberRoles.${wheelRole(wheel, point, mode)}`)}`;
    return speed === null ? does : `${does}, × ${formatNumber(speed, 2)}`;
  }).join('. ');
