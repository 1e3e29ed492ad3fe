import { App, Button, Dropdown, Input, QRCode, Segmented, Switch } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import { useNavigate, useParams } from 'react-router';
import { questionsOf, type Attempt, type Lesson } from '../../core/lesson';
import type { HostAction, RoomEntrance } from '../../core/formats';
import type { Room, RoomStudent } from '../../core/room';
import { LinkButton } from '../shared/LinkButton';
import { useAppDispatch, useServices } from '../state/hooks';
import { saveAttempt } from '../state/attemptsSlice';
import { Board } from './Board';
import { hostKeyOf } from './keys';
import { entriesOf } from './spread';
import { gradeIn } from './useRoomClass';
import { useRoomSocket } from './useRoomSocket';
import { addressesOfServer, lessonOfRoom, RoomTrouble } from './wire';
import './Room.css';

/** An instructor's side of a room; with `board`, only what the class looks at. */
export function RoomHost({ board = false }: { board?: boolean }) {
  const { t } = useTranslation();
  const { code = '' } = useParams();
  const [entrance] = useState<RoomEntrance | null>(() => {
    const host = hostKeyOf(code);
    return host === null ? null : { code, host };
  });
  const [lesson, setLesson] = useState<Lesson | null>(null);
  const [trouble, setTrouble] = useState('');
  const { link, now: room, why, act } = useRoomSocket<Room>(entrance);
  useEffect(() => {
    lessonOfRoom(code).then(setLesson, (error: unknown) =>
      setTrouble(error instanceof RoomTrouble ? error.message : 'no-server'),
    );
  }, [code]);
  const said =
    entrance === null ? 'not-the-host' : trouble !== '' ? trouble : link === 'out' ? why : '';
  if (said !== '')
    return (
      <main className="room-door" id="main">
        <h1>{t('room.notIn')}</h1>
        <p role="alert">{t(`room.troubles.${said}`)}</p>
        <LinkButton to="/teach/lessons">{t('room.toLessons')}</LinkButton>
      </main>
    );
  if (!room || !lesson)
    return (
      <main className="room-door" id="main">
        <h1>{t('room.connecting')}</h1>
      </main>
    );
  if (board)
    return (
      <main className="room-board-only" id="main">
        <Board lesson={lesson} room={room} />
        <p className="room-board-code">
          {t('room.codeIs')} <strong>{code}</strong>
        </p>
      </main>
    );
  return <Leading code={code} lesson={lesson} room={room} lost={link === 'lost'} act={act} />;
}

interface LeadingProps {
  code: string;
  lesson: Lesson;
  room: Room;
  lost: boolean;
  act: (action: HostAction) => Promise<{ readonly ok: boolean; readonly why?: string }>;
}

function Leading({ code, lesson, room, lost, act }: LeadingProps) {
  const { t } = useTranslation();
  const tell = useTell();
  const questions = useMemo(() => questionsOf(lesson), [lesson]);
  const { turn } = room;
  const at = questions.findIndex((q) => q.id === turn?.question);
  const next = questions[at + 1];
  const now = (action: HostAction) =>
    void act(action).then((answer) => {
      if (!answer.ok) tell.error(t(`room.troubles.${answer.why ?? 'no-link'}`));
    });
  const ask = (question: string) => now({ kind: 'asked', question });
  return (
    <main className="room-host" id="main">
      <aside className="room-left" aria-label={t('room.wayIn')}>
        <WayIn code={code} />
        <div className="row">
          <Switch
            checked={room.locked}
            aria-label={t('room.lock')}
            onChange={(locked) => now({ kind: 'locked', locked })}
          />
          <span>{t('room.lock')}</span>
        </div>
        <Segmented
          aria-label={t('room.pace')}
          value={room.pace}
          onChange={(pace) => now({ kind: 'paced', pace })}
          options={(['led', 'own'] as const).map((p) => ({
            value: p,
            label: t(`room.paces.${p}`),
          }))}
        />
        <Students room={room} act={now} />
      </aside>
      <section className="room-middle" aria-label={t('room.theBoard')}>
        {lost && (
          <p role="alert" className="room-trouble">
            {t('room.lost')}
          </p>
        )}
        <Board lesson={lesson} room={room} />
        {room.pace === 'led' && (
          <div className="room-controls">
            {turn && !turn.revealed && (
              <>
                <Button size="large" onClick={() => now({ kind: 'spread', shown: !turn.spread })}>
                  {t(turn.spread ? 'room.hideSpread' : 'room.showSpread')}
                </Button>
                {turn.vote === 1 && (
                  <Button size="large" onClick={() => now({ kind: 'voted-again' })}>
                    {t('room.talkAndVote')}
                  </Button>
                )}
                <Button size="large" type="primary" onClick={() => now({ kind: 'revealed' })}>
                  {t('room.reveal')}
                </Button>
              </>
            )}
            {(!turn || turn.revealed) && next && (
              <Button size="large" type="primary" onClick={() => ask(next.id)}>
                {t(turn ? 'room.nextQuestion' : 'room.firstQuestion')}
              </Button>
            )}
          </div>
        )}
        <ol className="room-questions" aria-label={t('room.questions')}>
          {questions.map((q, k) => (
            <li key={q.id}>
              <button
                type="button"
                aria-current={q.id === turn?.question}
                onClick={() => ask(q.id)}
                disabled={room.pace === 'own'}
              >
                {k + 1}. {stepTitle(lesson, q.id)}
              </button>
            </li>
          ))}
        </ol>
        <div className="row">
          <Button href={`/teach/rooms/${code}/board`} target="_blank">
            {t('room.openBoard')}
          </Button>
          <Ending lesson={lesson} room={room} act={act} />
        </div>
      </section>
    </main>
  );
}

const stepTitle = (lesson: Lesson, question: string): string =>
  lesson.steps.find((s) => s.blocks.some((b) => b.id === question))?.title ?? question;

/** Where students go, and what they type there. */
function WayIn({ code }: { code: string }) {
  const { t } = useTranslation();
  const [addresses, setAddresses] = useState<readonly string[]>([]);
  useEffect(() => {
    addressesOfServer().then(setAddresses, () => setAddresses([]));
  }, []);
  const outside = addresses.filter((a) => !/127\.0\.0\.1|\[::1\]|localhost/.test(a));
  const address = outside[0] ?? window.location.origin;
  return (
    <div className="room-way">
      <p className="label">{t('room.goTo')}</p>
      <p className="room-address">{`${address.replace(/^https?:\/\//, '')}/room`}</p>
      <p className="label">{t('room.code')}</p>
      <p className="room-code-big">{code}</p>
      <QRCode
        value={`${address}/room/${code}`}
        size={156}
        color="#000"
        bgColor="#fff"
        aria-label={t('room.qr')}
      />
      {outside.length === 0 && <p className="room-trouble">{t('room.onlyHere')}</p>}
    </div>
  );
}

function Students({ room, act }: { room: Room; act: (action: HostAction) => void }) {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const { turn } = room;
  const has = (id: string) =>
    turn !== null &&
    room.commits.some(
      (c) => c.student === id && c.entry.question === turn.question && c.vote === turn.vote,
    );
  const rename = (student: RoomStudent) => {
    let name = student.name;
    void modal.confirm({
      title: t('room.rename'),
      content: (
        <Input
          aria-label={t('room.yourName')}
          defaultValue={name}
          onChange={(e) => (name = e.target.value)}
        />
      ),
      onOk: () => act({ kind: 'renamed', student: student.id, name }),
    });
  };
  return (
    <ul className="room-students" aria-label={t('room.students')}>
      {room.students.map((s) => (
        <li key={s.id} data-committed={has(s.id)}>
          <span>
            {has(s.id) ? '✓ ' : ''}
            {s.name}
          </span>
          <Dropdown
            trigger={['click']}
            menu={{
              items: [
                { key: 'rename', label: t('room.rename'), onClick: () => rename(s) },
                {
                  key: 'remove',
                  label: t('room.remove'),
                  danger: true,
                  onClick: () => act({ kind: 'removed', student: s.id }),
                },
              ],
            }}
          >
            <Button size="small" aria-label={t('room.doWith', { name: s.name })}>
              …
            </Button>
          </Dropdown>
        </li>
      ))}
    </ul>
  );
}

/** Puts the records into the class book, graded anew from the model, and closes the room. */
function Ending({ lesson, room, act }: Pick<LeadingProps, 'lesson' | 'room' | 'act'>) {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const tell = useTell();
  const dispatch = useAppDispatch();
  const services = useServices();
  const navigate = useNavigate();
  const end = async () => {
    const graded = room.commits.flatMap((c) => gradeIn(lesson, room, c) ?? []);
    for (const student of room.students) {
      const answers = entriesOf(graded, student.id);
      if (answers.length === 0) continue;
      const attempt: Attempt = {
        format: 'fair-sprocket/attempt',
        version: 1,
        id: services.newId(),
        student: student.name,
        lesson: { id: lesson.id, title: lesson.title, hash: room.lesson },
        startedAt: room.openedAt,
        finishedAt: services.now(),
        answers,
      };
      const { outcome } = await dispatch(
        saveAttempt({ record: { attempt, source: 'imported' }, base: null }),
      ).unwrap();
      if (outcome !== 'saved') throw new Error(outcome);
    }
    const answer = await act({ kind: 'closed' });
    if (!answer.ok) throw new Error(answer.why ?? '');
    void navigate('/teach/class-book');
  };
  return (
    <Button
      danger
      onClick={() => {
        void modal.confirm({
          title: t('room.end'),
          content: t('room.endHow', { count: room.students.length }),
          okText: t('room.endNow'),
          onOk: () =>
            end().catch((error: unknown) =>
              tell.error(t('room.endFailed', { why: String(error) })),
            ),
        });
      }}
    >
      {t('room.end')}
    </Button>
  );
}
