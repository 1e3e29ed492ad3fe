import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { lessonHash } from '../../../core/formats';
import type { Attempt } from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../app/hooks';
import { NotFound } from '../../app/NotFound';
import { settingsChanged } from '../../app/settingsSlice';
import { selectAttempts } from '../../classBook/attemptsSlice';
import { draftClosed } from '../builder/draftSlice';
import { selectLesson } from '../librarySlice';
import { attemptLeft, attemptStarted, selectPlayer, type PlayerState } from './playerSlice';
import { Player } from './Player';
import { StartPanel } from './StartPanel';

/** A lesson as a student works through it; in preview nothing is recorded. */
export function PlayerScreen({ mode }: { mode: PlayerState['mode'] }) {
  const { t } = useTranslation();
  const { lessonId } = useParams();
  const dispatch = useAppDispatch();
  const services = useServices();
  const record = useAppSelector(selectLesson(lessonId));
  const player = useAppSelector(selectPlayer);
  const attempts = useAppSelector(selectAttempts);

  const [asked] = useSearchParams();
  useEffect(() => () => void dispatch(attemptLeft()), [dispatch, lessonId, mode]);
  // A trial that is left for anything but the builder lets go of the lesson that was being built.
  useEffect(
    () => () => {
      const builder = `/teach/lessons/${lessonId ?? ''}`;
      if (mode === 'preview' && !window.location.pathname.startsWith(builder))
        dispatch(draftClosed());
    },
    [dispatch, lessonId, mode],
  );

  if (!record) return <NotFound />;
  const { lesson } = record;
  const hash = lessonHash(lesson);
  const running = player.attempt?.lesson.id === lesson.id && player.mode === mode;
  const first = mode === 'preview' && lesson.steps.find((s) => s.id === asked.get('step'));
  const begin = (attempt: Attempt) =>
    dispatch(attemptStarted({ mode, attempt, stepId: (first || lesson.steps[0])?.id ?? null }));
  const fresh = (student: string): Attempt => ({
    format: 'fair-sprocket/attempt',
    version: 1,
    id: services.newId(),
    student,
    lesson: { id: lesson.id, title: lesson.title, hash },
    startedAt: services.now(),
    answers: [],
  });

  if (running) return <Player lesson={lesson} />;
  const open = Object.values(attempts)
    .filter((r) => r.source === 'mine' && r.attempt.lesson.hash === hash && !r.attempt.finishedAt)
    .map((r) => r.attempt);
  return (
    <StartPanel
      lesson={lesson}
      mode={mode}
      open={mode === 'learn' ? open : []}
      onStart={(name) => {
        if (mode === 'learn') dispatch(settingsChanged({ student: name }));
        begin(fresh(mode === 'learn' ? name : t('player.previewName')));
      }}
      onContinue={begin}
    />
  );
}
