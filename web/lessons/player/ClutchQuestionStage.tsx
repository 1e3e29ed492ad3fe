import { useMemo, type ReactNode } from 'react';
import {
  clutchKey,
  type ClutchAnswer,
  type ClutchQuestion,
  type ClutchRig,
  type QuestionBlock,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { clutchDraft, type ClutchDraft } from './clutchDraft';
import { ClutchPrediction } from './ClutchPrediction';
import { ClutchReveal } from './ClutchReveal';
import { ClutchStageSheet } from './ClutchStageSheet';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { QuestionAside } from './QuestionAside';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';

interface Props {
  block: QuestionBlock & { question: ClutchQuestion };
  rig: ClutchRig;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** A question about a clutch or a pack: predict, commit, see. Until the commit nothing tells the answer. */
export function ClutchQuestionStage({ block, rig, round, heading, blocks, next }: Props) {
  const dispatch = useAppDispatch();
  const { question } = block;
  const { commit, unsaved } = useCommit(block, { kind: 'clutch', rig }, round);
  const player = useAppSelector(selectPlayer);
  const committed = answerNow(player, block.id);
  const key = useMemo(() => clutchKey(question, rig), [question, rig]);
  const [draft, setDraft] = useKept<ClutchDraft>('ClutchQuestionStage draft', () =>
    clutchDraft(question, rig),
  );
  const change = (part: Partial<ClutchDraft>) =>
    setDraft({ ...draft, touched: draft.touched || !('pedal' in part), ...part });
  const given = committed?.answer as ClutchAnswer | undefined;
  return (
    <>
      <div className="player-sheet">
        <ClutchStageSheet
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
          <ClutchReveal
            question={question}
            rig={rig}
            known={key}
            answer={committed}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
          />
        ) : (
          <ClutchPrediction
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
