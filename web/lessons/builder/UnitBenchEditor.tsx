import { Checkbox } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { solveUnit, type Load, type Unit } from '../../../core/geartrain';
import { newBlock, type UnitBenchBlock } from '../../../core/lesson';
import { toggled } from '../../apply/applySlice';
import { LoadSwitch } from '../../apply/LoadSwitch';
import { Outcome } from '../../apply/Outcome';
import { Selector } from '../../apply/Selector';
import { UnitSheet } from '../../apply/UnitSheet';
import { useTurning } from '../../bench/useTurning';
import type { EditsBlock } from './editsBlock';
import { ModelPicker } from './ModelPicker';
import { useLessonModels } from './useLessonModels';

/** A whole unit for the student to operate: which one, what is on, and what may be done. */
export function UnitBenchEditor({ block, onBlock }: EditsBlock<UnitBenchBlock>) {
  const { t } = useTranslation();
  const unit = useLessonModels('fair-sprocket/unit').models.find((u) => u.id === block.unit);
  const allow = (change: Partial<UnitBenchBlock['allow']>) =>
    onBlock({ ...block, allow: { ...block.allow, ...change } });
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/unit"
        label={t('apply.unit')}
        value={block.unit}
        onModel={(next) =>
          onBlock(
            next.id === block.unit
              ? block
              : newBlock('unit-bench', block.id, undefined, { unit: next }),
            [next],
          )
        }
      />
      {unit && (
        <>
          <UnitSetupEditor
            unit={unit}
            apply={block.apply}
            load={block.load}
            onApply={(apply) => onBlock({ ...block, apply })}
            onLoad={(load) => onBlock({ ...block, load })}
          />
          <div className="row">
            <span className="label">{t('builder.studentMay')}</span>
            {(['elements', 'lever'] as const).map((key) => (
              <Checkbox
                key={key}
                checked={block.allow[key]}
                onChange={(e) => allow({ [key]: e.target.checked })}
              >
                {t(`unitBlock.allow.${key}`)}
              </Checkbox>
            ))}
          </div>
        </>
      )}
    </>
  );
}

interface SetupProps {
  unit: Unit;
  apply: readonly string[];
  load: Load;
  onApply: (apply: string[]) => void;
  onLoad: (load: Load) => void;
}

const EDITOR_RPM = 1200;

/** Which elements are on: on the drawing itself, or by the lever. */
export function UnitSetupEditor({ unit, apply, load, onApply, onLoad }: SetupProps) {
  const solution = useMemo(() => solveUnit(unit, apply, load), [unit, apply, load]);
  const turning = useTurning(EDITOR_RPM, true);
  return (
    <>
      <div className="unit-block-sheet">
        <UnitSheet
          unit={unit}
          solution={solution}
          turning={turning}
          onElement={(id) => onApply(toggled(apply, id))}
        />
      </div>
      <div className="unit-block-row">
        <LoadSwitch load={load} onLoad={onLoad} />
        <Selector ranges={unit.ranges} applied={apply} onRange={(range) => onApply(range.apply)} />
        <Outcome solution={solution} />
      </div>
    </>
  );
}
