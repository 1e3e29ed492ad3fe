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
  /** Something is wrong with it. */
  faulty?: boolean;
  /** Only the number: the label stands elsewhere. */
  bare?: boolean;
}

/** A labelled number with its unit. Nonsense can be typed: the findings say so, and nothing is lost. */
export function NumberField(props: Props) {
  const { label, value, onValue, quantity, unit, step = 1, faulty = false, bare = false } = props;
  const numbers = useNumbers();
  const sign = quantity ? numbers.unit(quantity) : unit;
  const shown = tidy(quantity ? numbers.toDisplay(value, quantity) : value);
  const field = (
    <TypedNumber
      label={label}
      value={shown}
      step={step}
      {...(faulty ? { status: 'error' as const } : {})}
      onValue={(v) => v !== null && onValue(tidy(quantity ? numbers.fromDisplay(v, quantity) : v))}
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
