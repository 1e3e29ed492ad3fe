import { Radio } from 'antd';
import { useId } from 'react';

interface ChoicesProps<T extends string> {
  label: string;
  value: T | null;
  onValue: (value: T) => void;
  options: readonly { value: T; label: string }[];
}

/** One question with a few answers to choose from. */
export function Choices<T extends string>({ label, value, onValue, options }: ChoicesProps<T>) {
  const id = useId();
  return (
    <div className="prediction-choices">
      <span className="label" id={id}>
        {label}
      </span>
      <Radio.Group
        aria-labelledby={id}
        value={value}
        onChange={(event) => onValue(event.target.value as T)}
        options={[...options]}
      />
    </div>
  );
}
