import { formatNumber, useNumbers } from '../shared/numbers';

/** A gap or a thickness as a feeler gauge or a caliper is read: hundredths of a millimetre, thousandths of an inch. */
export function useGapText(): (metres: number) => string {
  const numbers = useNumbers();
  return (metres) => {
    const shown = numbers.toDisplay(1000 * metres, 'length');
    return `${formatNumber(shown, numbers.system === 'si' ? 2 : 3)} ${numbers.unit('length')}`;
  };
}
