import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { faultKey, rigOfUnit, singleFaults } from '../../../core/faults';
import type { FaultTableBlock } from '../../../core/lesson';
import { faultText } from '../../faults/faultWords';
import { AllowRow } from './AllowRow';
import type { EditsBlock } from './editsBlock';
import { ModelPicker } from './ModelPicker';
import { useLessonModels } from './useLessonModels';

/** Faults of a unit by range for the student to read: of which unit, and which of them. */
export function FaultTableEditor({ block, onBlock }: EditsBlock<FaultTableBlock>) {
  const { t } = useTranslation();
  const unit = useLessonModels('fair-sprocket/unit').models.find((u) => u.id === block.unit);
  const faults = useMemo(() => (unit ? singleFaults(rigOfUnit(unit)) : []), [unit]);
  const keyOf = (f: FaultTableBlock['faults'][number]) => faultKey([f]);
  return (
    <>
      <ModelPicker
        kind="fair-sprocket/unit"
        label={t('apply.unit')}
        value={block.unit}
        onModel={(next) => onBlock({ ...block, unit: next.id, faults: [] }, [next])}
      />
      {unit && (
        <label className="field">
          <span className="label">{t('faultBlock.rows')}</span>
          <Select
            aria-label={t('faultBlock.rows')}
            mode="multiple"
            placeholder={t('faultBlock.allRows')}
            value={block.faults.map(keyOf)}
            onChange={(keys) =>
              onBlock({
                ...block,
                faults: faults
                  .filter((f) => keys.includes(keyOf(f)))
                  .map(({ target, kind }) => ({ target, kind })),
              })
            }
            optionFilterProp="label"
            options={faults.map((f) => ({ value: keyOf(f), label: faultText(t, unit, [f]) }))}
          />
        </label>
      )}
      <AllowRow
        allow={block.allow}
        of={['filter']}
        name={(key) => t(`faultBlock.allow.${key}`)}
        onAllow={(change) => onBlock({ ...block, allow: { ...block.allow, ...change } })}
      />
    </>
  );
}
