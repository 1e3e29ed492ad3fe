import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Model, ModelKind } from '../../core/formats';
import { useAppSelector } from '../state/hooks';
import { selectModels, type Shelf } from '../state/modelsSlice';
import { ModelSelect } from './ModelSelect';

interface Props {
  kind: ModelKind;
  own: Model | undefined;
  onModel: (model: Model | null) => void;
}

/** A part of the machine of a case or a job: the library's model is put into it as it is now. */
export function MachineRow({ kind, own, onModel }: Props) {
  const { t } = useTranslation();
  const shelf = useAppSelector(selectModels(kind)) as Shelf<Model>;
  return (
    <div className="case-part">
      <ModelSelect kind={kind} value={own?.id} onValue={(id) => onModel(shelf.byId[id] ?? null)} />
      <Button size="small" disabled={!own} onClick={() => onModel(null)}>
        {t('caseFields.leaveOut')}
      </Button>
    </div>
  );
}
