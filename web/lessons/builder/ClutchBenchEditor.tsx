import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Clutch } from '../../../core/clutch';
import type { ClutchBenchBlock, PackBenchBlock } from '../../../core/lesson';
import { ClutchControls } from '../../clutch/ClutchControls';
import { ClutchDrawing } from '../../clutch/ClutchDrawing';
import { ClutchReadout } from '../../clutch/ClutchReadout';
import { useClutchModel } from '../../clutch/useClutchModel';
import { PackReadout } from '../../packs/PackReadout';
import { StackView } from '../../packs/StackView';
import { AllowRow } from './AllowRow';
import type { EditsBlock } from './editsBlock';
import { ModelPicker } from './ModelPicker';
import { useClutchRig } from './useClutchRig';

const ALL = { wear: true, adjust: true, fault: true } as const;
const CLUTCH_ALLOW = ['pedal', 'wear', 'adjust', 'fault'] as const;
const PACK_ALLOW = ['plates', 'pressure'] as const;

/** A dry clutch for the student to operate: which, how it stands, and what may be done. */
export function ClutchBenchEditor({ block, onBlock }: EditsBlock<ClutchBenchBlock>) {
  const { t } = useTranslation();
  const clutch = useClutchRig(block).rig?.clutch;
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/clutch"
        label={t('modelLibrary.clutches.one')}
        value={block.clutch}
        onModel={(m) => onBlock({ ...block, clutch: m.id }, [m])}
      />
      {clutch && <Setup block={block} clutch={clutch} onBlock={onBlock} />}
      <AllowRow
        allow={block.allow}
        of={CLUTCH_ALLOW}
        name={(key) => t(`clutchBlock.allow.${key}`)}
        onAllow={(change) => onBlock({ ...block, allow: { ...block.allow, ...change } })}
      />
    </>
  );
}

function Setup({ block, clutch, onBlock }: EditsBlock<ClutchBenchBlock> & { clutch: Clutch }) {
  const setting = { ...block.setting, adjusted: true };
  const model = useClutchModel(clutch, setting, setting.pedal);
  if (!model) return null;
  return (
    <div className="converter-block">
      <div className="unit-block-sheet">
        <ClutchDrawing
          clutch={clutch}
          model={model}
          onPedal={(pedal) => onBlock({ ...block, setting: { ...block.setting, pedal } })}
        />
      </div>
      <div className="converter-block-side">
        <ClutchReadout clutch={clutch} model={model} asked={null} />
        <ClutchControls
          clutch={clutch}
          setting={setting}
          allow={ALL}
          onSetting={({ wear, forkRod, turnbuckle, fault }) =>
            onBlock({
              ...block,
              setting: {
                ...block.setting,
                wear: wear ?? block.setting.wear,
                forkRod: forkRod ?? block.setting.forkRod,
                turnbuckle: turnbuckle ?? block.setting.turnbuckle,
                fault: fault === undefined ? block.setting.fault : fault,
              },
            })
          }
        />
      </div>
    </div>
  );
}

/** A wet pack for the student to lay plates in and out of. */
export function PackBenchEditor({ block, onBlock }: EditsBlock<PackBenchBlock>) {
  const { t } = useTranslation();
  const pack = useClutchRig(block).rig?.pack;
  const [plate, setPlate] = useState<string | null>(null);
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/clutch-pack"
        label={t('modelLibrary.clutchPacks.one')}
        value={block.pack}
        onModel={(m) => onBlock({ ...block, pack: m.id }, [m])}
      />
      {pack && (
        <div className="converter-block">
          <div className="unit-block-sheet">
            <StackView pack={pack} plate={plate} onPlate={setPlate} />
          </div>
          <div className="converter-block-side">
            <PackReadout pack={pack} heat={null} works drumRpm={0} />
          </div>
        </div>
      )}
      <AllowRow
        allow={block.allow}
        of={PACK_ALLOW}
        name={(key) => t(`clutchBlock.allow.${key}`)}
        onAllow={(change) => onBlock({ ...block, allow: { ...block.allow, ...change } })}
      />
    </>
  );
}
