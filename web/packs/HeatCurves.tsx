import { useTranslation } from 'react-i18next';
import type { ClutchPack, PackHeat } from '../../core/clutch';
import { useGapText } from '../shared/useGapText';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';

/** Temperature along the stack at the hottest moment, piston at the left. */
export function HeatCurves({ pack, heat }: { pack: ClutchPack; heat: PackHeat }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const x = (m: number) => numbers.toDisplay(1000 * m, 'length');
  const y = (c: number) => numbers.toDisplay(c, 'temperature');
  const titles = {
    x: `${t('pack.fromPiston')}, ${numbers.unit('length')}`,
    y: `${t('pack.temperature')}, ${numbers.unit('temperature')}`,
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
      figures={{
        titles: [t('pack.plate'), t('pack.thickness'), t('pack.peak'), t('pack.meanAtEnd')],
        rows: heat.plates.map((p) => [
          t(`pack.kinds.${kindOf(p.id)?.kind ?? 'steel'}`),
          gapText(kindOf(p.id)?.thickness ?? 0),
          formatNumber(y(p.peakC), 0),
          formatNumber(y(p.meanC), 0),
        ]),
      }}
    />
  );
}
