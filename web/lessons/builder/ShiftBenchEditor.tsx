import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { planFaultProblem, USUAL_ENGINE, WARM_C } from '../../../core/hydraulics';
import type { OilRig, ShiftBenchBlock } from '../../../core/lesson';
import { Sheet } from '../../shared/Sheet';
import { DrivingControls } from '../../shift/DrivingControls';
import { OilPlanView } from '../../shift/OilPlanView';
import { PlanFaultPicker } from '../../shift/PlanFaultPicker';
import { drivingIn, useLevers } from '../../shift/useLevers';
import { useOil } from '../../shift/useOil';
import { AllowRow } from './AllowRow';
import type { EditsBlock } from './editsBlock';
import { ModelPicker } from './ModelPicker';
import { useLessonModels } from './useLessonModels';

const ALLOW = ['driving', 'fault'] as const;

/** An oil plan for the student to drive: which, how it stands, and what may be done. */
export function ShiftBenchEditor({ block, onBlock }: EditsBlock<ShiftBenchBlock>) {
  const { t } = useTranslation();
  const { models: plans } = useLessonModels('fair-sprocket/hydraulics');
  const { models: units } = useLessonModels('fair-sprocket/unit');
  const plan = plans.find((p) => p.id === block.hydraulics);
  const unit = units.find((u) => u.id === block.unit);
  const rig = useMemo(() => (plan && unit ? { plan, unit, vehicle: null } : null), [plan, unit]);
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/hydraulics"
        label={t('modelLibrary.hydraulics.one')}
        value={block.hydraulics}
        onModel={(next) => {
          const fed = units.find((u) => u.id === next.unit);
          if (fed)
            onBlock({ ...block, hydraulics: next.id, unit: fed.id, fault: null }, [next, fed]);
        }}
      />
      {rig && <Setup block={block} rig={rig} onBlock={onBlock} />}
      <AllowRow
        allow={block.allow}
        of={ALLOW}
        name={(key) => t(`oilBlock.allow.${key}`)}
        onAllow={(change) => onBlock({ ...block, allow: { ...block.allow, ...change } })}
      />
    </>
  );
}

interface SetupProps extends EditsBlock<ShiftBenchBlock> {
  rig: OilRig;
}

function Setup({ block, rig: { plan, unit }, onBlock }: SetupProps) {
  const { t } = useTranslation();
  const levers = useLevers(unit, plan);
  const lever = levers.includes(block.lever) ? block.lever : drivingIn(unit, levers);
  const fault = block.fault && planFaultProblem(plan, block.fault) === null ? block.fault : null;
  const { throttle, outputRpm } = block;
  const driving = { lever, throttle, outputRpm, celsius: WARM_C };
  const oil = useOil(unit, plan, fault, { ...driving, idleRpm: USUAL_ENGINE.idleRpm });
  return (
    <div className="converter-block">
      <div className="unit-block-sheet">
        <Sheet label={t('oil.sheet')}>
          <OilPlanView plan={plan} state={oil.state} running={oil.running} />
        </Sheet>
      </div>
      <div className="converter-block-side">
        <DrivingControls
          levers={levers}
          driving={driving}
          gears={oil.gears}
          onDriving={({ celsius: _warm, ...change }) => onBlock({ ...block, ...change })}
        />
        <PlanFaultPicker
          plan={plan}
          fault={fault}
          onFault={(next) => onBlock({ ...block, fault: next })}
        />
      </div>
    </div>
  );
}
