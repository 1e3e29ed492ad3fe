import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams, useSearchParams } from 'react-router';
import { lessonHash } from '../../../core/formats';
import { asks, onlyGears, type Attempt, type Lesson } from '../../../core/lesson';
import { useAppDispatch, useAppSelector, useServices } from '../../state/hooks';
import { useWords } from '../../shared/moreWords';
import { NotFound } from '../../shared/NotFound';
import { Loading } from '../../shared/PartMissing';
import { settingsChanged } from '../../state/settingsSlice';
import { selectAttempts } from '../../state/attemptsSlice';
import { draftClosed } from '../builder/draftSlice';
import { selectLesson } from '../../state/librarySlice';
import {
  attemptLeft,
  attemptMerged,
  attemptStarted,
  selectPlayer,
  type PlayerState,
} from './playerSlice';
import { Player } from './Player';
import { useKeepWaiting } from './useKeepAttempt';
import { StartPanel } from './StartPanel';

/** A lesson as a student works through it; in preview nothing is recorded. */
export function PlayerScreen({ mode }: { mode: PlayerState['mode'] }) {
  const { t } = useTranslation();
  const [versionGone, setVersionGone] = useState(false);
  const { lessonId } = useParams();
  const dispatch = useAppDispatch();
  const services = useServices();
  const record = useAppSelector(selectLesson(lessonId));
  const player = useAppSelector(selectPlayer);
  const attempts = useAppSelector(selectAttempts);
  const unsaved = useKeepWaiting();

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

  // After a reload, and when another tab answers: what is stored of the attempt that runs comes in.
  const stored = player.attempt ? attempts[player.attempt.id]?.attempt : undefined;
  useEffect(() => {
    if (stored) dispatch(attemptMerged(stored));
  }, [stored, dispatch]);
  const hash = useMemo(() => (record ? lessonHash(record.lesson) : ''), [record]);
  const worded = [
    useWords('bench', record !== undefined && !onlyGears(record.lesson)),
    useWords('strip', record !== undefined && asks(record.lesson, 'strip-down')),
  ].every(Boolean);
  if (!record) return <NotFound />;
  if (!worded) return <Loading />;
  const { lesson } = record;
  const running = player.attempt?.lesson.id === lesson.id && player.mode === mode;
  const first = mode === 'preview' && lesson.steps.find((s) => s.id === asked.get('step'));
  const begin = (attempt: Attempt, as: Lesson = lesson) =>
    dispatch(
      attemptStarted({
        mode,
        attempt,
        lesson: as,
        stepId: (first || as.steps[0])?.id ?? null,
      }),
    );
  /** It goes on with the version it began. */
  const goOn = async (attempt: Attempt) => {
    const as =
      attempt.lesson.hash === hash
        ? lesson
        : await services.documents.readVersion(attempt.lesson.hash).catch(() => null);
    if (as) begin(attempt, as);
    else setVersionGone(true);
  };
  const fresh = (student: string): Attempt => ({
    format: 'fair-sprocket/attempt',
    version: 1,
    id: services.newId(),
    student,
    lesson: { id: lesson.id, title: lesson.title, hash },
    startedAt: services.now(),
    answers: [],
  });

  if (running && player.lesson)
    return (
      <Player
        lesson={player.lesson}
        earlier={mode === 'learn' && player.attempt?.lesson.hash !== hash}
      />
    );
  const open = Object.values(attempts)
    .filter(
      (r) => r.source === 'mine' && r.attempt.lesson.id === lesson.id && !r.attempt.finishedAt,
    )
    .map((r) => r.attempt);
  return (
    <StartPanel
      lesson={lesson}
      mode={mode}
      open={mode === 'learn' ? open : []}
      versionGone={versionGone}
      unsaved={unsaved}
      onStart={(name) => {
        if (mode === 'learn') {
          dispatch(settingsChanged({ student: name }));
          // Where it can't be kept, the lesson as it is now will have to do.
          services.documents.keepVersion(hash, lesson).catch(() => undefined);
        }
        begin(fresh(mode === 'learn' ? name : t('player.previewName')));
      }}
      onContinue={(attempt) => void goOn(attempt)}
    />
  );
}
