import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { LaidCase } from '../../../../core/faults';
import {
  FAULT_FAMILY,
  type FaultAnswer,
  type FaultKeyResult,
  type WhichTestQuestion,
} from '../../../../core/lesson';
import { ChartOverlay } from '../../../faults/ChartOverlay';
import { checkName, checkText, readingText } from '../../../faults/faultWords';
import { Ticket } from '../../../faults/Ticket';
import { useKept } from '../../../shared/kept';
import { formatShare, useNumbers } from '../../../shared/numbers';
import type { DeskSession } from '../../../workers/faultWorker';
import { Choices } from '../../player/Choices';
import { PredictionForm } from '../../player/PredictionForm';
import { StageFrame, type StageProps } from '../../player/StageFrame';
import { useAsked, type AskedBlock } from '../../player/useAsked';
import { FAULT_WORDS, faultPrompt } from './words';

interface Props extends Omit<StageProps<'fault'>, 'block'> {
  block: AskedBlock<'fault'> & { question: WhichTestQuestion };
  faultCase: LaidCase;
  session: DeskSession;
}

/** A complaint with some readings: which check says most for its minutes? */
export function WhichTestStage({ block, subject, faultCase, session, round, ...frame }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { question } = block;
  const unit = faultCase.unit ?? null;
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
  const asked = useAsked<'fault'>(FAULT_FAMILY, block, subject, round, key);
  const { committed, commit } = asked;
  const ranked = key?.ok && key.key.kind === 'which-test' ? key.key : null;
  const answer: FaultAnswer | null = choice === null ? null : { kind: 'which-test', check: choice };
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={FAULT_WORDS}
      sheetClass="fault-stage is-long"
      sheet={
        <>
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
            <ChartOverlay
              unit={unit}
              readings={ranked.readings}
              reasoned={committed !== undefined}
            />
          )}
          {committed && ranked && (
            <table className="plain fault-row">
              <caption className="quiet">
                {t('faultPrompts.ranking', { count: ranked.left })}
              </caption>
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
        </>
      }
      prediction={
        key && (
          <PredictionForm
            prompt={faultPrompt(t, question, subject.subject)}
            answer={answer}
            onCommit={commit}
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
      }
    />
  );
}
