import { Select } from 'antd';

/** One of a few, with its name. */
export function Choose({
  label,
  value,
  of,
  named = (v) => v,
  onValue,
}: {
  label: string;
  value: string;
  of: readonly string[];
  named?: (value: string) => string;
  onValue: (value: string) => void;
}) {
  return (
    <label className="field">
      <span className="label">{label}</span>
      <Select<string>
        aria-label={label}
        value={value}
        style={{ width: 160 }}
        onChange={onValue}
        options={of.map((v) => ({ value: v, label: named(v) }))}
      />
    </label>
  );
}
