import { ValueSlider } from '../shared/ValueSlider';
import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { formatNumber } from '../shared/numbers';
import type { DrivingProps } from './benchParts';
import { useGears } from './useGears';

/** The unit behind the converter, and how steep the road is. */
export function UnitAndGrade({ bench, onBench }: Pick<DrivingProps, 'bench' | 'onBench'>) {
  const { t } = useTranslation();
  const { units, unit } = useGears(bench.unitId);
  return (
    <>
      <Select
        aria-label={t('apply.unit')}
        value={unit?.id ?? null}
        onChange={(unitId) => onBench({ unitId })}
        style={{ width: 190 }}
        options={units.map((u) => ({ value: u.id, label: u.name }))}
      />
      <span>
        {t('launch.grade')} <strong>{formatNumber(100 * bench.grade, 0)} %</strong>
      </span>
      <ValueSlider
        min={0}
        max={30}
        value={Math.round(100 * bench.grade)}
        onValue={(v) => onBench({ grade: v / 100 })}
        label={t('launch.grade')}
        style={{ width: 110 }}
      />
    </>
  );
}
