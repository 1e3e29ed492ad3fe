import { InputNumber, type InputNumberProps } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { formatNumber } from './numbers';
import './NumberField.css';

type Props = Omit<InputNumberProps<number>, 'min' | 'max' | 'onChange' | 'status'> & {
  min: number;
  max: number;
  /** Only told numbers within the limits. */
  onValue: (value: number | null) => void;
};

/** A number with limits that says so when it is given one beyond them, and keeps the last good one. */
export function LimitedNumber({ min, max, onValue, ...rest }: Props) {
  const { t } = useTranslation();
  const [refused, setRefused] = useState<number | null>(null);
  return (
    <>
      <InputNumber<number>
        {...rest}
        {...(refused === null ? {} : { status: 'error' as const })}
        onChange={(value) => {
          const beyond = value !== null && (value < min || value > max);
          setRefused(beyond ? value : null);
          if (!beyond) onValue(value);
        }}
      />
      {refused !== null && (
        <span className="number-refused" role="alert">
          {t('limits.beyond', {
            value: formatNumber(refused, 0),
            min: formatNumber(min, 0),
            max: formatNumber(max, 0),
          })}
        </span>
      )}
    </>
  );
}
