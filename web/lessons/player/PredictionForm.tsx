import { Button, Input } from 'antd';
import { useContext, useId, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { CONFIDENCES, MOST_WORDS, type Answer, type Confidence } from '../../../core/lesson';
import { Choices } from './Choices';
import { AskedWhy } from './ownWords';
import { PaperContext } from './onPaper';
import { OnWallContext } from './roomTurn';
import { useKept } from '../../shared/kept';
import './Prediction.css';

interface Props<A extends Answer> {
  prompt: string;
  /** The answer once it is complete, else `null`. */
  answer: A | null;
  onCommit: (answer: A, confidence: Confidence) => void;
  /** The fields of the answer. */
  children: ReactNode;
}

/** What is asked, how sure the student is, and the commit, whatever the question. */
export function PredictionForm<A extends Answer>({ prompt, answer, onCommit, children }: Props<A>) {
  const { t } = useTranslation();
  const [confidence, setConfidence] = useKept<Confidence | null>('PredictionForm confidence', null);
  const titleId = useId();
  const board = useContext(OnWallContext);
  const asked = useContext(AskedWhy);
  const why = board ? null : asked;
  const sure = board ? 'fairly-sure' : confidence;
  if (useContext(PaperContext))
    return (
      <OnPaper prompt={prompt} why={asked !== null}>
        {children}
      </OnPaper>
    );
  const ready = answer !== null && sure !== null && (why === null || why.words.trim() !== '');
  return (
    <form
      className="prediction"
      aria-labelledby={titleId}
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onCommit(answer, sure);
      }}
    >
      <h2 className="prediction-prompt" id={titleId}>
        {prompt}
      </h2>
      {children}
      {why && (
        <label className="field prediction-why">
          <span className="label">{t('question.whyAsked')}</span>
          <Input.TextArea
            autoSize={{ minRows: 2, maxRows: 6 }}
            maxLength={MOST_WORDS}
            value={why.words}
            onChange={(e) => why.onWords(e.target.value)}
          />
          <span className="quiet">{t('question.whyNotGraded')}</span>
        </label>
      )}
      {!board && (
        <Choices
          label={t('question.howSure')}
          value={confidence}
          onValue={setConfidence}
          options={CONFIDENCES.map((c) => ({ value: c, label: t(`confidences.${c}`) }))}
        />
      )}
      <Button type="primary" size="large" htmlType="submit" disabled={!ready}>
        {t(board ? 'run.callOut' : 'question.commit')}
      </Button>
      {!ready && !board && <p className="quiet prediction-hint">{t('question.completeFirst')}</p>}
    </form>
  );
}

/** What is asked, with room to write; on paper nothing is committed. */
function OnPaper({ prompt, why, children }: { prompt: string; why: boolean; children: ReactNode }) {
  const { t } = useTranslation();
  return (
    <div className="prediction on-paper">
      <h4 className="prediction-prompt">{prompt}</h4>
      {children}
      {why && <p className="on-paper-why">{t('question.whyAsked')}</p>}
    </div>
  );
}
