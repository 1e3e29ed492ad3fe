import { useMemo, type ReactNode } from 'react';
import {
  converterKey,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type QuestionBlock,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import type { ConverterDraft } from './converterDraft';
import { ConverterPrediction } from './ConverterPrediction';
import { ConverterReveal } from './ConverterReveal';
import { ConverterStageSheet } from './ConverterStageSheet';
import { orderToBegin } from './launchOrder';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { QuestionAside } from './QuestionAside';
import { blankSketch } from './sketchPaper';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';

interface Props {
  block: QuestionBlock & { question: ConverterQuestion };
  rig: ConverterRig;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** A question about a converter: predict, commit, see. Until the commit nothing tells the answer. */
export function ConverterQuestionStage({ block, rig, round, heading, blocks, next }: Props) {
  const dispatch = useAppDispatch();
  const { question } = block;
  const { commit, unsaved } = useCommit(block, { kind: 'converter', rig }, round);
  const player = useAppSelector(selectPlayer);
  const committed = answerNow(player, block.id);
  const key = useMemo(() => converterKey(question, rig), [question, rig]);
  const [draft, setDraft] = useKept<ConverterDraft>('ConverterQuestionStage draft', () => ({
    setting:
      question.kind === 'operate' ? question.start : { throttle: 1, turbineRpm: 0, lockUp: false },
    values: question.kind === 'sketch-curve' ? blankSketch(question.curve) : [],
    touched: false,
    order:
      key.ok && key.key.kind === 'launch-order'
        ? orderToBegin(key.key.events.map((e) => e.name))
        : [],
  }));
  const change = (part: Partial<ConverterDraft>) => setDraft({ ...draft, ...part });
  const given = committed?.answer as ConverterAnswer | undefined;
  return (
    <>
      <div className="player-sheet">
        <ConverterStageSheet
          question={question}
          rig={rig}
          keyNow={key.ok ? key.key : null}
          draft={draft}
          answer={given}
          onDraft={change}
        />
      </div>
      <QuestionAside
        heading={heading}
        blocks={blocks}
        unsaved={unsaved}
        fault={key.ok ? null : key.fault}
      >
        {committed ? (
          <ConverterReveal
            question={question}
            rig={rig}
            answer={committed}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
          />
        ) : (
          <ConverterPrediction
            question={question}
            rig={rig}
            draft={draft}
            onDraft={change}
            onCommit={commit}
          />
        )}
      </QuestionAside>
    </>
  );
}
