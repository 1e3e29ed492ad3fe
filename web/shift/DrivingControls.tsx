import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Gears } from '../../core/hydraulics';
import { SmallSlider } from '../bench/SmallSlider';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';

export interface Driving {
  readonly lever: string;
  readonly throttle: number;
  readonly outputRpm: number;
  readonly celsius: number;
}

interface Props {
  levers: readonly string[];
  driving: Driving;
  gears: Gears;
  onDriving: (change: Partial<Driving>) => void;
}

/** rev/min of an engine in its highest gear, for which the speed's slider has room. */
const FASTEST = 4500;

/** Lever, pedal, road speed and fluid. */
export function DrivingControls({ levers, driving, gears, onDriving }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { lever, throttle, outputRpm, celsius } = driving;
  const fastest = Math.max(
    1000,
    ...gears.forward.map((f) => Math.round(FASTEST / f.ratio / 100) * 100),
  );
  return (
    <>
      <Segmented
        block
        aria-label={t('oil.lever')}
        value={lever}
        onChange={(next) => onDriving({ lever: next })}
        options={levers.map((l) => ({ value: l, label: l }))}
      />
      <SmallSlider
        label={t('oil.throttle')}
        text={formatShare(throttle)}
        value={throttle}
        from={0}
        to={1}
        step={0.01}
        onValue={(throttle) => onDriving({ throttle })}
      />
      <SmallSlider
        label={t('oil.outputSpeed')}
        text={t('oil.rpm', { speed: formatNumber(outputRpm, 0) })}
        value={outputRpm}
        from={0}
        to={fastest}
        step={10}
        onValue={(outputRpm) => onDriving({ outputRpm })}
      />
      <SmallSlider
        label={t('oil.temperature')}
        text={numbers.quantity(celsius, 'temperature')}
        value={celsius}
        from={-20}
        to={140}
        step={5}
        onValue={(celsius) => onDriving({ celsius })}
      />
    </>
  );
}
