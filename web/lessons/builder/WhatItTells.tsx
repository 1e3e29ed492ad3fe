import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  familyNamed,
  familyOf,
  subjectFor,
  tellsOf,
  triedOut,
  type Lesson,
  type Question,
} from '../../../core/lesson';
import { formatNumber } from '../../shared/numbers';
import { useSeparating } from '../useSeparating';
import './WhatItTells.css';

interface Props {
  lesson: Lesson;
  question: Question;
  onQuestion: (question: Question) => void;
}

/** What an answer to this question tells of how a student thinks; worked out when it is asked for. */
export function WhatItTells({ lesson, question, onQuestion }: Props) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  return (
    <details className="tells" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>{t('tells.title')}</summary>
      {open && <Told lesson={lesson} question={question} onQuestion={onQuestion} />}
    </details>
  );
}

function Told({ lesson, question, onQuestion }: Props) {
  const { t } = useTranslation();
  const { busy, found, find } = useSeparating(lesson);
  const tells = useMemo(() => {
    const subject = subjectFor(lesson, question);
    return subject && tellsOf(question, subject);
  }, [lesson, question]);
  if (!tells) return <p className="quiet">{t('tells.none')}</p>;
  const { told, together, guess } = tells;
  const better = async () => {
    const tellsMore = await find(question, null);
    if (tellsMore) onQuestion(tellsMore.question);
  };
  return (
    <>
      {guess !== null && (
        <p>{t('tells.guess', { odds: formatNumber(1 / guess, guess > 0.2 ? 1 : 0) })}</p>
      )}
      {told.length > 0 && (
        <>
          <p>{t('tells.told', { count: told.length })}</p>
          <ul>
            {told.map((slip) => (
              <li key={slip}>{t(`misconceptions.${slip}`)}</li>
            ))}
          </ul>
        </>
      )}
      {together.length > 0 && (
        <>
          <p>{t('tells.together')}</p>
          <ul>
            {together.map(([one, other]) => (
              <li key={`${one} ${other}`}>
                {t('tells.pair', {
                  one: t(`misconceptions.${one}`),
                  other: t(`misconceptions.${other}`),
                })}
              </li>
            ))}
          </ul>
        </>
      )}
      {triedOut(familyNamed(familyOf(question)), question) && (
        <div className="row">
          <Button size="small" loading={busy} onClick={() => void better()}>
            {t('tells.better')}
          </Button>
          {found === null && <span role="status">{t('tells.best')}</span>}
        </div>
      )}
    </>
  );
}
