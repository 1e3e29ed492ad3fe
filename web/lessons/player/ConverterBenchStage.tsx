import { type ReactNode } from 'react';
import type { ConverterBenchBlock, ConverterRig } from '../../../core/lesson';
import { BenchControls } from '../../converter/BenchControls';
import { ConverterDrawing } from '../../converter/ConverterDrawing';
import { drawnMode } from '../../converter/wheelRoles';
import { Readout } from '../../converter/Readout';
import { useConverterModel } from '../../converter/useConverterModel';
import { useShortcuts } from '../../shared/useShortcuts';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';
import { useKept } from '../../shared/kept';

interface Props {
  block: ConverterBenchBlock;
  rig: ConverterRig;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** An engine and a converter to operate in a lesson: the student may do what the instructor allows. */
export function ConverterBenchStage({ block, rig, heading, blocks, next }: Props) {
  const [setting, setSetting] = useKept('ConverterBenchStage setting', block.setting);
  const [wanted, setWanted] = useKept('ConverterBenchStage wanted', block.fault);
  const { converter, engine } = rig;
  const { fault, match } = useConverterModel(converter, engine, setting, wanted);
  const { allow } = block;
  const change = (part: Partial<typeof setting>) => setSetting({ ...setting, ...part });
  useShortcuts(
    allow.lockUp && converter.lockUpCapacity !== undefined
      ? { l: () => change({ lockUp: !setting.lockUp }) }
      : {},
  );
  return (
    <>
      <div className="player-sheet">
        <ConverterDrawing converter={converter} point={match.point} mode={drawnMode(match)} keys />
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        <Readout match={match} />
        <BenchControls
          converter={converter}
          engine={engine}
          setting={setting}
          fault={fault}
          allow={allow}
          onSetting={change}
          onFault={setWanted}
        />
        <NextButton {...next} />
      </PlayerSide>
    </>
  );
}
