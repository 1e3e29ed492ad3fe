import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { circuitOf, drivingLever, type HydraulicPlan } from '../../../core/hydraulics';
import { Sheet } from '../../shared/Sheet';
import { OilPlanView } from '../../shift/OilPlanView';

/** A plan as it stands driving gently. */
export function PlanPreview({ plan }: { plan: HydraulicPlan }) {
  const { t } = useTranslation();
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
  return (
    <Sheet label={t('oil.sheet')}>
      <OilPlanView plan={plan} state={state} running={running} />
    </Sheet>
  );
}
