import { useMemo } from 'react';
import {
  AS_BUILT,
  atPedal,
  clutchWorks,
  faultFits,
  releaseCurve,
  torqueAt,
  withClutchFault,
  worn,
  type Clutch,
  type ClutchFault,
  type ClutchState,
} from '../../core/clutch';

export interface ClutchSetting {
  readonly wear: number;
  readonly adjusted: boolean;
  readonly forkRod: number;
  readonly turnbuckle: number;
  readonly fault: ClutchFault | null;
}

/** The clutch as it is now: worn, adjusted, with its fault. */
export function stateOf(clutch: Clutch, setting: ClutchSetting): ClutchState {
  const { wear, adjusted, forkRod, turnbuckle, fault } = setting;
  const base = adjusted ? worn(clutch, AS_BUILT, wear) : { ...AS_BUILT, wear };
  const set = { ...base, forkRod: base.forkRod + forkRod, turnbuckle };
  return fault && faultFits(clutch, fault) ? withClutchFault(clutch, set, fault) : set;
}

/** Everything that follows from clutch, state and pedal; `null` for a clutch that can't be computed with. */
export function useClutchModel(clutch: Clutch, setting: ClutchSetting, pedal: number) {
  const { wear, adjusted, forkRod, turnbuckle, fault } = setting;
  const known = useMemo(() => {
    if (!clutchWorks(clutch)) return null;
    const state = stateOf(clutch, { wear, adjusted, forkRod, turnbuckle, fault });
    const curve = releaseCurve(clutch, state);
    return { state, curve };
  }, [clutch, wear, adjusted, forkRod, turnbuckle, fault]);
  return useMemo(() => {
    if (!known) return null;
    const point = atPedal(known.curve, pedal * known.curve.floor);
    return { ...known, point, holds: torqueAt(clutch, known.state, point.clamp, 0, 20) };
  }, [clutch, known, pedal]);
}

export type ClutchModel = NonNullable<ReturnType<typeof useClutchModel>>;
