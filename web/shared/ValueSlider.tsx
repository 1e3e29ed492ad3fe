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
  /** Where the keys have brought it: ahead of what is drawn while they come quicker than that. */
  const at = useRef(value);
  /** Of the frame in which that is told; 0: nothing is to be told. */
  const frame = useRef(0);
  const latest = useLatest(onValue);
  useLayoutEffect(() => {
    if (frame.current === 0) at.current = value;
  });
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const tell = () => {
    if (frame.current === 0) return;
    cancelAnimationFrame(frame.current);
    frame.current = 0;
    latest.current(at.current);
  };
  const onKey = (event: KeyboardEvent) => {
    if (disabled || event.ctrlKey || event.altKey || event.metaKey) return;
    const next = keyedValue(event.key, at.current, { min, max, step });
    if (next === null) return;
    event.preventDefault();
    event.stopPropagation();
    at.current = next;
    if (frame.current === 0) frame.current = requestAnimationFrame(tell);
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
