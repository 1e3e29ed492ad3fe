import { useCallback, useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  firstPosed,
  type Attempt,
  type AttemptAnswer,
  type Lesson,
  type LessonStep,
  type QuestionBlock,
} from '../../core/lesson';
import { settled, type StudentView, type Vote } from '../../core/room';
import { answerFor } from '../lessons/families/words';
import { FocusStage } from '../lessons/player/FocusStage';
import { attemptStarted, predictionCommitted, selectPlayer } from '../lessons/player/playerSlice';
import { Player } from '../lessons/player/Player';
import { ReadingBlocks } from '../lessons/player/ReadingBlocks';
import { NO_NEXT, RoomTurnContext } from '../lessons/player/roomTurn';
import { useKeepAttempt } from '../lessons/player/useKeepAttempt';
import { useNumbers } from '../shared/numbers';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import type { StudentPlace } from './keys';
import type { Answer } from './useRoomSocket';

interface Props {
  lesson: Lesson;
  view: StudentView;
  place: StudentPlace;
  lost: boolean;
  commit: (vote: Vote, entry: AttemptAnswer) => Promise<Answer>;
}

/** A student in the room: what is asked now, what they have sent, and at the reveal what the model says. */
export function RoomPlay({ lesson, view, place, lost, commit }: Props) {
  const { t } = useTranslation();
  const attempt = useRoomAttempt(lesson, view, place);
  useSettled(view, attempt);
  if (!attempt) return null;
  return (
    <div className="room-student">
      <div className="room-bar" role="status">
        <strong>{view.name}</strong>
        <span>
          {lost
            ? t('room.lost')
            : view.closed
              ? t('room.isClosed')
              : t('room.counts', { committed: view.counts.committed, inside: view.counts.inside })}
        </span>
      </div>
      {view.pace === 'own' || view.closed ? (
        <OwnPace lesson={lesson} view={view} commit={commit} />
      ) : (
        <Led lesson={lesson} view={view} commit={commit} />
      )}
    </div>
  );
}

/** The record of this device in this room: gone on with after a reload. */
function useRoomAttempt(lesson: Lesson, view: StudentView, place: StudentPlace): Attempt | null {
  const dispatch = useAppDispatch();
  const services = useServices();
  const { attempt } = useAppSelector(selectPlayer);
  const here = attempt?.id === place.attempt;
  const { name, lesson: hash } = view;
  useEffect(() => {
    if (here) return undefined;
    let over = false;
    const fresh: Attempt = {
      format: 'fair-sprocket/attempt',
      version: 1,
      id: place.attempt,
      student: name,
      lesson: { id: lesson.id, title: lesson.title, hash },
      startedAt: services.now(),
      answers: [],
    };
    const begin = (own: Attempt) => {
      if (over) return;
      const stepId = lesson.steps[0]?.id ?? null;
      dispatch(attemptStarted({ mode: 'learn', attempt: own, lesson, stepId }));
    };
    services.documents.readAttempt(place.attempt).then(
      (kept) => begin(kept?.attempt ?? fresh),
      () => begin(fresh),
    );
    return () => {
      over = true;
    };
  }, [here, place.attempt, name, hash, lesson, dispatch, services]);
  return here ? attempt : null;
}

/** What is settled comes onto the record, one answer after the other: the first vote is the prediction that counts. */
function useSettled(view: StudentView, attempt: Attempt | null): void {
  const dispatch = useAppDispatch();
  const { keep } = useKeepAttempt();
  const isKnown = (question: string) =>
    attempt?.answers.some((a) => a.question === question && a.round === 0);
  const entry = settled(view).find((c) => !isKnown(c.entry.question))?.entry;
  useEffect(() => {
    if (!entry || !attempt) return;
    dispatch(predictionCommitted(entry));
    void keep({ ...attempt, answers: [...attempt.answers, entry] });
  }, [entry, attempt, dispatch, keep]);
}

interface TurnProps {
  lesson: Lesson;
  view: StudentView;
  commit: Props['commit'];
}

function Led({ lesson, view, commit }: TurnProps) {
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const [trouble, setTrouble] = useState('');
  const { turn, commits } = view;
  const question = turn?.question ?? '';
  const vote = turn?.vote ?? 1;
  const revealed = turn?.revealed ?? false;
  const at = useMemo(() => placeOf(lesson, question), [lesson, question]);
  const sent = commits.find((c) => c.entry.question === question && c.vote === vote)?.entry ?? null;
  const second = commits.find((c) => c.entry.question === question && c.vote === 2);
  const send = useCallback(
    (entry: AttemptAnswer) => {
      setTrouble('');
      void commit(vote, entry).then((answer) => {
        if (!answer.ok) setTrouble(t(`room.troubles.${answer.why ?? 'no-link'}`));
      });
    },
    [commit, vote, t],
  );
  const room = useMemo(
    () => (revealed ? null : { sent, commit: send, trouble }),
    [revealed, sent, send, trouble],
  );
  if (!turn || !at)
    return (
      <main className="room-door" id="main">
        <h1>{view.title}</h1>
        <p>{t('room.waitForQuestion')}</p>
      </main>
    );
  const answered = commits.some((c) => c.entry.question === question);
  if (revealed && !answered)
    return (
      <main className="room-door" id="main">
        <h1>{at.step.title}</h1>
        <p>{t('room.tooLate')}</p>
      </main>
    );
  return (
    <RoomTurnContext.Provider value={room}>
      <main className="player with-foot room-player" id="main">
        <FocusStage
          key={`${question} ${vote}`}
          lesson={lesson}
          focus={at.block}
          round={0}
          heading={
            <>
              <h1 className="player-step-title">{at.step.title}</h1>
              {vote === 2 && !revealed && <p className="room-again">{t('room.voteAgain')}</p>}
              {revealed && second && <Second lesson={lesson} view={view} entry={second.entry} />}
            </>
          }
          blocks={
            <ReadingBlocks
              step={{ ...at.step, blocks: at.step.blocks.filter((b) => b.kind !== 'question') }}
              focus={null}
              benchesOpen={false}
              player={player}
              onFocus={() => undefined}
            />
          }
          next={NO_NEXT}
        />
      </main>
    </RoomTurnContext.Provider>
  );
}

/** What the second vote was: the first is on the record. */
function Second({
  lesson,
  view,
  entry,
}: {
  lesson: Lesson;
  view: StudentView;
  entry: AttemptAnswer;
}) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const said = useMemo(() => {
    const at = placeOf(lesson, entry.question);
    if (!at) return '';
    const { question, subject } = firstPosed(lesson, at.block, view.name);
    return answerFor(t, numbers, question, subject, entry.answer).main;
  }, [lesson, view.name, entry, t, numbers]);
  return <p className="room-again">{t('room.second', { said })}</p>;
}

function placeOf(
  lesson: Lesson,
  question: string,
): { step: LessonStep; block: QuestionBlock } | null {
  for (const step of lesson.steps)
    for (const block of step.blocks)
      if (block.kind === 'question' && block.id === question) return { step, block };
  return null;
}

/** At their own pace it is the lesson as ever; every first try is told to the room too. */
function OwnPace({ lesson, view, commit }: TurnProps) {
  const { attempt } = useAppSelector(selectPlayer);
  const told = view.commits;
  useEffect(() => {
    if (view.closed) return;
    const next = attempt?.answers.find(
      (a) => a.round === 0 && !told.some((c) => c.entry.question === a.question),
    );
    if (next) void commit(1, next);
  }, [attempt, told, commit, view.closed]);
  return <Player lesson={lesson} earlier={false} />;
}
