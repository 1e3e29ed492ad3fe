import { Button, Dropdown } from 'antd';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useTell } from '../../shared/useTell';
import { Link } from 'react-router';
import { questionsOf } from '../../../core/lesson';
import { useAppSelector, useServices } from '../../state/hooks';
import { useKeep } from '../../state/useKeep';
import { reasonOf } from '../../shared/reasonOf';
import { useUndoNotice } from '../../shared/useUndoNotice';
import { selectAttempts } from '../../state/attemptsSlice';
import { exportOnePage } from '../../files/onePage';
import { exportLesson } from '../../files/exportFiles';
import { LinkButton } from '../../shared/LinkButton';
import type { LessonRecord } from '../../storage/records';

interface CardProps {
  record: LessonRecord;
  door: 'teach' | 'learn';
  /** It has just come in. */
  lit: boolean;
}

/** One lesson as a job card. */
export function LessonCard({ record, door, lit }: CardProps) {
  const { t } = useTranslation();
  const card = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (lit) card.current?.scrollIntoView({ block: 'center' });
  }, [lit]);
  const { lesson, origin, changed } = record;
  const questions = questionsOf(lesson).length;
  const open = `/${door}/lessons/${lesson.id}`;
  const origins = changed ? 'demoChanged' : origin;
  return (
    <li className="lesson-card" ref={card} data-lit={lit}>
      <h2>
        <Link to={open}>{lesson.title || t('library.untitled')}</Link>
      </h2>
      <p className="lesson-card-summary">{lesson.summary}</p>
      {(lesson.tags ?? []).length > 0 && (
        <p className="lesson-card-tags">{lesson.tags!.join(' · ')}</p>
      )}
      <div className="lesson-card-facts">
        <span>{t('library.steps', { count: lesson.steps.length })}</span>
        <span>{t('library.questions', { count: questions })}</span>
        {door === 'teach' ? (
          <span className="quiet">{t(`origins.${origins}`)}</span>
        ) : (
          <Progress lessonId={lesson.id} questions={questions} />
        )}
      </div>
      <div className="lesson-card-actions">
        {door === 'teach' ? (
          <TeachActions record={record} />
        ) : (
          <LinkButton to={open} type="primary">
            {t('library.start')}
          </LinkButton>
        )}
      </div>
    </li>
  );
}

function Progress({ lessonId, questions }: { lessonId: string; questions: number }) {
  const { t } = useTranslation();
  const attempts = useAppSelector(selectAttempts);
  const mine = Object.values(attempts).filter(
    (r) => r.source === 'mine' && r.attempt.lesson.id === lessonId,
  );
  if (mine.length === 0) return <span className="quiet">{t('library.notStarted')}</span>;
  const answered = Math.max(
    ...mine.map((r) => r.attempt.answers.filter((a) => a.round === 0).length),
  );
  return <span>{t('library.answered', { answered, questions })}</span>;
}

function TeachActions({ record }: { record: LessonRecord }) {
  const { t } = useTranslation();
  const tell = useTell();
  const undoNotice = useUndoNotice();
  const keep = useKeep();
  const services = useServices();
  const { lesson, origin } = record;
  const failed = (reason: unknown) =>
    tell.error(t('storage.saveFailed', { reason: reasonOf(reason) }));

  const duplicate = () =>
    void keep.lesson({
      lesson: {
        ...lesson,
        id: services.newId(),
        title: t('library.copyOf', { title: lesson.title }),
      },
      origin: 'own',
      changed: false,
      baseRevision: 0,
    });
  const restore = () =>
    void keep.lesson({ lesson, origin, changed: record.changed, baseRevision: 0 });
  const remove = async () => {
    if (await keep.without.lesson(record))
      undoNotice(`removed-${lesson.id}`, t('library.removed', { title: lesson.title }), restore);
  };

  return (
    <>
      <LinkButton to={`/teach/lessons/${lesson.id}/run`}>{t('library.run')}</LinkButton>
      <LinkButton to={`/teach/rooms/new/${lesson.id}`}>{t('library.room')}</LinkButton>
      <LinkButton to={`/teach/lessons/${lesson.id}`}>{t('library.edit')}</LinkButton>
      <Button onClick={() => void exportLesson(lesson, services.documents).catch(failed)}>
        {t('library.export')}
      </Button>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            {
              key: 'paper',
              label: <Link to={`/teach/lessons/${lesson.id}/paper`}>{t('library.paper')}</Link>,
            },
            {
              key: 'one-page',
              label: t('library.onePage'),
              onClick: () =>
                void exportOnePage(lesson, services.documents).catch(() => {
                  tell.error(t('library.onePageFailed'));
                }),
            },
            { key: 'duplicate', label: t('library.duplicate'), onClick: duplicate },
            {
              key: 'delete',
              label: t('library.delete'),
              danger: true,
              onClick: () => void remove(),
            },
          ],
        }}
      >
        <Button aria-label={t('library.more', { title: lesson.title })}>…</Button>
      </Dropdown>
    </>
  );
}
