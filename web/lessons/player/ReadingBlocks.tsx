import { CheckOutlined } from '../../shared/icons';
import { useTranslation } from 'react-i18next';
import type { Block, LessonStep } from '../../../core/lesson';
import { LazyMarkdown } from '../../shared/LazyMarkdown';
import { CautionBox } from '../../bench/CautionBox';
import { PictureView } from '../PictureView';
import { answerNow, type PlayerState } from './playerSlice';
import { takesSheet, type Focus } from './usePlayerStep';
import './ReadingBlocks.css';

interface Props {
  step: LessonStep;
  focus: Focus | null;
  benchesOpen: boolean;
  player: PlayerState;
  onFocus: (block: Focus) => void;
}

/** What is to be read in a step, in order; blocks that use the sheet stand as tabs to call them there. */
export function ReadingBlocks({ step, focus, benchesOpen, player, onFocus }: Props) {
  const tabs = step.blocks.filter(takesSheet);
  return (
    <>
      {step.blocks.map((block) => (
        <ReadingBlock key={block.id} block={block} />
      ))}
      {tabs.length > 1 && <SheetTabs tabs={tabs} {...{ focus, benchesOpen, player, onFocus }} />}
    </>
  );
}

function ReadingBlock({ block }: { block: Block }) {
  switch (block.kind) {
    case 'text':
      return <LazyMarkdown text={block.markdown} />;
    case 'caution':
      return <CautionBox block={block} />;
    case 'picture':
      return <PictureView block={block} />;
    case 'bench':
    case 'unit-bench':
    case 'converter-bench':
    case 'shift-bench':
    case 'clutch-bench':
    case 'pack-bench':
    case 'fault-table':
    case 'question':
      return null;
  }
}

interface TabProps extends Omit<Props, 'step'> {
  tabs: readonly Focus[];
}

function SheetTabs({ tabs, focus, benchesOpen, player, onFocus }: TabProps) {
  const { t } = useTranslation();
  const questions = tabs.filter((tab) => tab.kind === 'question');
  return (
    <div className="sheet-tabs" role="group" aria-label={t('player.onSheet')}>
      {tabs.map((tab) => {
        const isQuestion = tab.kind === 'question';
        return (
          <button
            key={tab.id}
            type="button"
            aria-pressed={focus?.id === tab.id}
            disabled={!isQuestion && !benchesOpen}
            title={!isQuestion && !benchesOpen ? t('player.benchSealed') : undefined}
            onClick={() => onFocus(tab)}
          >
            {isQuestion
              ? t('player.question', { n: questions.indexOf(tab) + 1 })
              : t('player.bench')}
            {isQuestion && answerNow(player, tab.id) && (
              <CheckOutlined aria-label={t('player.done')} />
            )}
          </button>
        );
      })}
    </div>
  );
}
