import { useTranslation } from 'react-i18next';
import type { Solution } from '../../core/geartrain';
import { toNumber, toText } from '../../core/numerics';
import { formatRatio } from '../shared/numbers';
import '../shared/headline.css';
import './Outcome.css';

/** What comes out, large: the ratio with its direction, or the outcome in words. */
export function Outcome({ solution }: { solution: Solution }) {
  const { t } = useTranslation();
  const { ratio, outcome } = solution;
  return (
    <>
      <div className="headline" aria-live="polite">
        <div className={ratio ? 'figure headline-figure' : 'figure apply-outcome'}>
          {ratio ? formatRatio(toNumber(ratio)) : t(`outcomes.${outcome}`)}
        </div>
        {ratio && (
          <div className="quiet">
            <div>{t('bench.exactly', { fraction: toText(ratio).replace('-', '\u2212') })}</div>
            <div>{t(toNumber(ratio) > 0 ? 'directions.same' : 'directions.opposite')}</div>
          </div>
        )}
      </div>
      {!ratio && <p>{t(`outcomesSaid.${outcome}`)}</p>}
    </>
  );
}
