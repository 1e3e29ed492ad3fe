import { DeleteOutlined, PlusOutlined } from '../../shared/icons';
import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { LessonStep } from '../../../core/lesson';
import { SortableList } from '../../shared/SortableList';

interface Props {
  steps: readonly LessonStep[];
  current: string;
  onChoose: (id: string) => void;
  onMove: (from: number, to: number) => void;
  onRemove: (id: string) => void;
  onAdd: () => void;
}

/** The lesson's steps: choose, move by drag or keyboard, add, take out (undo brings back). */
export function StepList({ steps, current, onChoose, onMove, onRemove, onAdd }: Props) {
  const { t } = useTranslation();
  const nameOf = (step: LessonStep) => step.title || t('builder.untitledStep');
  return (
    <div>
      <h2 className="label" style={{ marginBottom: 6 }}>
        {t('player.steps')}
      </h2>
      <SortableList
        className="builder-steps"
        label={t('player.steps')}
        items={steps}
        nameOf={nameOf}
        onMove={onMove}
      >
        {(step, handle, index) => (
          <>
            {handle}
            <button
              type="button"
              className="builder-step-name"
              aria-current={step.id === current ? 'step' : undefined}
              onClick={() => onChoose(step.id)}
            >
              {index + 1} {nameOf(step)}
            </button>
            <Button
              type="text"
              size="small"
              icon={<DeleteOutlined />}
              aria-label={t('builder.removeStep', { name: nameOf(step) })}
              onClick={() => onRemove(step.id)}
            />
          </>
        )}
      </SortableList>
      <Button icon={<PlusOutlined />} onClick={onAdd} block>
        {t('builder.addStep')}
      </Button>
    </div>
  );
}
