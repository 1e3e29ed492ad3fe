import { useState, type ReactNode } from 'react';
import type { ClutchPack, Clutch } from '../../../core/clutch';
import type { ClutchBenchBlock, PackBenchBlock } from '../../../core/lesson';
import { ClutchControls } from '../../clutch/ClutchControls';
import { ClutchDrawing } from '../../clutch/ClutchDrawing';
import { ClutchReadout } from '../../clutch/ClutchReadout';
import { useClutchModel } from '../../clutch/useClutchModel';
import { usePedalKeys } from '../../clutch/usePedalKeys';
import { PackFindings } from '../../packs/PackFindings';
import { PackReadout } from '../../packs/PackReadout';
import { PressureSlider } from '../../packs/PressureSlider';
import { StackView } from '../../packs/StackView';
import { BROKEN_PACK, packFindings } from '../../../core/clutch';
import { useServices } from '../../state/hooks';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';
import { useKept } from '../../shared/kept';

interface Frame {
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

interface ClutchProps extends Frame {
  block: ClutchBenchBlock;
  clutch: Clutch;
}

/** A dry clutch to operate in a lesson: the student may do what the instructor allows. */
export function ClutchBenchStage({ block, clutch, heading, blocks, next }: ClutchProps) {
  const [setting, setSetting] = useKept('ClutchBenchStage setting', {
    ...block.setting,
    adjusted: true,
  });
  const { allow } = block;
  const model = useClutchModel(clutch, setting, setting.pedal);
  const pedal = (share: number) => {
    if (allow.pedal) setSetting({ ...setting, pedal: share });
  };
  usePedalKeys(setting.pedal, pedal);
  return (
    <>
      <div className="player-sheet">
        {model && (
          <ClutchDrawing
            clutch={clutch}
            model={model}
            {...(allow.pedal ? { onPedal: pedal } : {})}
          />
        )}
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        {model && <ClutchReadout clutch={clutch} model={model} asked={null} />}
        <ClutchControls
          clutch={clutch}
          setting={setting}
          allow={allow}
          onSetting={(change) => setSetting({ ...setting, ...change })}
        />
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}

interface PackProps extends Frame {
  block: PackBenchBlock;
  pack: ClutchPack;
}

/** A wet pack to lay plates in and out of in a lesson. */
export function PackBenchStage({ block, pack: given, heading, blocks, next }: PackProps) {
  const services = useServices();
  const [pack, setPack] = useState(given);
  const [plate, setPlate] = useState<string | null>(null);
  const findings = packFindings(pack);
  const works = !findings.some((f) => BROKEN_PACK.includes(f.code));
  return (
    <>
      <div className="player-sheet">
        <StackView
          pack={pack}
          plate={plate}
          onPlate={setPlate}
          onPack={block.allow.plates ? setPack : undefined}
          newId={() => services.newId()}
        />
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        <PackReadout pack={pack} heat={null} works={works} drumRpm={0} />
        <PackFindings findings={findings} />
        {block.allow.pressure && <PressureSlider pack={pack} given={given} onPack={setPack} />}
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}
