import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { FaultCase } from '../../../core/faults';
import {
  gradeFault,
  type FaultAnswer,
  type FaultKeyResult,
  type QuestionBlock,
  type WhichTestQuestion,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { ChartOverlay } from '../../faults/ChartOverlay';
import { checkName, checkText, readingText } from '../../faults/faultWords';
import { Ticket } from '../../faults/Ticket';
import { formatShare, useNumbers } from '../../shared/numbers';
import type { DeskSession } from '../../workers/faultWorker';
import { faultAnswerText, faultKeyText, faultPrompt, faultReason } from '../faultQuestionWords';
import { Choices } from './Choices';
import type { Next } from './NextButton';
import { answerNow, roundBegun, selectPlayer } from './playerSlice';
import { PredictionForm } from './PredictionForm';
import { QuestionAside } from './QuestionAside';
import { RevealFrame } from './RevealFrame';
import { useCommit } from './useCommit';
import { useKept } from '../../shared/kept';

interface Props {
  block: QuestionBlock & { question: WhichTestQuestion };
  faultCase: FaultCase;
  session: DeskSession;
  round: number;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** A complaint with some readings: which check says most for its minutes? */
export function WhichTestStage(props: Props) {
  const { block, faultCase, session, round, heading, blocks, next } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const dispatch = useAppDispatch();
  const { question } = block;
  const unit = faultCase.unit ?? null;
  const subject = useMemo(() => ({ unit: null, faultCase }), [faultCase]);
  const { commit, unsaved } = useCommit(block, { kind: 'fault', subject }, round);
  const committed = answerNow(useAppSelector(selectPlayer), block.id);
  const [key, setKey] = useState<FaultKeyResult | null>(null);
  const [choice, setChoice] = useKept<string | null>('WhichTestStage choice', null);
  useEffect(() => {
    let here = true;
    void session.rank(question).then((ranked) => {
      if (here) setKey(ranked);
    });
    return () => {
      here = false;
    };
  }, [session, question]);
  const ranked = key?.ok && key.key.kind === 'which-test' ? key.key : null;
  const answer: FaultAnswer | null = choice === null ? null : { kind: 'which-test', check: choice };
  const given = committed?.answer as FaultAnswer | undefined;
  const graded = given && key ? gradeFault(question, subject, given, key) : null;
  const model = key && faultKeyText(t, question, subject, key);
  return (
    <>
      <div className="player-sheet fault-stage">
        <Ticket faultCase={faultCase} session={session} log={[]} />
        {ranked && (
          <ul className="which-readings">
            {ranked.readings.map((r) => (
              <li key={r.check.id}>
                {checkName(t, unit, r.check)}{' '}
                <strong>{readingText(t, numbers, r.check, r.answer)}</strong>
              </li>
            ))}
          </ul>
        )}
        {unit && ranked && (
          <ChartOverlay unit={unit} readings={ranked.readings} reasoned={committed !== undefined} />
        )}
        {committed && ranked && (
          <table className="plain fault-row">
            <caption className="quiet">{t('faultPrompts.ranking', { count: ranked.left })}</caption>
            <thead>
              <tr>
                <th scope="col">{t('faultPrompts.test')}</th>
                <th scope="col" className="num">
                  {t('faultPrompts.bits')}
                </th>
                <th scope="col" className="num">
                  {t('faultPrompts.bitsPerTen')}
                </th>
              </tr>
            </thead>
            <tbody>
              {ranked.ranked.map((n) => (
                <tr key={n.check.id}>
                  <th scope="row">{checkText(t, unit, n.check)}</th>
                  <td className="num">{formatShare(2 ** -n.bits)}</td>
                  <td className="num">{formatShare(2 ** (-10 * n.worth))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <QuestionAside
        heading={heading}
        blocks={blocks}
        unsaved={unsaved}
        fault={key && !key.ok ? key.fault : null}
      >
        {committed && graded?.ok && model ? (
          <RevealFrame
            prompt={faultPrompt(t, question, subject)}
            answer={committed}
            parts={[]}
            said={faultAnswerText(t, subject, given!)}
            model={model}
            reason={faultReason(t, committed.misconception ?? null)}
            next={next}
            onAgain={() => dispatch(roundBegun(block.id))}
            again={t('reveal.againSame')}
          />
        ) : (
          key && (
            <PredictionForm
              prompt={faultPrompt(t, question, subject)}
              answer={answer}
              onCommit={(said, confidence) =>
                commit(said, confidence, gradeFault(question, subject, said, key))
              }
            >
              <Choices
                label={t('question.yourChoice')}
                value={choice}
                onValue={setChoice}
                options={session.checks
                  .filter((c) => question.offered.includes(c.id))
                  .map((c) => ({ value: c.id, label: checkText(t, unit, c) }))}
              />
            </PredictionForm>
          )
        )}
      </QuestionAside>
    </>
  );
}
