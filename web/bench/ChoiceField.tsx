import { Select } from 'antd';

interface Props<T extends string> {
  label: string;
  value: T;
  of: readonly T[];
  /** As it is shown; its own word where left out. */
  name?: (value: T) => string;
  onValue: (value: T) => void;
}

/** One of a few, with its label above it. */
export function ChoiceField<T extends string>({
  label,
  value,
  of,
  name = (v) => v,
  onValue,
}: Props<T>) {
  return (
    <label className="field">
      <span className="label">{label}</span>
      <Select<T>
        aria-label={label}
        value={value}
        style={{ width: 210 }}
        onChange={onValue}
        options={of.map((v) => ({ value: v, label: name(v) }))}
      />
    </label>
  );
}
