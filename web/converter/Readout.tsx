import { useTranslation } from 'react-i18next';
import type { Match } from '../../core/converter';
import { formatNumber, useNumbers } from '../shared/numbers';
import '../shared/headline.css';
import '../bench/Readout.css';

/** Multiplication large, then engine, turbine and heat. */
export function Readout({ match }: { match: Match }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { point, kind } = match;
  const stands = kind !== 'locked' && point.statorHolds;
  const runs = kind !== 'can-not-pull-idle';
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className="figure headline-figure">
          × {runs ? formatNumber(match.torqueRatio, 2) : '–'}
        </div>
        <div className="quiet">
          <div data-kind={kind} className="readout-kind">
            {t(`converter.kinds.${kind}`)}
          </div>
          {runs && <div>{t(stands ? 'converter.statorHolds' : 'converter.statorFree')}</div>}
        </div>
      </div>
      <table className="plain readout">
        <caption className="visually-hidden">{t('converter.readings')}</caption>
        <tbody>
          <tr>
            <th scope="row">{t('converter.engine')}</th>
            <td className="num">{numbers.quantity(Math.round(match.engineRpm), 'speed')}</td>
            <td className="num">{numbers.quantity(match.engineNm, 'torque')}</td>
          </tr>
          <tr>
            <th scope="row">{t('converter.turbine')}</th>
            <td className="num">{numbers.quantity(match.turbineRpm, 'speed')}</td>
            <td className="num">{numbers.quantity(match.turbineNm, 'torque')}</td>
          </tr>
          <tr>
            <th scope="row">{t('converter.heat')}</th>
            <td className="num">{numbers.quantity(match.heatKw, 'power')}</td>
            <td className="num">
              {t('converter.efficiency', { share: formatNumber(100 * match.efficiency, 0) })}
            </td>
          </tr>
        </tbody>
      </table>
      <HeatBar kw={match.heatKw} />
    </>
  );
}

/** Heat on a scale that an oil cooler would know: past the mark the fluid gets hot quickly. */
const COOLER_KW = 12;
const SCALE_KW = 60;

function HeatBar({ kw }: { kw: number }) {
  const { t } = useTranslation();
  const share = Math.min(1, Math.max(0, kw / SCALE_KW));
  return (
    <div
      className="heat-bar"
      role="meter"
      aria-label={t('converter.heat')}
      aria-valuenow={Number(kw.toFixed(1))}
      aria-valuemin={0}
      aria-valuemax={SCALE_KW}
      data-hot={kw > COOLER_KW}
    >
      <span style={{ width: `${100 * share}%` }} />
      <i style={{ left: `${(100 * COOLER_KW) / SCALE_KW}%` }} />
    </div>
  );
}
