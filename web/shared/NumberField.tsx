import type { Quantity } from '../../core/quantities';
import { tidy, useNumbers } from './numbers';
import { TypedNumber } from './TypedNumber';
import './NumberField.css';

interface Props {
  label: string;
  value: number;
  onValue: (value: number) => void;
  /** Shown and typed in the reader's units; left out for a plain number. */
  quantity?: Quantity;
  /** The unit's sign where it is none of the quantities'. */
  unit?: string;
  step?: number;
  /** How many of what is shown are one of the value: 100 where a share is shown in per cent, 1000 where a metre in millimetres. */
  per?: number;
  /** What is typed beyond these is refused in words; in the value's own unit. */
  within?: readonly [least: number, most: number];
  /** Something is wrong with it. */
  faulty?: boolean;
  /** Only the number: the label stands elsewhere. */
  bare?: boolean;
}

const ANY = [-Infinity, Infinity] as const;

/** A labelled number with its unit. Nonsense can be typed: the findings say so, and nothing is lost. */
export function NumberField(props: Props) {
  const { label, value, onValue, quantity, unit, step = 1, faulty = false, bare = false } = props;
  const { per = 1, within: [least, most] = ANY } = props;
  const numbers = useNumbers();
  const sign = quantity ? numbers.unit(quantity) : unit;
  const shown = (v: number) => tidy(quantity ? numbers.toDisplay(v * per, quantity) : v * per);
  const taken = (v: number) => tidy((quantity ? numbers.fromDisplay(v, quantity) : v) / per);
  // A limit itself may come back from another unit with its last digit beyond it.
  const kept = (v: number) => Math.min(most, Math.max(least, taken(v)));
  const field = (
    <TypedNumber
      label={label}
      value={shown(value)}
      min={shown(least)}
      max={shown(most)}
      step={step}
      {...(faulty ? { status: 'error' as const } : {})}
      onValue={(v) => v !== null && onValue(kept(v))}
    />
  );
  if (bare) return field;
  return (
    <label className="number-field">
      <span className="label">{label}</span>
      <span className="row">
        {field}
        {sign && <span className="quiet">{sign}</span>}
      </span>
    </label>
  );
}
