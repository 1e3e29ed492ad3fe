import { Button } from 'antd';
import { useContext } from 'react';
import { useTranslation } from 'react-i18next';
import { bodyFor, type BoltOrderQuestion, type OilRig } from '../../../../core/lesson';
import { Choices } from '../../player/Choices';
import { PaperContext } from '../../player/onPaper';
import type { OilDraft } from './draft';

interface Props {
  question: BoltOrderQuestion;
  rig: OilRig;
  draft: OilDraft;
  onDraft: (change: Partial<OilDraft>) => void;
}

const WAYS = ['turns', 'at-once'] as const;

/** Which bolts are marked by now, and how each is turned. */
export function BoltFields({ question, rig, draft, onDraft }: Props) {
  const { t } = useTranslation();
  const many = bodyFor(rig, question).bolts.length;
  const { bolts, inTurns } = draft;
  const onPaper = useContext(PaperContext) !== null;
  return (
    <>
      {onPaper && <p>{t('oilPrompts.bolts.onPaper')}</p>}
      <div className="bolt-count">
        <p className="quiet" aria-live="polite">
          {bolts.length === 0
            ? t('oilPrompts.bolts.how')
            : t('oilPrompts.bolts.marked', { order: bolts.join(' '), n: bolts.length, many })}
        </p>
        {bolts.length > 0 && (
          <Button onClick={() => onDraft({ bolts: [] })}>{t('oilPrompts.bolts.again')}</Button>
        )}
      </div>
      <Choices
        label={t(`oilPrompts.bolts.turned.${question.job}`)}
        value={inTurns === null ? null : inTurns ? 'turns' : 'at-once'}
        onValue={(way) => onDraft({ inTurns: way === 'turns' })}
        options={WAYS.map((value) => ({
          value,
          label: t(`oilPrompts.bolts.ways.${question.job}.${value}`),
        }))}
      />
    </>
  );
}
