import { InputNumber } from 'antd';

interface Props {
  label: string;
  unit: string;
  value: number | null;
  onValue: (value: number | null) => void;
}

/** A large field for a predicted number, with its unit. */
export function NumberInput({ label, unit, value, onValue }: Props) {
  return (
    <label className="prediction-number">
      <span className="label">{label}</span>
      <span className="row">
        <InputNumber
          size="large"
          min={0}
          max={1e6}
          value={value}
          onChange={onValue}
          decimalSeparator="."
          inputMode="decimal"
          controls={false}
          aria-label={label}
        />
        <span className="prediction-unit">{unit}</span>
      </span>
    </label>
  );
}
