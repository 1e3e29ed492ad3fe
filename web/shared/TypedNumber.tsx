import { Button, InputNumber, type InputNumberProps } from 'antd';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { formatAsTyped, formatLimit, formatNumber } from './numbers';
import { readNumber } from './readNumber';
import './NumberField.css';

type Props = Omit<
  InputNumberProps<number>,
  | 'value'
  | 'onFocus'
  | 'onBlur'
  | 'onPressEnter'
  | 'min'
  | 'max'
  | 'onChange'
  | 'onInput'
  | 'parser'
  | 'decimalSeparator'
  | 'aria-label'
> & {
  label: string;
  value: number | null;
  min?: number;
  max?: number;
  /** Only told numbers within the limits; `null` when it is emptied, or while it is not clear what was meant. */
  onValue: (value: number | null) => void;
};

/** What keeps a number from being taken. */
type Doubt =
  | { readonly kind: 'beyond'; readonly value: number }
  | { readonly kind: 'either'; readonly values: readonly [number, number] };

/** Never reached by a number that can be read. */
const NOT_READ = 'not a number';

/**
 * A field for a number, with a point or a comma. Where it can't be told which number was meant it asks; beyond its limits it
 * says so and, once that is left, has the number from before: the first digits of what was typed were not meant, either.
 */
export function TypedNumber(props: Props) {
  const { label, value, min = -Infinity, max = Infinity, onValue, status, ...rest } = props;
  const { t } = useTranslation();
  const [doubt, setDoubt] = useState<Doubt | null>(null);
  const before = useRef(value);
  const take = (typed: number | null) => {
    const beyond = typed !== null && (typed < min || typed > max);
    setDoubt(beyond ? { kind: 'beyond', value: typed } : null);
    if (!beyond) onValue(typed);
  };
  const leave = () => {
    if (doubt?.kind !== 'beyond') before.current = value;
    else if (value !== before.current) onValue(before.current);
  };
  const bad = doubt ? 'error' : status;
  return (
    <span className="typed-number">
      <InputNumber<number>
        {...rest}
        {...(bad ? { status: bad } : {})}
        aria-label={label}
        value={value}
        inputMode="decimal"
        onFocus={() => {
          before.current = value;
        }}
        onBlur={leave}
        onPressEnter={leave}
        parser={(text) => {
          const read = readNumber(text ?? '');
          // The field takes a string too, whatever its type says; one that is no number changes nothing.
          return (read.kind === 'number' ? read.value : NOT_READ) as number;
        }}
        onInput={(text) => {
          const read = readNumber(text);
          if (read.kind !== 'either') return;
          setDoubt(read);
          onValue(null);
        }}
        onChange={take}
      />
      {doubt?.kind === 'beyond' && (
        <span className="number-refused" role="alert">
          {t('limits.beyond', {
            value: formatAsTyped(doubt.value),
            min: formatLimit(min, Math.ceil),
            max: formatLimit(max, Math.floor),
          })}
        </span>
      )}
      {doubt?.kind === 'either' && (
        <span className="number-refused" role="alert">
          {t('limits.whichNumber')}{' '}
          {doubt.values.map((value, k) => (
            <Button key={value} size="small" onClick={() => take(value)}>
              {formatNumber(value, k === 0 ? 3 : 0)}
            </Button>
          ))}
        </span>
      )}
    </span>
  );
}
