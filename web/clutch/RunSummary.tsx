import { useTranslation } from 'react-i18next';
import type { EngagementSummary, EngagementVerdict } from '../../core/shift';
import { formatNumber, useNumbers } from '../shared/numbers';

interface Props {
  summary: EngagementSummary;
  verdicts: readonly EngagementVerdict[];
  unstable?: boolean;
}

/** A run in words and in its few numbers. */
export function RunSummary({ summary, verdicts, unstable = false }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <div className="run-summary" aria-live="polite">
      <ul>
        {verdicts.map((v) => (
          <li key={v} data-good={v === 'clean'}>
            {t(`clutch.runs.${v}`)}
          </li>
        ))}
        {unstable && <li data-good="false">{t('clutch.runs.unstable')}</li>}
      </ul>
      <span className="quiet">
        {t('clutch.runSaid', {
          slip: formatNumber(summary.slipTime, 1),
          heat: numbers.quantity(summary.heat / 1000, 'energy'),
          hottest: numbers.quantity(Math.round(summary.peakC), 'temperature'),
          jerk: formatNumber(summary.jerk, 0),
          rolled: formatNumber(summary.rolledBack, 2),
        })}
      </span>
    </div>
  );
}
