import { gapText, useNumbers } from './numbers';

/** A gap or a thickness as a feeler gauge or a caliper is read: hundredths of a millimetre, thousandths of an inch. */
export function useGapText(): (metres: number) => string {
  const numbers = useNumbers();
  return (metres) => gapText(numbers, metres);
}
