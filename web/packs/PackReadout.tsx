import { useTranslation } from 'react-i18next';
import {
  applyTravel,
  packTorque,
  pistonForce,
  rubbingFaces,
  type ClutchPack,
  type PackHeat,
} from '../../core/clutch';
import { useGapText } from '../clutch/useGapText';
import { useNumbers } from '../shared/numbers';
import '../shared/headline.css';

interface Props {
  pack: ClutchPack;
  heat: PackHeat | null;
  works: boolean;
}

/** What the pack holds, large; its faces, its piston, and how hot it gets. */
export function PackReadout({ pack, heat, works }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { touches, clamped } = applyTravel(pack);
  const hottest = heat && pack.stack.find((p) => p.id === heat.hottest);
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">
          {works ? numbers.quantity(packTorque(pack, pack.pressure), 'torque') : '–'}
        </div>
        <div className="quiet">{t('pack.faces', { count: rubbingFaces(pack) })}</div>
      </div>
      <table className="plain readout">
        <caption className="visually-hidden">{t('clutch.readings')}</caption>
        <tbody>
          <tr>
            <th scope="row">{t('pack.force')}</th>
            <td className="num">{numbers.quantity(pistonForce(pack, pack.pressure), 'force')}</td>
          </tr>
          <tr>
            <th scope="row">{t('pack.travel')}</th>
            <td className="num">
              {gapText(clamped)}{' '}
              <span className="quiet">{t('pack.touches', { travel: gapText(touches) })}</span>
            </td>
          </tr>
          <tr>
            <th scope="row">{t('pack.peak')}</th>
            <td className="num">
              {heat ? numbers.quantity(Math.round(heat.peakC), 'temperature') : '–'}
            </td>
          </tr>
          {hottest && (
            <tr>
              <th scope="row">{t('pack.hottest')}</th>
              <td className="num">
                {t('pack.place', {
                  kind: t(`pack.kinds.${hottest.kind}`),
                  place: pack.stack.indexOf(hottest) + 1,
                })}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </>
  );
}
