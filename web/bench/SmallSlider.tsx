import { Slider } from 'antd';
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
      <Slider
        min={from}
        max={to}
        step={step}
        tooltip={{ open: false }}
        value={value}
        onChange={onValue}
        ariaLabelForHandle={label}
        ariaValueTextFormatterForHandle={() => text}
      />
    </label>
  );
}
