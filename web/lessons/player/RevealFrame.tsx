import {
  CheckCircleFilled,
  CheckOutlined,
  CloseCircleFilled,
  CloseOutlined,
} from '../../shared/icons';
import { Button } from 'antd';
import { useContext, useEffect, useRef, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { AttemptAnswer } from '../../../core/lesson';
import type { Reason, Worded } from '../worded';
import { HalfDisc } from '../../shared/HalfDisc';
import { NextButton, type Next } from './NextButton';
import { OnWallContext } from './roomTurn';
import './Reveal.css';

interface Props {
  prompt: string;
  answer: AttemptAnswer;
  parts: readonly { readonly name: string; readonly right: boolean }[];
  said: Worded;
  model: Worded;
  /** Whose the right answer is. */
  whose: string;
  reason: Reason;
  next: Next;
  onAgain: () => void;
  /** What trying again is called. */
  again: string;
  /** The lines that lead to the answer. */
  children?: ReactNode;
}

/** Prediction, verdict and model's answer one below the other, with the reason where they differ. */
export function RevealFrame(props: Props) {
  const { prompt, answer, parts, said, model, whose, reason, next, onAgain, again, children } =
    props;
  const { t } = useTranslation();
  const wall = useContext(OnWallContext);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.scrollIntoView({ block: 'start' });
    heading.current?.focus({ preventScroll: true });
  }, []);
  const right = answer.score === 1;
  const partly = !right && answer.score > 0;
  return (
    <section className="reveal" aria-live="polite">
      <p className="reveal-prompt quiet">{prompt}</p>
      <h2 className="reveal-verdict" ref={heading} tabIndex={-1} data-right={right}>
        {right ? <CheckCircleFilled /> : partly ? <HalfDisc /> : <CloseCircleFilled />}
        {t(right ? 'reveal.right' : partly ? 'reveal.partly' : 'reveal.wrong')}
      </h2>
      <Answered
        label={t(wall ? 'run.mostHands' : 'reveal.yours')}
        worded={said}
        note={wall ? '' : t(`confidences.${answer.confidence}`)}
      />
      {!right && parts.length > 1 && (
        <ul className="reveal-parts">
          {parts.map(({ name, right: good }) => (
            <li key={name}>
              {good ? <CheckOutlined /> : <CloseOutlined />}
              {t(good ? 'reveal.partRight' : 'reveal.partWrong', { part: name })}
            </li>
          ))}
        </ul>
      )}
      <Answered label={whose} worded={model} note="" strong />
      {answer.words && (
        <figure className="reveal-own-words">
          <figcaption className="label">{t('reveal.ownWords')}</figcaption>
          <blockquote>{answer.words}</blockquote>
        </figure>
      )}
      {reason.facts.length > 0 && (
        <div className="reveal-reason" data-right={right}>
          <strong>{reason.title}</strong>
          <ul>
            {reason.facts.map((fact) => (
              <li key={fact}>{fact}</li>
            ))}
          </ul>
        </div>
      )}
      {children}
      <NextButton {...next} />
      {!next.hidden && <Button onClick={onAgain}>{again}</Button>}
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
