import { useTranslation } from 'react-i18next';
import type { ConverterBenchBlock, ConverterRig } from '../../../core/lesson';
import { BenchControls } from '../../converter/BenchControls';
import { ConverterDrawing } from '../../converter/ConverterDrawing';
import { drawnMode } from '../../converter/wheelRoles';
import { Readout } from '../../converter/Readout';
import { useConverterModel } from '../../converter/useConverterModel';
import { ConverterPickers } from './ConverterPickers';
import { AllowRow } from './AllowRow';
import type { EditsBlock } from './editsBlock';
import { useRig } from './useRig';

const ALL = { throttle: true, turbine: true, lockUp: true, fault: true } as const;
const ALLOW = ['throttle', 'turbine', 'lockUp', 'fault'] as const;

/** An engine and a converter for the student to operate: which, how it stands, and what may be done. */
export function ConverterBenchEditor({ block, onBlock }: EditsBlock<ConverterBenchBlock>) {
  const { t } = useTranslation();
  const { rig } = useRig(block);
  return (
    <>
      <ConverterPickers
        named={{ converter: block.converter, engine: block.engine }}
        onModel={(field, model) => onBlock({ ...block, [field]: model.id }, [model])}
      />
      {rig && <Setup block={block} rig={rig} onBlock={onBlock} />}
      <AllowRow
        allow={block.allow}
        of={ALLOW}
        name={(key) => t(`converterBlock.allow.${key}`)}
        onAllow={(change) => onBlock({ ...block, allow: { ...block.allow, ...change } })}
      />
    </>
  );
}

interface SetupProps extends EditsBlock<ConverterBenchBlock> {
  rig: ConverterRig;
}

function Setup({ block, rig, onBlock }: SetupProps) {
  const { fault, match } = useConverterModel(rig.converter, rig.engine, block.setting, block.fault);
  return (
    <div className="converter-block">
      <div className="unit-block-sheet">
        <ConverterDrawing converter={rig.converter} point={match.point} mode={drawnMode(match)} />
      </div>
      <div className="converter-block-side">
        <Readout match={match} />
        <BenchControls
          converter={rig.converter}
          engine={rig.engine}
          setting={block.setting}
          fault={fault}
          allow={ALL}
          onSetting={(change) => onBlock({ ...block, setting: { ...block.setting, ...change } })}
          onFault={(next) => onBlock({ ...block, fault: next })}
        />
      </div>
    </div>
  );
}
