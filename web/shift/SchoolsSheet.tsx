import { Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Engine } from '../../core/converter';
import type { HydraulicPlan, OilShift } from '../../core/hydraulics';
import { runOilSchools } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { sameShift } from './sameUnit';
import { engineWishes } from './enginePush';
import { Verdicts } from './ShiftRun';

interface Props {
  setup: Omit<OilShift, 'circuit'>;
  /** As it was made. */
  plan: HydraulicPlan;
  engine: Engine | undefined;
}

/** The same upshift set soft and set firm, side by side. */
export function SchoolsSheet({ setup, plan, engine }: Props) {
  const { t } = useTranslation();
  const request = useMemo(
    () => ({ ...setup, plan, wishes: engineWishes(engine) }),
    [setup, plan, engine],
  );
  const { result, failure } = useSettledRun(request, runOilSchools, sameShift);
  if (failure) return <p role="alert">{failure}</p>;
  if (!result) return <Spin />;
  return (
    <div className="shift-schools">
      <Verdicts now={result.soft} before={result.firm} names={{ now: 'soft', before: 'firm' }} />
      <div>
        <p>{t('oil.schools.say')}</p>
        <p className="quiet">{t('oil.schools.how')}</p>
      </div>
    </div>
  );
}
