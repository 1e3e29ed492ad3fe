import { ANSWER_LIMITS } from '../../../core/lesson';
import type { Quantity } from '../../../core/quantities';
import { tidy, useNumbers } from '../../shared/numbers';
import { TypedNumber } from '../../shared/TypedNumber';

interface Props {
  label: string;
  /** Typed in the reader's units; left out for a plain number. */
  quantity?: Quantity | null;
  /** The unit's sign where it is none of the quantities'. */
  unit?: string;
  /** In SI. */
  value: number | null;
  onValue: (value: number | null) => void;
}

/** A large field for a predicted number, with its unit. What it takes, a record can hold. */
export function NumberInput({ label, quantity, unit = '', value, onValue }: Props) {
  const numbers = useNumbers();
  const shown = (v: number) => (quantity ? tidy(numbers.toDisplay(v, quantity)) : v);
  const { min, max } = ANSWER_LIMITS.magnitude;
  return (
    <label className="prediction-number">
      <span className="label">{label}</span>
      <span className="row">
        <TypedNumber
          size="large"
          label={label}
          min={shown(min)}
          max={shown(max)}
          value={value === null ? null : shown(value)}
          onValue={(v) =>
            onValue(v === null ? null : quantity ? numbers.fromDisplay(v, quantity) : v)
          }
          controls={false}
        />
        <span className="prediction-unit">{quantity ? numbers.unit(quantity) : unit}</span>
      </span>
    </label>
  );
}
