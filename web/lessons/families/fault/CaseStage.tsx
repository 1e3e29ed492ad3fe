import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  drawnCase,
  type DiagnosisGrade,
  type FaultCase,
  type LaidCase,
} from '../../../../core/faults';
import {
  FAULT_FAMILY,
  CONFIDENCES,
  diagnosisAssessed,
  type CaseQuestion,
  type Confidence,
} from '../../../../core/lesson';
import { Desk } from '../../../faults/Desk';
import { drawnName } from '../../../faults/faultWords';
import { Opening } from '../../../faults/Opening';
import { useDesk } from '../../../faults/useDesk';
import { NEW_WORK, type DeskWork } from '../../../faults/work';
import { useKept } from '../../../shared/kept';
import type { DeskSession } from '../../../workers/faultWorker';
import { QuestionFaultAlert } from '../../QuestionFaultAlert';
import { Choices } from '../../player/Choices';
import { NextButton } from '../../player/NextButton';
import type { StageProps } from '../../player/StageFrame';
import { UnsavedNotice } from '../../player/UnsavedNotice';
import { useAsked, type AskedBlock } from '../../player/useAsked';
import { WhichTestStage } from './WhichTestStage';
import { faultPrompt } from './words';
import './Stage.css';

interface Props extends Omit<StageProps<'fault'>, 'block'> {
  block: AskedBlock<'fault'> & { question: CaseQuestion };
  faultCase: FaultCase;
}

/** A question about a whole case: the case is laid out first, in a worker that alone knows what is wrong. */
export function CaseStage({ block, faultCase, ...frame }: Props) {
  const { t } = useTranslation();
  const { question } = block;
  const draw = (question.kind === 'diagnose' && question.draw) || null;
  const desk = useDesk(faultCase, draw);
  if (desk.kind === 'opening')
    return (
      <div className="case-stage is-long">
        {frame.heading}
        <Opening {...desk.progress} />
      </div>
    );
  if (desk.kind === 'failed')
    return (
      <div className="case-stage is-long">
        {frame.heading}
        <QuestionFaultAlert fault="case-broken" />
        <NextButton {...frame.next} />
      </div>
    );
  const laid = draw ? drawnCase(faultCase, draw, drawnName(t, faultCase)) : faultCase;
  const shared = { faultCase: laid, session: desk.session, ...frame };
  return question.kind === 'which-test' ? (
    <WhichTestStage block={{ ...block, question }} {...shared} />
  ) : (
    <DiagnoseStage block={block} {...shared} />
  );
}

interface DiagnoseProps extends Omit<Props, 'faultCase'> {
  faultCase: LaidCase;
  session: DeskSession;
}

/** The Fault desk as a question: nothing tells the answer before the verdict. */
function DiagnoseStage(props: DiagnoseProps) {
  const { block, subject, faultCase, session, round, heading, blocks, next } = props;
  const { t } = useTranslation();
  // The worker alone grades it, and its key stays there.
  const asked = useAsked<'fault'>(FAULT_FAMILY, block, subject, round, null);
  const { committed, commit, unsaved } = asked;
  const [work, setWork] = useKept<DeskWork>('CaseStage work', NEW_WORK);
  const [grade, setGrade] = useState<DiagnosisGrade | null>(null);
  const [confidence, setConfidence] = useKept<Confidence | null>('CaseStage confidence', null);
  const verdict = () => {
    if (confidence === null || work.remedy === null) return;
    const entries = work.log.map(({ check, expected, safe }) => ({ check, expected, safe }));
    const cause = [...work.named].sort().join(' + ');
    const answer = { kind: 'diagnose' as const, entries, cause, remedy: work.remedy };
    void session.grade(entries, { cause, remedy: work.remedy }).then((weighed) => {
      setGrade(weighed);
      commit(answer, confidence, diagnosisAssessed(weighed, answer));
    });
  };
  const again = () => {
    setWork(NEW_WORK);
    setGrade(null);
    asked.again();
  };
  return (
    <div className="case-stage is-long">
      <div className="case-stage-head">
        {heading}
        <p className="case-stage-prompt">{faultPrompt(t, block.question, subject.subject)}</p>
        {blocks}
        {unsaved && <UnsavedNotice {...unsaved} />}
      </div>
      {committed && !grade ? (
        <p className="quiet">{t('faultPrompts.doneBefore')}</p>
      ) : (
        <Desk
          faultCase={faultCase}
          session={session}
          work={work}
          mayHelp={false}
          grade={grade}
          verdictNeeds={
            <Choices
              label={t('question.howSure')}
              value={confidence}
              onValue={setConfidence}
              options={CONFIDENCES.map((c) => ({ value: c, label: t(`confidences.${c}`) }))}
            />
          }
          verdictReady={confidence !== null}
          onWork={(change) => setWork((now) => ({ ...now, ...change }))}
          onVerdict={verdict}
        />
      )}
      {committed && (
        <div className="row">
          <NextButton {...next} />
          <button type="button" className="link-like" onClick={again}>
            {t('reveal.again.fault')}
          </button>
        </div>
      )}
    </div>
  );
}
