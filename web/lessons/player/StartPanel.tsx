import { Button, Input } from 'antd';
import { useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME } from '../../../core/formats';
import { questionsOf, type Attempt, type Lesson } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { UnsavedNotice, type Unsaved } from './UnsavedNotice';
import './StartPanel.css';

interface Props {
  lesson: Lesson;
  mode: 'learn' | 'preview';
  /** Unfinished attempts of this lesson in this browser. */
  open: readonly Attempt[];
  /** The version that was to be gone on with is no longer kept. */
  versionGone: boolean;
  /** Of an earlier visit, and still not kept. */
  unsaved: Unsaved | null;
  onStart: (name: string) => void;
  onContinue: (attempt: Attempt) => void;
}

/** Before the first step: what this is, and who is at the bench. */
export function StartPanel(props: Props) {
  const { lesson, mode, open, versionGone, unsaved, onStart, onContinue } = props;
  const { t } = useTranslation();
  return (
    <main className="page start-panel" id="main">
      <p className="label">{t(mode === 'learn' ? 'player.jobCard' : 'player.preview')}</p>
      <h1>{lesson.title}</h1>
      <p className="start-summary">{lesson.summary}</p>
      <p className="quiet">
        {t('library.steps', { count: lesson.steps.length })},{' '}
        {t('library.questions', { count: questionsOf(lesson).length })}
        {lesson.author ? `, ${lesson.author}` : ''}
      </p>
      {unsaved && <UnsavedNotice {...unsaved} />}
      {lesson.steps.length === 0 ? (
        <p className="start-note">{t('player.noSteps')}</p>
      ) : mode === 'preview' ? (
        <div className="start-note">
          <p>{t('player.previewNote')}</p>
          <Button type="primary" size="large" onClick={() => onStart('')}>
            {t('player.begin')}
          </Button>
        </div>
      ) : (
        <NameForm onStart={onStart} />
      )}
      {open.length > 0 && (
        <section className="start-open">
          <h2 className="label">{t('player.unfinished')}</h2>
          {versionGone && <p role="alert">{t('player.versionGone')}</p>}
          {open.map((attempt) => (
            <Button key={attempt.id} onClick={() => onContinue(attempt)}>
              {t('player.continueAs', {
                student: attempt.student,
                answered: attempt.answers.filter((a) => a.round === 0).length,
              })}
            </Button>
          ))}
        </section>
      )}
    </main>
  );
}

/** Who is at the bench: the name that goes on the record. */
function NameForm({ onStart }: { onStart: (name: string) => void }) {
  const { t } = useTranslation();
  const known = useAppSelector((state) => state.settings.student);
  const [name, setName] = useState(known);
  const [missing, setMissing] = useState(false);
  const id = useId();
  return (
    <form
      className="start-note"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') setMissing(true);
        else onStart(name.trim());
      }}
    >
      <label htmlFor={id}>{t('player.yourName')}</label>
      <Input
        id={id}
        size="large"
        maxLength={MOST_NAME}
        autoComplete="off"
        value={name}
        status={missing ? 'error' : ''}
        aria-invalid={missing}
        aria-describedby={`${id}-problem`}
        onChange={(event) => {
          setName(event.target.value);
          setMissing(false);
        }}
      />
      <p id={`${id}-problem`} className="start-problem" role="alert">
        {missing ? t('player.nameNeeded') : ''}
      </p>
      <Button type="primary" size="large" htmlType="submit">
        {t('player.begin')}
      </Button>
      <p className="quiet start-how">{t('player.how')}</p>
    </form>
  );
}
