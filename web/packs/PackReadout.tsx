import { useTranslation } from 'react-i18next';
import {
  appliedForce,
  applyTravel,
  letsGoUpTo,
  releasedForce,
  rubbingFaces,
  torqueUnder,
  turningOilForce,
  type ClutchPack,
  type PackHeat,
} from '../../core/clutch';
import { useGapText } from '../shared/useGapText';
import { useNumbers } from '../shared/numbers';
import '../shared/headline.css';

interface Props {
  pack: ClutchPack;
  heat: PackHeat | null;
  works: boolean;
  /** rev/min of its drum; 0 where it stands. */
  drumRpm: number;
}

/** What the pack holds, large; its faces, its piston, and how hot it gets. */
export function PackReadout({ pack, heat, works, drumRpm }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const gapText = useGapText();
  const { touches, clamped } = applyTravel(pack);
  const pressed = appliedForce(pack, pack.pressure, drumRpm);
  const hottest = heat && pack.stack.find((p) => p.id === heat.hottest);
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">
          {works ? numbers.quantity(torqueUnder(pack, pressed), 'torque') : '–'}
        </div>
        <div className="quiet">{t('pack.faces', { count: rubbingFaces(pack) })}</div>
      </div>
      <table className="plain readout">
        <caption className="visually-hidden">{t('clutch.readings')}</caption>
        <tbody>
          <tr>
            <th scope="row">{t('pack.force')}</th>
            <td className="num">{numbers.quantity(pressed, 'force')}</td>
          </tr>
          <tr>
            <th scope="row">{t('pack.travel')}</th>
            <td className="num">
              {gapText(clamped)}{' '}
              <span className="quiet">{t('pack.touches', { travel: gapText(touches) })}</span>
            </td>
          </tr>
          {pack.rotation && <TurningOil pack={pack} drumRpm={drumRpm} />}
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

/** What the oil that turns with the drum does: how much it presses, and whether the released pack lets go. */
function TurningOil({ pack, drumRpm }: Pick<Props, 'pack' | 'drumRpm'>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const upTo = letsGoUpTo(pack);
  const dragging = releasedForce(pack, drumRpm);
  return (
    <>
      <tr>
        <th scope="row">{t('pack.turningOil')}</th>
        <td className="num">{numbers.quantity(turningOilForce(pack, drumRpm), 'force')}</td>
      </tr>
      <tr>
        <th scope="row">{t('pack.released')}</th>
        <td className="num" data-bad={dragging > 0}>
          {dragging > 0
            ? t('pack.heldOn', { torque: numbers.quantity(torqueUnder(pack, dragging), 'torque') })
            : t(upTo === null ? 'pack.letsGo' : 'pack.letsGoUpTo', {
                speed: numbers.quantity(Math.round((upTo ?? 0) / 10) * 10, 'speed'),
              })}
        </td>
      </tr>
    </>
  );
}
