import { type ReactNode } from 'react';
import { withRole, type Port } from '../../../core/geartrain';
import type { BenchBlock } from '../../../core/lesson';
import { EndViewSheet } from '../../ratio/EndViewSheet';
import { Findings } from '../../ratio/Findings';
import { RatioHeadline } from '../../ratio/RatioHeadline';
import { SetControls } from '../../ratio/SetControls';
import { toothAngle } from '../../bench/toothAngle';
import { Crank, ToothTransport } from '../../bench/Transport';
import { useSetModel } from '../../ratio/useSetModel';
import { useTurning } from '../../bench/useTurning';
import { useShortcuts } from '../../shared/useShortcuts';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';
import { useKept } from '../../shared/kept';

interface Props {
  block: BenchBlock;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** A free bench in a lesson: the student may change what the instructor allows. */
export function BenchStage({ block, heading, blocks, next }: Props) {
  const [setup, setSetup] = useKept('BenchStage setup', block.setup);
  const [ringFollows, setRingFollows] = useKept('BenchStage ringFollows', true);
  const [selected, setSelected] = useKept<Port | null>('BenchStage selected', null);
  const model = useSetModel(setup);
  const turning = useTurning(setup.inputSpeedRpm, true);
  const tooth = toothAngle(setup);
  useShortcuts({
    ' ': turning.toggle,
    s: turning.toggleSlow,
    ArrowRight: () => turning.stepBy(tooth),
    ArrowLeft: () => turning.stepBy(-tooth),
  });
  const { allow } = block;
  return (
    <>
      <div className="player-sheet is-worked">
        <EndViewSheet
          setup={setup}
          model={model}
          turning={turning}
          mode="live"
          selected={selected}
          onRole={
            allow.roles
              ? (port, role) => {
                  setSelected(port);
                  setSetup({ ...setup, roles: withRole(setup.roles, port, role) });
                }
              : undefined
          }
          footer={
            <>
              <ToothTransport setup={setup} turning={turning} />
              <Crank setup={setup} shown={model.shown} turning={turning} />
            </>
          }
        />
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        <RatioHeadline solution={model.solution} onPaper={model.findings.length > 0} />
        <Findings
          set={setup.set}
          findings={model.findings}
          onSet={allow.teeth ? (set) => setSetup({ ...setup, set }) : undefined}
        />
        <SetControls
          setup={setup}
          onSetup={setSetup}
          teeth={allow.teeth}
          speed={allow.speed}
          ringFollows={ringFollows}
          onRingFollows={setRingFollows}
        />
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}
