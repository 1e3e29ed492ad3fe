import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import type { ModelKind } from '../../core/formats';
import { LIST_OF } from '../../core/lesson';
import { useAppSelector } from '../state/hooks';
import { onShelf, selectModels, type Shelf } from '../state/modelsSlice';

interface Props {
  kind: ModelKind;
  value: string | undefined;
  onValue: (id: string) => void;
}

/** Which model of a shelf stands on a bench. */
export function ModelSelect({ kind, value, onValue }: Props) {
  const { t } = useTranslation();
  const shelf = useAppSelector(selectModels(kind)) as Shelf<{ id: string; name: string }>;
  if (shelf.ids.length === 0) return null;
  return (
    <Select
      aria-label={t(`modelLibrary.${LIST_OF[kind]}.one`)}
      value={value ?? null}
      placeholder={t(`modelLibrary.${LIST_OF[kind]}.one`)}
      onChange={(id) => id !== null && onValue(id)}
      options={onShelf(shelf).map((m) => ({ value: m.id, label: m.name }))}
    />
  );
}
