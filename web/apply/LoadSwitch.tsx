import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Load } from '../../core/geartrain';

/** Who pushes: the engine, or the road. */
export function LoadSwitch({ load, onLoad }: { load: Load; onLoad: (load: Load) => void }) {
  const { t } = useTranslation();
  return (
    <Segmented
      aria-label={t('apply.load')}
      value={load}
      onChange={onLoad}
      options={(['drive', 'coast'] as const).map((l) => ({ value: l, label: t(`loads.${l}`) }))}
    />
  );
}
