import { Checkbox } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { withRole, type GearSetSetup } from '../../../core/geartrain';
import type { BenchBlock, BenchPermissions, Block } from '../../../core/lesson';
import { EndViewSheet } from '../../ratio/EndViewSheet';
import { Findings } from '../../ratio/Findings';
import { RatioHeadline } from '../../ratio/RatioHeadline';
import { ReactionPicker } from '../../ratio/ReactionPicker';
import { SetControls } from '../../ratio/SetControls';
import { ToothTransport } from '../../bench/Transport';
import { useSetModel } from '../../ratio/useSetModel';
import { useTurning } from '../../bench/useTurning';

/** A live gear set: set up on the drawing itself, with what the student may change. */
export function BenchEditor({
  block,
  onBlock,
}: {
  block: BenchBlock;
  onBlock: (b: Block) => void;
}) {
  const { t } = useTranslation();
  const { allow } = block;
  const permit = (change: Partial<BenchPermissions>) =>
    onBlock({ ...block, allow: { ...allow, ...change } });
  return (
    <>
      <SetupEditor setup={block.setup} onSetup={(setup) => onBlock({ ...block, setup })} />
      <div className="row">
        <span className="label">{t('builder.studentMay')}</span>
        {(['roles', 'teeth', 'speed'] as const).map((key) => (
          <Checkbox
            key={key}
            checked={allow[key]}
            onChange={(e) => permit({ [key]: e.target.checked })}
          >
            {t(`builder.allow.${key}`)}
          </Checkbox>
        ))}
      </div>
    </>
  );
}

interface Props {
  setup: GearSetSetup;
  onSetup: (setup: GearSetSetup) => void;
}

/** The drawing with its controls beside it; also used for the set a question is about. */
export function SetupEditor({ setup, onSetup }: Props) {
  const [ringFollows, setRingFollows] = useState(true);
  const model = useSetModel(setup);
  const turning = useTurning(setup.inputSpeedRpm, true);
  return (
    <div className="bench-editor">
      <div className="bench-editor-sheet">
        <EndViewSheet
          setup={setup}
          model={model}
          turning={turning}
          mode="live"
          onRole={(port, role) => onSetup({ ...setup, roles: withRole(setup.roles, port, role) })}
          footer={<ToothTransport setup={setup} turning={turning} />}
        />
      </div>
      <div>
        <RatioHeadline solution={model.solution} onPaper={model.findings.length > 0} />
        <Findings
          set={setup.set}
          findings={model.findings}
          onSet={(set) => onSetup({ ...setup, set })}
        />
        <SetControls
          setup={setup}
          onSetup={onSetup}
          teeth
          speed
          ringFollows={ringFollows}
          onRingFollows={setRingFollows}
        />
        <ReactionPicker roles={setup.roles} onRoles={(roles) => onSetup({ ...setup, roles })} />
      </div>
    </div>
  );
}
