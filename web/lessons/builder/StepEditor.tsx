import {
  AlignLeftOutlined,
  ApartmentOutlined,
  BookOutlined,
  DeleteOutlined,
  CopyOutlined,
  PictureOutlined,
  QuestionCircleOutlined,
  ReloadOutlined,
  SettingOutlined,
  TableOutlined,
  NodeIndexOutlined,
  VerticalAlignBottomOutlined,
  WarningOutlined,
} from '../../shared/icons';
import { Button, Input } from 'antd';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME, MOST_TEXT } from '../../../core/formats';
import type { Block, BlockKind, LessonStep } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
import { SortableList } from '../../shared/SortableList';
import { BlockEditor } from './BlockEditor';
import { useNewBlock } from './useNewBlock';
import {
  blockAdded,
  blockChanged,
  blockMoved,
  blockRemoved,
  stepNoted,
  stepRenamed,
} from './draftSlice';

const ICONS: Readonly<Record<BlockKind, ReactNode>> = {
  text: <BookOutlined />,
  caution: <WarningOutlined />,
  picture: <PictureOutlined />,
  bench: <SettingOutlined />,
  'unit-bench': <ApartmentOutlined />,
  'converter-bench': <ReloadOutlined />,
  'shift-bench': <NodeIndexOutlined />,
  'clutch-bench': <VerticalAlignBottomOutlined />,
  'pack-bench': <AlignLeftOutlined />,
  'fault-table': <TableOutlined />,
  question: <QuestionCircleOutlined />,
};
const KINDS = Object.keys(ICONS) as BlockKind[];

/** One step: its title and its blocks, edited in place. */
export function StepEditor({ step }: { step: LessonStep }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const stepId = step.id;
  const newBlock = useNewBlock(step);
  const add = (kind: BlockKind) =>
    dispatch(blockAdded({ stepId, at: step.blocks.length, ...newBlock(kind) }));
  const duplicate = (block: Block, index: number) =>
    dispatch(blockAdded({ stepId, block: { ...block, id: services.newId() }, at: index + 1 }));
  const nameOf = (block: Block) =>
    t('builder.blockName', { kind: t(`blocks.${block.kind}`), n: step.blocks.indexOf(block) + 1 });

  return (
    <section className="builder-step" aria-label={step.title || t('builder.untitledStep')}>
      <div className="builder-step-head">
        <Input
          aria-label={t('builder.stepTitle')}
          placeholder={t('builder.stepTitle')}
          maxLength={MOST_NAME}
          value={step.title}
          onChange={(e) => dispatch(stepRenamed({ stepId, title: e.target.value }))}
        />
      </div>
      <label className="field builder-notes">
        <span className="label">{t('builder.notes')}</span>
        <Input.TextArea
          autoSize={{ minRows: 1, maxRows: 8 }}
          maxLength={MOST_TEXT}
          placeholder={t('builder.notesHow')}
          value={step.notes ?? ''}
          onChange={(e) => dispatch(stepNoted({ stepId, notes: e.target.value }))}
        />
      </label>
      <SortableList
        className="builder-blocks"
        label={t('builder.blocks')}
        items={step.blocks}
        nameOf={nameOf}
        onMove={(from, to) => dispatch(blockMoved({ stepId, from, to }))}
      >
        {(block, handle, index) => (
          <BlockCard
            block={block}
            stepId={stepId}
            name={nameOf(block)}
            handle={handle}
            onDuplicate={() => duplicate(block, index)}
          />
        )}
      </SortableList>
      <div className="block-add" role="group" aria-label={t('builder.addBlock')}>
        <span className="label">{t('builder.addBlock')}</span>
        {KINDS.map((kind) => (
          <Button key={kind} icon={ICONS[kind]} onClick={() => add(kind)}>
            {t(`blocks.${kind}`)}
          </Button>
        ))}
      </div>
    </section>
  );
}

interface CardProps {
  block: Block;
  stepId: string;
  name: string;
  /** What it is dragged by. */
  handle: ReactNode;
  onDuplicate: () => void;
}

function BlockCard({ block, stepId, name, handle, onDuplicate }: CardProps) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  return (
    <div className="block-card">
      <div className="block-head">
        {handle}
        {ICONS[block.kind]}
        <span className="block-kind">{t(`blocks.${block.kind}`)}</span>
        <Button
          type="text"
          size="small"
          icon={<CopyOutlined />}
          aria-label={t('builder.duplicateBlock', { name })}
          onClick={onDuplicate}
        />
        <Button
          type="text"
          size="small"
          icon={<DeleteOutlined />}
          aria-label={t('builder.removeBlock', { name })}
          onClick={() => dispatch(blockRemoved({ stepId, blockId: block.id }))}
        />
      </div>
      <div className="block-body">
        <BlockEditor
          block={block}
          onBlock={(next, models) =>
            dispatch(blockChanged({ stepId, block: next, ...(models ? { models } : {}) }))
          }
        />
      </div>
    </div>
  );
}
