import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import type { Unit } from '../../core/geartrain';
import { useAppSelector } from '../state/hooks';
import { onShelf, selectUnits } from '../state/modelsSlice';

/** Which unit is fed on the bench. */
export function UnitChoice({ unit }: { unit: Unit }) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const door = useLocation().pathname.startsWith('/learn') ? 'learn' : 'teach';
  const units = useAppSelector(selectUnits);
  return (
    <Select
      aria-label={t('apply.unit')}
      value={unit.id}
      onChange={(id) => void navigate(`/${door}/shift/${id}`)}
      options={onShelf(units).map((u) => ({ value: u.id, label: u.name }))}
    />
  );
}
