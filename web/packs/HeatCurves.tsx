import { useTranslation } from 'react-i18next';
import type { ClutchPack, PackHeat } from '../../core/clutch';
import { useGapText } from '../shared/useGapText';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';

/** Temperature along the stack at the hottest moment, piston at the left. */
export function HeatCurves({ pack, heat }: { pack: ClutchPack; heat: PackHeat }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const x = (m: number) => numbers.toDisplay(1000 * m, 'length');
  const y = (c: number) => numbers.toDisplay(c, 'temperature');
  const titles = {
    x: numbers.headed(t('pack.fromPiston'), 'length'),
    y: numbers.headed(t('pack.temperature'), 'temperature'),
  };
  const kindOf = (id: string) => pack.stack.find((p) => p.id === id);
  return (
    <CurveSheet
      title={pack.name}
      x={{ title: titles.x, min: 0 }}
      y={{ title: titles.y }}
      curves={[
        {
          label: t('pack.hottestMoment'),
          ink: '--wrong',
          points: heat.profile.map((p) => ({ x: x(p.x), y: y(p.celsius) })),
        },
      ]}
      spoken={t('pack.heatShows', {
        peak: numbers.quantity(Math.round(heat.peakC), 'temperature'),
      })}
      figures={figuresOf(numbers, heat.plates, [
        { title: t('pack.plate'), text: (p) => t(`pack.kinds.${kindOf(p.id)?.kind ?? 'steel'}`) },
        { title: t('pack.thickness'), text: (p) => gapText(kindOf(p.id)?.thickness ?? 0) },
        { title: t('pack.peak'), of: (p) => p.peakC, quantity: 'temperature', places: 0 },
        { title: t('pack.meanAtEnd'), of: (p) => p.meanC, quantity: 'temperature', places: 0 },
      ])}
    />
  );
}
