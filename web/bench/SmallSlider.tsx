import { ValueSlider } from '../shared/ValueSlider';
import './SmallSlider.css';

interface SmallProps {
  label: string;
  text: string;
  value: number;
  from: number;
  to: number;
  step: number;
  onValue: (value: number) => void;
}

/** A labelled slider in one line. */
export function SmallSlider({ label, text, value, from, to, step, onValue }: SmallProps) {
  return (
    <label className="small-slider">
      <span>
        {label} <strong>{text}</strong>
      </span>
      <ValueSlider
        min={from}
        max={to}
        step={step}
        value={value}
        onValue={onValue}
        label={label}
        text={text}
      />
    </label>
  );
}
