import { useTranslation } from 'react-i18next';
import type { ClutchPack } from '../../core/clutch';
import { SmallSlider } from '../bench/SmallSlider';
import { useNumbers } from '../shared/numbers';

interface Props {
  pack: ClutchPack;
  /** As it is kept: what the slider reaches goes by it. */
  given: ClutchPack;
  onPack: (pack: ClutchPack) => void;
}

/** Pressure at a pack's piston. */
export function PressureSlider({ pack, given, onPack }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <SmallSlider
      label={t('pack.pressure')}
      text={numbers.quantity(pack.pressure / 1000, 'pressure')}
      value={pack.pressure}
      from={0}
      to={Math.max(2.5e6, given.pressure * 2)}
      step={10_000}
      onValue={(pressure) => onPack({ ...pack, pressure })}
    />
  );
}
