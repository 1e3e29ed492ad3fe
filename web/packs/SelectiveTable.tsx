import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  bestSelective,
  equallyGood,
  MEASURED,
  gaugeReading,
  measuredIn,
  measuringDecides,
  selectiveChoices,
  selectiveNow,
  withSelective,
  type ClutchPack,
} from '../../core/clutch';
import { useGapText } from '../shared/useGapText';

interface Props {
  pack: ClutchPack;
  /** Left out where the pack is only looked at. */
  onPack?: (pack: ClutchPack) => void;
}

/** Every selective part with the clearance that it gives; the one nearest to the middle is advised, with the reason. */
export function SelectiveTable({ pack, onPack }: Props) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const now = selectiveNow(pack);
  const best = bestSelective(pack);
  const twin = equallyGood(pack);
  const [least, most] = pack.clearance;
  return (
    <>
      <p>
        {t('pack.window', { window: `${gapText(least)} – ${gapText(most)}` })}{' '}
        {best &&
          t(best.inside ? 'pack.advised' : 'pack.noneFits', {
            part: t(`pack.parts.${pack.selective.part}`),
            thickness: gapText(best.thickness),
            clearance: gapText(best.clearance),
          })}{' '}
        {best?.inside &&
          twin?.inside &&
          t('pack.bothFit', {
            thickness: gapText(twin.thickness),
            clearance: gapText(twin.clearance),
          })}
      </p>
      <p className="quiet">
        {t(`pack.measured.${measuredIn(pack)}`)}{' '}
        {measuringDecides(pack) &&
          t('pack.measuringDecides', {
            readings: MEASURED.map((way) =>
              t('pack.readsBy', {
                way: t(`pack.ways.${way}`),
                gap: gapText(gaugeReading(pack, way)),
              }),
            ).join(', '),
          })}
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">{t(`pack.parts.${pack.selective.part}`)}</th>
            <th scope="col" className="num">
              {t('pack.gauge')}
            </th>
            <th scope="col">{t('pack.verdict')}</th>
            <th scope="col">{t('pack.change')}</th>
          </tr>
        </thead>
        <tbody>
          {selectiveChoices(pack).map((c) => {
            const inNow = Math.abs(c.thickness - now) < 1e-7;
            return (
              <tr key={c.thickness} data-now={inNow}>
                <th scope="row">{gapText(c.thickness)}</th>
                <td className="num" data-bad={!c.inside}>
                  {gapText(c.clearance)}
                </td>
                <td>
                  {t(c.inside ? 'pack.inside' : c.clearance < least ? 'pack.below' : 'pack.above')}
                </td>
                <td>
                  <Button
                    size="small"
                    disabled={!onPack || inNow}
                    onClick={() => onPack?.(withSelective(pack, c.thickness))}
                  >
                    {t(inNow ? 'pack.isIn' : 'pack.putIn')}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
