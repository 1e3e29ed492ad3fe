import { Checkbox } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Unit } from '../../../core/geartrain';
import { rangeName } from '../../shared/unitNames';

interface Props {
  unit: Unit;
  /** In the unit's order. */
  ranges: readonly string[];
  onRanges: (ranges: string[]) => void;
}

/** Which rows of a unit's chart are asked for. */
export function RangesField({ unit, ranges, onRanges }: Props) {
  const { t } = useTranslation();
  return (
    <div className="field">
      <span className="label">{t('unitBlock.rows')}</span>
      <Checkbox.Group
        value={[...ranges]}
        onChange={(ids) => onRanges(unit.ranges.map((r) => r.id).filter((id) => ids.includes(id)))}
        options={unit.ranges.map((r) => ({ value: r.id, label: rangeName(unit, r.id) }))}
      />
    </div>
  );
}
