import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { SPEED_MARKS, traceAt } from '../../core/shift';
import { HandlePad } from '../shared/HandlePad';
import { formatNumber, useNumbers } from '../shared/numbers';

const FASTEST = 12;

interface Props {
  /** m/s at `SPEED_MARKS`. */
  speeds: readonly number[];
  /** Left out where it is given. */
  onSpeeds?: ((speeds: number[]) => void) | undefined;
}

/** The road speed of a drive, drawn by its handles. */
export function SpeedPad({ speeds, onSpeeds }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const speed = useMemo(
    () => SPEED_MARKS.map((time, k) => ({ time, value: speeds[k] ?? 0 })),
    [speeds],
  );
  const most = Math.max(FASTEST, ...speeds);
  return (
    <HandlePad
      compact
      label={t('crossing.speed', { unit: numbers.unit('road-speed') })}
      at={SPEED_MARKS}
      xTitle={t('launch.time')}
      xText={(s) => (s % 10 === 0 ? `${formatNumber(s, 0)} s` : '')}
      values={speeds}
      onValues={onSpeeds}
      most={most}
      step={0.25}
      marks={[0, most / 2, most]}
      markText={(v) => formatNumber(numbers.toDisplay(v, 'road-speed'), 0)}
      line={(time) => traceAt(speed, time)}
      handleName={(time) => t('crossing.speedAt', { seconds: formatNumber(time, 0) })}
    />
  );
}
