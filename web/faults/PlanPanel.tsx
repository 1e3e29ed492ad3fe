import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  cheapestPlan,
  nextChecks,
  suspects,
  type Candidate,
  type Check,
  type Priors,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { formatShare } from '../shared/numbers';
import { checkText } from './faultWords';

const SHOWN = 3;
/** Past this many faults a plan for all is a whole shop manual. */
const MOST_PLANNED = 12;

interface Props {
  unit: Unit;
  checks: readonly Check[];
  rows: readonly Candidate[];
  priors: Priors;
}

/** For the faults that are left: what to ask next, and the cheapest set of checks that tells all of them apart. */
export function PlanPanel({ unit, checks, rows, priors }: Props) {
  const { t } = useTranslation();
  const next = useMemo(
    () => nextChecks(suspects(rows, [], priors), checks, []),
    [rows, checks, priors],
  );
  const plan = useMemo(
    () => (rows.length > 1 && rows.length <= MOST_PLANNED ? cheapestPlan(checks, rows) : null),
    [rows, checks],
  );
  if (rows.length < 2) return null;
  return (
    <div className="atlas-detail">
      <strong>{t('atlas.askNext')}</strong>
      <ol>
        {next.slice(0, SHOWN).map(({ check, bits }) => (
          <li key={check.id}>
            {checkText(t, unit, check)}
            <span className="quiet">{t('atlas.bits', { share: formatShare(2 ** -bits) })}</span>
          </li>
        ))}
      </ol>
      {plan && (
        <>
          <strong>
            {t(plan.exact ? 'atlas.plan' : 'atlas.planCut', { minutes: plan.minutes })}
          </strong>
          <ol>
            {plan.checks.map((c) => (
              <li key={c.id}>{checkText(t, unit, c)}</li>
            ))}
          </ol>
          {plan.inseparable.length > 0 && (
            <p className="quiet">{t('atlas.pairsLeft', { count: plan.inseparable.length })}</p>
          )}
        </>
      )}
    </div>
  );
}
