import { ConfigProvider } from 'antd';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { lessonHash } from '../../core/formats';
import { firstPosed, type AttemptAnswer, type Lesson } from '../../core/lesson';
import { answerFor } from '../lessons/families/words';
import { inOneLine } from '../lessons/worded';
import { FocusStage } from '../lessons/player/FocusStage';
import { ReadingBlocks } from '../lessons/player/ReadingBlocks';
import {
  answerNow,
  attemptLeft,
  attemptStarted,
  predictionCommitted,
  selectPlayer,
} from '../lessons/player/playerSlice';
import { NO_NEXT, OnWallContext, RoomTurnContext } from '../lessons/player/roomTurn';
import { takesSheet } from '../lessons/player/usePlayerStep';
import '../lessons/player/Player.css';
import { NotFound } from '../shared/NotFound';
import { useNumbers } from '../shared/numbers';
import { useShortcuts } from '../shared/useShortcuts';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { selectLesson } from '../state/librarySlice';
import { Hands, type CalledOut } from './Hands';
import { Pointer } from './Pointer';
import { KEYS_OF, RUN_KEYS, useRunChannel, type OnWall, type RunKey } from './runChannel';
import { questionOn, slidesOf, type Slide } from './slides';
import './Run.css';

function onResize(told: () => void): () => void {
  addEventListener('resize', told);
  return () => removeEventListener('resize', told);
}

/** Letters of the library's controls on a wall of this width, px, as `Run.css` has them for ours. */
function useWallTokens() {
  const width = useSyncExternalStore(onResize, () => innerWidth);
  return useMemo(() => {
    const share = Math.min(2880, Math.max(1280, width)) / 1920;
    const of = (px: number) => Math.round(px * share);
    return {
      fontSize: of(26),
      fontSizeLG: of(28),
      fontSizeSM: of(24),
      controlHeight: Math.max(44, of(56)),
    };
  }, [width]);
}

/** A lesson at the projector: one thing fills the wall, led by keys; nothing is recorded. */
export function RunScreen() {
  const { t } = useTranslation();
  const { lessonId } = useParams();
  const record = useAppSelector(selectLesson(lessonId));
  const started = useClassAttempt(record?.lesson);
  if (!record) return <NotFound />;
  if (slidesOf(record.lesson).length === 0)
    return (
      <main className="run-notes" id="main">
        <h1>{record.lesson.title}</h1>
        <p role="status">{t('builder.noSteps')}</p>
        <Link to={`/teach/lessons/${record.lesson.id}`}>{t('library.edit')}</Link>
      </main>
    );
  return started ? <Wall lesson={record.lesson} /> : null;
}

/** What the class says is graded like a student's answer, on numbers of the lesson's own, and kept nowhere. */
function useClassAttempt(lesson: Lesson | undefined): boolean {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const { attempt, mode } = useAppSelector(selectPlayer);
  const begun = useRef<string | null>(null);
  useEffect(() => {
    if (!lesson || begun.current === lesson.id) return;
    begun.current = lesson.id;
    dispatch(
      attemptStarted({
        mode: 'preview',
        lesson,
        stepId: lesson.steps[0]?.id ?? null,
        attempt: {
          format: 'fair-sprocket/attempt',
          version: 1,
          id: services.newId(),
          student: t('run.class'),
          lesson: { id: lesson.id, title: lesson.title, hash: lessonHash(lesson) },
          startedAt: services.now(),
          answers: [],
        },
      }),
    );
  }, [lesson, dispatch, services, t]);
  useEffect(() => () => void dispatch(attemptLeft()), [dispatch]);
  return lesson !== undefined && attempt?.lesson.id === lesson.id && mode === 'preview';
}

const NOTHING: readonly CalledOut[] = [];

function Wall({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const numbers = useNumbers();
  const player = useAppSelector(selectPlayer);
  const slides = useMemo(() => slidesOf(lesson), [lesson]);
  const [at, setAt] = useState(0);
  const [board, setBoard] = useState<Readonly<Record<string, readonly CalledOut[]>>>({});
  const [counts, setCounts] = useState(true);
  const [pointer, setPointer] = useState(false);
  const [blank, setBlank] = useState(false);
  const wallTokens = useWallTokens();
  const slide = slides[at]!;
  const question = questionOn(slide);
  const called = (question && board[question.id]) ?? NOTHING;
  const revealed = question !== null && answerNow(player, question.id) !== undefined;

  const write = (id: string, next: readonly CalledOut[]) =>
    setBoard((now) => ({ ...now, [id]: next }));
  const callOut = (entry: AttemptAnswer) => {
    if (!question) return;
    const { question: posed, subject } = firstPosed(lesson, question, t('run.class'));
    const text = inOneLine(answerFor(t, numbers, posed, subject, entry.answer));
    const there = called.some((c) => c.text === text);
    const raised = called.map((c) => (c.text === text ? { ...c, hands: c.hands + 1 } : c));
    write(question.id, there ? raised : [...called, { text, entry, hands: 1 }]);
  };
  const press: Readonly<Record<RunKey, () => void>> = {
    next: () => setAt(Math.min(slides.length - 1, at + 1)),
    back: () => setAt(Math.max(0, at - 1)),
    reveal: () => {
      const most = [...called].sort((a, b) => b.hands - a.hands)[0];
      if (most && !revealed) dispatch(predictionCommitted(most.entry));
    },
    counts: () => setCounts(!counts),
    pointer: () => setPointer(!pointer),
    blank: () => setBlank(!blank),
  };
  const raise = (index: number) => {
    if (!question || revealed || !called[index]) return;
    write(
      question.id,
      called.map((c, k) => (k === index ? { ...c, hands: c.hands + 1 } : c)),
    );
  };
  const keys = RUN_KEYS.flatMap((key) => KEYS_OF[key].map((k) => [k, press[key]] as const));
  const digits = called.map((_c, k) => [String(k + 1), () => raise(k)] as const);
  useShortcuts(Object.fromEntries([...keys, ...digits]));

  const wall: OnWall = { slide: at, called, revealed, counts, blank, pointer };
  const say = useRunChannel(lesson.id, (message, answer) => {
    if (message.kind === 'pressed') press[message.key]();
    if (message.kind === 'who') answer({ kind: 'wall', wall });
  });
  const told = JSON.stringify(wall);
  useEffect(() => {
    say({ kind: 'wall', wall: JSON.parse(told) as OnWall });
  }, [say, told]);

  // What is committed is written onto the board; once the answer is shown nothing is.
  const room = revealed ? null : { sent: null, commit: callOut, trouble: '' };
  return (
    <ConfigProvider theme={{ token: wallTokens }}>
      <OnWallContext.Provider value>
        <RoomTurnContext.Provider value={room}>
          <main className="run" id="main" data-pointer={pointer}>
            <header className="run-line">
              <Link to="/teach/lessons">{lesson.title}</Link>
              <h1>
                {slide.number} {slide.step.title}
              </h1>
              <a href={`/teach/lessons/${lesson.id}/run/notes`} target="_blank" rel="noreferrer">
                {t('run.openNotes')}
              </a>
              <span className="run-place">{t('run.place', { at: at + 1, of: slides.length })}</span>
            </header>
            <div className="player run-stage" key={at}>
              <OnSlide lesson={lesson} slide={slide} />
            </div>
            {question && (
              <Hands
                called={called}
                counts={counts}
                revealed={revealed}
                onHands={(next) => write(question.id, next)}
                onReveal={press.reveal}
              />
            )}
            {pointer && <Pointer />}
            {blank && (
              <button type="button" className="run-blank" onClick={press.blank}>
                <span className="visually-hidden">{t('run.light')}</span>
              </button>
            )}
          </main>
        </RoomTurnContext.Provider>
      </OnWallContext.Provider>
    </ConfigProvider>
  );
}

function OnSlide({ lesson, slide }: { lesson: Lesson; slide: Slide }) {
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const { step, focus, first } = slide;
  const blocks = (
    <ReadingBlocks
      step={{ ...step, blocks: first ? step.blocks.filter((b) => !takesSheet(b)) : [] }}
      focus={null}
      benchesOpen={false}
      player={player}
      onFocus={() => undefined}
    />
  );
  if (focus)
    return (
      <FocusStage
        lesson={lesson}
        focus={focus}
        round={0}
        heading={null}
        blocks={blocks}
        next={NO_NEXT}
      />
    );
  return (
    <section className="player-reading" aria-label={t('player.step')}>
      {blocks}
    </section>
  );
}
