import { Button, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { stringify } from 'safe-stable-stringify';
import type { Unit } from '../../../core/geartrain';
import { useLessonUnits } from './useLessonUnits';

interface Props {
  /** Id of the unit chosen; empty while none is. */
  value: string;
  onUnit: (unit: Unit) => void;
}

/** Chooses a unit. The lesson carries it as it is now; a later version is taken over on request. */
export function UnitPicker({ value, onUnit }: Props) {
  const { t } = useTranslation();
  const { library, units } = useLessonUnits();
  const chosen = units.find((u) => u.id === value);
  const stored = library.byId[value];
  const newer = chosen && stored && stringify(stored) !== stringify(chosen);
  return (
    <div className="row">
      <Select
        aria-label={t('apply.unit')}
        value={value || null}
        placeholder={t('unitBlock.choose')}
        style={{ width: 260 }}
        onChange={(id) => {
          const unit = units.find((u) => u.id === id);
          if (unit) onUnit(unit);
        }}
        options={units.map((u) => ({ value: u.id, label: u.name }))}
      />
      {newer && (
        <Button size="small" onClick={() => onUnit(stored)}>
          {t('unitBlock.takeNewer')}
        </Button>
      )}
    </div>
  );
}
