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
import { isOf, newBlock, type Block, type BlockKind, type LessonStep } from '../../../core/lesson';
import { useAppDispatch, useServices } from '../../state/hooks';
import { SortableList } from '../../shared/SortableList';
import { BlockEditor } from './BlockEditor';
import { useLessonModels } from './useLessonModels';
import { useClutchRig } from './useClutchRig';
import { useRig } from './useRig';
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
  // A new question starts from the gear set that stands before it.
  const setup = step.blocks
    .map((b) =>
      b.kind === 'bench'
        ? b.setup
        : b.kind === 'question' && isOf('gear-set', b.question)
          ? b.question.setup
          : null,
    )
    .findLast((s) => s !== null);
  const unit = useLessonModels('fair-sprocket/unit').models[0];
  const { firstRig } = useRig({});
  const { clutch, pack } = useClutchRig({}).firstRig;
  const plan = useLessonModels('fair-sprocket/hydraulics').models[0];
  const fed = useLessonModels('fair-sprocket/unit').models.find((u) => u.id === plan?.unit);
  const add = (kind: BlockKind) => {
    const block = newBlock(kind, services.newId(), setup ?? undefined, {
      unit,
      ...(firstRig ? { converter: firstRig.converter.id, engine: firstRig.engine.id } : {}),
      ...(clutch ? { clutch: clutch.id } : {}),
      ...(pack ? { pack: pack.id } : {}),
      ...(plan ? { plan } : {}),
    });
    const models =
      kind === 'unit-bench' || kind === 'fault-table'
        ? unit && [unit]
        : kind === 'converter-bench'
          ? firstRig && [firstRig.converter, firstRig.engine]
          : kind === 'shift-bench'
            ? plan && fed && [plan, fed]
            : kind === 'clutch-bench'
              ? clutch && [clutch]
              : kind === 'pack-bench'
                ? pack && [pack]
                : null;
    dispatch(blockAdded({ stepId, block, at: step.blocks.length, ...(models ? { models } : {}) }));
  };
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
          <div className="block-card">
            <div className="block-head">
              {handle}
              {ICONS[block.kind]}
              <span className="block-kind">{t(`blocks.${block.kind}`)}</span>
              <Button
                type="text"
                size="small"
                icon={<CopyOutlined />}
                aria-label={t('builder.duplicateBlock', { name: nameOf(block) })}
                onClick={() => duplicate(block, index)}
              />
              <Button
                type="text"
                size="small"
                icon={<DeleteOutlined />}
                aria-label={t('builder.removeBlock', { name: nameOf(block) })}
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
