import type { HydraulicPart, HydraulicPlan } from '../../core/hydraulics';
import { SmallSlider } from '../bench/SmallSlider';
import { formatShare } from '../shared/numbers';

/** What every setting of a plan is handed. */
export interface SettingProps {
  /** The plan as it was made. */
  readonly base: HydraulicPlan;
  readonly onPart: (part: HydraulicPart) => void;
}

interface Props<P extends HydraulicPart> extends SettingProps {
  readonly word: string;
  readonly part: P;
  /** The number that is set. */
  readonly read: (part: P) => number | undefined;
  readonly write: (value: number) => P;
  /** Shares of what it was. */
  readonly limits: readonly [number, number];
}

/** A number of a part as a share of what it was when the plan was made. */
export function ShareSlider<P extends HydraulicPart>(props: Props<P>) {
  const { word, part, read, write, limits, base, onPart } = props;
  const made = base.parts.find((p): p is P => p.id === part.id && p.kind === part.kind);
  const [was, now] = [made && read(made), read(part)];
  if (was === undefined || now === undefined || was === 0) return null;
  return (
    <SmallSlider
      label={word}
      text={formatShare(now / was)}
      value={now / was}
      from={limits[0]}
      to={limits[1]}
      step={0.01}
      onValue={(share) => onPart(write(was * share))}
    />
  );
}
