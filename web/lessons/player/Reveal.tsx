import {
  CheckCircleFilled,
  CheckOutlined,
  CloseCircleFilled,
  CloseOutlined,
} from '../../shared/icons';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { grade, type AttemptAnswer, type Question } from '../../../core/lesson';
import { WorkedStepsList } from '../../ratio/WorkedStepsList';
import { useNumbers } from '../../shared/numbers';
import { answerText, keyText, promptOf, type Worded } from '../questionWords';
import { reasonFor } from '../reasonWords';
import { NextButton, type Next } from './NextButton';
import './Reveal.css';

interface Props {
  question: Question;
  answer: AttemptAnswer;
  next: Next;
  onAgain: () => void;
}

/** The prediction beside the model's answer, why they differ, and the lines that lead there. */
export function Reveal({ question, answer, next, onAgain }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [worked, setWorked] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.scrollIntoView({ block: 'start' });
    heading.current?.focus({ preventScroll: true });
  }, []);
  const graded = grade(question, answer.setup, answer.answer);
  if (!graded.ok) return null;
  const { key, parts } = graded.grade;
  const right = answer.score === 1;
  const reason = reasonFor(t, answer.misconception ?? null, answer.setup);
  const derivable = answer.setup.roles.reaction !== 'free' && question.kind !== 'roles';
  return (
    <section className="reveal" aria-live="polite">
      <p className="reveal-prompt quiet">{promptOf(t, numbers, question, answer.setup)}</p>
      <h2 className="reveal-verdict" ref={heading} tabIndex={-1} data-right={right}>
        {right ? <CheckCircleFilled /> : <CloseCircleFilled />}
        {t(right ? 'reveal.right' : answer.score > 0 ? 'reveal.partly' : 'reveal.wrong')}
      </h2>
      <Answered
        label={t('reveal.yours')}
        worded={answerText(t, numbers, question, answer.answer)}
        note={t(`confidences.${answer.confidence}`)}
      />
      {!right && parts.length > 1 && (
        <ul className="reveal-parts">
          {parts.map(({ part, right: good }) => (
            <li key={part}>
              {good ? <CheckOutlined /> : <CloseOutlined />}
              {t(good ? 'reveal.partRight' : 'reveal.partWrong', {
                part: t(`gradedParts.${part}`),
              })}
            </li>
          ))}
        </ul>
      )}
      <Answered
        label={t('reveal.model')}
        worded={keyText(t, numbers, question, key)}
        note=""
        strong
      />
      {!right && (
        <div className="reveal-reason">
          <strong>{reason.title}</strong> {reason.text}
        </div>
      )}
      {derivable &&
        (worked ? (
          <WorkedStepsList setup={answer.setup} />
        ) : (
          <Button onClick={() => setWorked(true)}>{t('reveal.workItOut')}</Button>
        ))}
      <NextButton {...next} />
      <Button onClick={onAgain}>{t('reveal.again')}</Button>
    </section>
  );
}

interface AnsweredProps {
  label: string;
  worded: Worded;
  note: string;
  strong?: boolean;
}

function Answered({ label, worded, note, strong = false }: AnsweredProps) {
  const long = worded.main.length > 12;
  return (
    <div>
      <div className="label">{label}</div>
      <div className="reveal-answer" data-strong={strong}>
        <span className={long ? 'reveal-words' : 'figure reveal-figure'}>{worded.main}</span>
        <span className="quiet">
          {worded.detail && <span>{worded.detail}</span>}
          {note && <span>{note}</span>}
        </span>
      </div>
    </div>
  );
}
