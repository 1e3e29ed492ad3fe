import { Button, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { stringify } from 'safe-stable-stringify';
import type { Documents, ModelKind } from '../../../core/formats';
import { useLessonModels } from './useLessonModels';

interface Props<K extends ModelKind> {
  kind: K;
  label: string;
  /** Id of the model chosen; empty while none is. */
  value: string;
  onModel: (model: Documents[K]) => void;
}

/** Chooses a model. The lesson carries it as it is now; a later version is taken over on request. */
export function ModelPicker<K extends ModelKind>({ kind, label, value, onModel }: Props<K>) {
  const { t } = useTranslation();
  const { library, models } = useLessonModels(kind);
  const chosen = models.find((m) => m.id === value);
  const stored = library.byId[value];
  const newer = chosen && stored && stringify(stored) !== stringify(chosen);
  return (
    <div className="row">
      <Select
        aria-label={label}
        value={value || null}
        placeholder={t('unitBlock.choose')}
        style={{ width: 230 }}
        onChange={(id) => {
          const model = models.find((m) => m.id === id);
          if (model) onModel(model);
        }}
        options={models.map((m) => ({ value: m.id, label: m.name }))}
      />
      {newer && (
        <Button size="small" onClick={() => onModel(stored)}>
          {t('unitBlock.takeNewer')}
        </Button>
      )}
    </div>
  );
}
