import { Slider } from 'antd';
import { useEffect, useLayoutEffect, useRef, type CSSProperties, type KeyboardEvent } from 'react';
import { keyedValue } from './keyedValue';
import { useLatest } from './useLatest';

interface Props {
  label: string;
  value: number;
  onValue: (value: number) => void;
  min: number;
  max: number;
  step?: number;
  /** The value as it is read out, where the bare number says too little. */
  text?: string;
  marks?: Record<number, string>;
  disabled?: boolean;
  style?: CSSProperties;
}

/**
 * A slider whose keys are taken together, once a frame: a key that is held on a slow machine goes on at the speed the
 * machine has, where every press by itself would pile up until the page breaks off.
 */
export function ValueSlider(props: Props) {
  const { label, value, onValue, min, max, step = 1, text, marks, disabled, style } = props;
  /** Where the keys have brought it, until that is told. */
  const pressed = useRef<number | null>(null);
  /** What was told last: a press may come before what it changed is drawn. */
  const at = useRef(value);
  const frame = useRef(0);
  const latest = useLatest(onValue);
  useLayoutEffect(() => {
    if (pressed.current === null) at.current = value;
  });
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const tell = () => {
    cancelAnimationFrame(frame.current);
    const to = pressed.current;
    pressed.current = null;
    if (to === null) return;
    at.current = to;
    latest.current(to);
  };
  const onKey = (event: KeyboardEvent) => {
    if (disabled || event.ctrlKey || event.altKey || event.metaKey) return;
    const next = keyedValue(event.key, pressed.current ?? at.current, { min, max, step });
    if (next === null) return;
    event.preventDefault();
    event.stopPropagation();
    if (pressed.current === null) frame.current = requestAnimationFrame(tell);
    pressed.current = next;
  };
  return (
    <div style={style} onKeyDownCapture={onKey} onBlurCapture={tell}>
      <Slider
        min={min}
        max={max}
        step={step}
        keyboard={false}
        tooltip={{ open: false }}
        value={value}
        onChange={onValue}
        ariaLabelForHandle={label}
        {...(disabled === undefined ? {} : { disabled })}
        {...(marks ? { marks } : {})}
        {...(text === undefined ? {} : { ariaValueTextFormatterForHandle: () => text })}
      />
    </div>
  );
}
