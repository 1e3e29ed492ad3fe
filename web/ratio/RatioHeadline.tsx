import { useTranslation } from 'react-i18next';
import type { SetSolution } from '../../core/geartrain';
import { toNumber, toText } from '../../core/numerics';
import { formatNumber, formatRatio } from '../shared/numbers';
import '../shared/headline.css';

interface Props {
  solution: SetSolution;
  /** The teeth can't be built, so the ratio stands on paper only. */
  onPaper: boolean;
}

/** The number that matters, very large, with its exact fraction and what it does. */
export function RatioHeadline({ solution, onPaper }: Props) {
  const { t } = useTranslation();
  const { ratio, effect } = solution;
  const exact = ratio ? toText(ratio).replace('-', '\u2212') : '';
  return (
    <div className="headline" aria-live="polite" data-on-paper={onPaper}>
      <div className="figure headline-figure">
        {ratio ? formatRatio(toNumber(ratio)) : t('bench.none')}
        {ratio && <span className="headline-one">:1</span>}
      </div>
      <div className="quiet">
        {ratio && ratio.den !== 1n && <div>{t('bench.exactly', { fraction: exact })}</div>}
        {ratio?.den === 1n && (
          <div>{t('bench.exactly', { fraction: formatNumber(toNumber(ratio), 0) })}</div>
        )}
        <div>{onPaper ? t('bench.onPaper') : t(`effects.${effect}`)}</div>
      </div>
    </div>
  );
}
