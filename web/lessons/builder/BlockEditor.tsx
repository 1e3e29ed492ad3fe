import { Input, Select } from 'antd';
import { lazyPart } from '../../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import { CAUTION_TOPICS, type Block, type CautionBlock } from '../../../core/lesson';
import { CautionBox } from '../../bench/CautionBox';
import { BenchEditor } from './BenchEditor';
import { ClutchBenchEditor, PackBenchEditor } from './ClutchBenchEditor';
import { ConverterBenchEditor } from './ConverterBenchEditor';
import { FaultTableEditor } from './FaultTableEditor';
import { PictureEditor } from './PictureEditor';
import { QuestionEditor } from './QuestionEditor';
import type { EditsBlock } from './editsBlock';
import { ShiftBenchEditor } from './ShiftBenchEditor';
import { UnitBenchEditor } from './UnitBenchEditor';

const RichText = lazyPart(async () => (await import('./RichText')).RichText);

/** The editor of one block, in place. */
export function BlockEditor({ block, onBlock }: EditsBlock) {
  const { t } = useTranslation();
  switch (block.kind) {
    case 'text':
      return (
        <RichText
          label={t('blocks.text')}
          markdown={block.markdown}
          onMarkdown={(markdown) => onBlock({ ...block, markdown })}
        />
      );
    case 'caution':
      return <CautionEditor block={block} onBlock={onBlock} />;
    case 'picture':
      return <PictureEditor block={block} onBlock={onBlock} />;
    case 'bench':
      return <BenchEditor block={block} onBlock={onBlock} />;
    case 'unit-bench':
      return <UnitBenchEditor block={block} onBlock={onBlock} />;
    case 'converter-bench':
      return <ConverterBenchEditor block={block} onBlock={onBlock} />;
    case 'shift-bench':
      return <ShiftBenchEditor block={block} onBlock={onBlock} />;
    case 'clutch-bench':
      return <ClutchBenchEditor block={block} onBlock={onBlock} />;
    case 'pack-bench':
      return <PackBenchEditor block={block} onBlock={onBlock} />;
    case 'fault-table':
      return <FaultTableEditor block={block} onBlock={onBlock} />;
    case 'question':
      return <QuestionEditor block={block} onBlock={onBlock} />;
  }
}

function CautionEditor({ block, onBlock }: { block: CautionBlock; onBlock: (b: Block) => void }) {
  const { t } = useTranslation();
  return (
    <>
      <Select
        aria-label={t('caution.topic')}
        value={block.topic}
        onChange={(topic) => onBlock({ ...block, topic })}
        options={CAUTION_TOPICS.map((topic) => ({
          value: topic,
          label: t(`caution.names.${topic}`),
        }))}
      />
      <Input.TextArea
        aria-label={t('caution.ownWords')}
        placeholder={t('caution.ownWords')}
        autoSize={{ minRows: 1, maxRows: 6 }}
        value={block.markdown}
        onChange={(e) => onBlock({ ...block, markdown: e.target.value })}
      />
      <CautionBox block={block} />
    </>
  );
}
