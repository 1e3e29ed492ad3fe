import { type ReactNode } from 'react';
import { planFaultProblem, USUAL_ENGINE, WARM_C } from '../../../core/hydraulics';
import type { OilRig, ShiftBenchBlock } from '../../../core/lesson';
import { BreakIt } from '../../shared/BreakIt';
import { Sheet } from '../../shared/Sheet';
import { useKept } from '../../shared/kept';
import { useTranslation } from 'react-i18next';
import { DrivingControls } from '../../shift/DrivingControls';
import { OilHeadline } from '../../shift/OilHeadline';
import { OilPlanView } from '../../shift/OilPlanView';
import { PlanFaultPicker } from '../../shift/PlanFaultPicker';
import { drivingIn, useLevers } from '../../shift/useLevers';
import { useOil } from '../../shift/useOil';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';

interface Props {
  block: ShiftBenchBlock;
  rig: OilRig;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** An oil plan to drive in a lesson: the student may do what the instructor allows. */
export function ShiftBenchStage({ block, rig: { plan, unit }, heading, blocks, next }: Props) {
  const { t } = useTranslation();
  const levers = useLevers(unit, plan);
  const [driving, setDriving] = useKept('ShiftBenchStage driving', {
    lever: levers.includes(block.lever) ? block.lever : drivingIn(unit, levers),
    throttle: block.throttle,
    outputRpm: block.outputRpm,
    celsius: WARM_C,
  });
  const [wanted, setWanted] = useKept('ShiftBenchStage fault', block.fault);
  const fault = wanted && planFaultProblem(plan, wanted) === null ? wanted : null;
  const oil = useOil(unit, plan, fault, { ...driving, idleRpm: USUAL_ENGINE.idleRpm });
  const change = (part: Partial<typeof driving>) => setDriving({ ...driving, ...part });
  return (
    <>
      <div className="player-sheet">
        <Sheet label={t('oil.sheet')}>
          <OilPlanView
            plan={plan}
            state={oil.state}
            running={oil.running}
            onLever={block.allow.driving ? (lever) => change({ lever }) : undefined}
          />
        </Sheet>
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        <OilHeadline unit={unit} plan={plan} oil={oil} />
        {block.allow.driving && (
          <DrivingControls levers={levers} driving={driving} gears={oil.gears} onDriving={change} />
        )}
        {block.allow.fault && (
          <BreakIt broken={fault !== null}>
            <PlanFaultPicker plan={plan} fault={fault} onFault={setWanted} />
          </BreakIt>
        )}
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}
