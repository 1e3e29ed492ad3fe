import { useEffect, useRef } from 'react';
import { CheckOutlined } from '../../shared/icons';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Lesson, LessonStep } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { RECORD, selectPlayer, type PlayerState } from './playerSlice';
import './StepTags.css';

interface Props {
  lesson: Lesson;
  current: string;
  /** The lesson has been changed since it was begun. */
  earlier: boolean;
  onStep: (id: string) => void;
}

/** The job card: one tag a step, and the record at the end. */
export function StepTags({ lesson, current, earlier, onStep }: Props) {
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const list = useRef<HTMLOListElement>(null);
  // Where the steps are one line, the one that is shown is in sight.
  useEffect(() => {
    list.current
      ?.querySelector('[aria-current]')
      ?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [current]);
  const tags = [
    ...lesson.steps.map((step) => ({ id: step.id, title: step.title, done: isDone(step, player) })),
    { id: RECORD, title: t('player.yourRecord'), done: player.attempt?.finishedAt !== undefined },
  ];
  return (
    <nav className="step-tags" aria-label={t('player.steps')}>
      <p className="label">{t(player.mode === 'learn' ? 'player.jobCard' : 'player.preview')}</p>
      <p className="step-tags-title">{lesson.title}</p>
      {earlier && <p className="step-tags-note">{t('player.earlierVersion')}</p>}
      {player.mode === 'preview' && (
        <Link to={`/teach/lessons/${lesson.id}?step=${encodeURIComponent(current)}`}>
          {t('player.toBuilder')}
        </Link>
      )}
      <ol ref={list}>
        {tags.map(({ id, title, done }, k) => (
          <li key={id}>
            <button
              type="button"
              className="step-tag"
              aria-current={id === current ? 'step' : undefined}
              onClick={() => onStep(id)}
            >
              <span className="step-tag-hole" aria-hidden="true" />
              <span className="step-tag-name">
                {id !== RECORD && `${k + 1} `}
                <span className={id === RECORD ? '' : 'step-tag-title'}>{title}</span>
              </span>
              {done && <CheckOutlined aria-label={t('player.done')} />}
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}

/** Every question of the step has its first answer. */
function isDone(step: LessonStep, player: PlayerState): boolean {
  const questions = step.blocks.filter((b) => b.kind === 'question');
  return (
    questions.length > 0 &&
    questions.every((q) => player.attempt?.answers.some((a) => a.question === q.id))
  );
}
