import { useTranslation } from 'react-i18next';
import { FEET_AT, feetTrace, traceAt } from '../../core/shift';
import { HandlePad } from '../shared/HandlePad';
import { formatNumber } from '../shared/numbers';
import './FeetPads.css';

interface Props {
  pedal: readonly number[];
  throttle: readonly number[];
  /** Left out once nothing may be changed. */
  onPedal?: ((values: number[]) => void) | undefined;
  onThrottle?: ((values: number[]) => void) | undefined;
}

/** What both feet do, drawn by handles: the pedal above, the throttle below. */
export function FeetPads({ pedal, throttle, onPedal, onThrottle }: Props) {
  const { t } = useTranslation();
  const pad = (
    name: 'pedal' | 'throttle',
    values: readonly number[],
    onValues: ((values: number[]) => void) | undefined,
  ) => {
    const trace = feetTrace(values);
    return (
      <HandlePad
        compact
        label={t(`clutch.feet.${name}`)}
        at={FEET_AT}
        xTitle={t('launch.time')}
        xText={(v) => (v % 1 === 0 ? `${formatNumber(v, 0)} s` : '')}
        markText={(v) => `${formatNumber(100 * v, 0)} %`}
        marks={[0, 0.5, 1]}
        most={1}
        step={0.02}
        values={values}
        onValues={onValues}
        line={(time) => traceAt(trace, time)}
        handleName={(time) =>
          t('clutch.feet.handle', { foot: t(`clutch.feet.${name}`), time: formatNumber(time, 1) })
        }
      />
    );
  };
  return (
    <div className="feet-pads">
      {pad('pedal', pedal, onPedal)}
      {pad('throttle', throttle, onThrottle)}
    </div>
  );
}
