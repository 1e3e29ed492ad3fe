import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  circuitOf,
  drivingLever,
  planFindings,
  type HydraulicPlan,
} from '../../../core/hydraulics';
import { NothingWrong } from '../../bench/NothingWrong';
import { FindingsList } from '../../shared/FindingsList';
import { Sheet } from '../../shared/Sheet';
import { OilPlanView } from '../../shift/OilPlanView';
import { useAppSelector } from '../../state/hooks';
import { selectUnits } from '../../state/modelsSlice';

/** A plan as it stands driving gently, and what is wrong with it. */
export function PlanPreview({ plan }: { plan: HydraulicPlan }) {
  const { t } = useTranslation();
  const unit = useAppSelector(selectUnits).byId[plan.unit];
  const running = useMemo(
    () => ({
      lever: drivingLever(plan),
      throttle: 0.3,
      outputRpm: 0,
      engineRpm: 1500,
      celsius: 80,
    }),
    [plan],
  );
  const state = useMemo(() => circuitOf(plan).at(running), [plan, running]);
  const found = useMemo(() => planFindings(plan, unit), [plan, unit]);
  return (
    <>
      <Sheet label={t('oil.sheet')}>
        <OilPlanView plan={plan} state={state} running={running} />
      </Sheet>
      {found.length === 0 ? (
        <NothingWrong />
      ) : (
        <FindingsList items={found.map((f) => t(`oil.findings.${f.kind}`, { about: f.about }))} />
      )}
    </>
  );
}
