import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { planFindings, type HydraulicPlan } from '../../../core/hydraulics';
import { NothingWrong } from '../../bench/NothingWrong';
import { FindingsList } from '../../shared/FindingsList';
import { useAppSelector } from '../../state/hooks';
import { selectUnits } from '../../state/modelsSlice';

/** What is wrong with a plan and the unit that it is for; or that nothing is. */
export function PlanFindings({ plan }: { readonly plan: HydraulicPlan }) {
  const { t } = useTranslation();
  const unit = useAppSelector(selectUnits).byId[plan.unit];
  const found = useMemo(() => planFindings(plan, unit), [plan, unit]);
  if (found.length === 0) return <NothingWrong />;
  return <FindingsList items={found.map((f) => t(`oil.findings.${f.kind}`, { about: f.about }))} />;
}
