import { Button, Input } from 'antd';
import { useCallback, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import type { RoomEntrance } from '../../core/formats';
import type { Lesson } from '../../core/lesson';
import { MOST_STUDENT_NAME, type StudentView } from '../../core/room';
import { useAppSelector, useServices } from '../state/hooks';
import { keepPlace, leavePlace, placeIn } from './keys';
import { RoomPlay } from './RoomPlay';
import { useRoomSocket } from './useRoomSocket';
import { lessonOfRoom, RoomTrouble } from './wire';
import './Room.css';

const CODE = /^[A-Z2-9]{6}$/;

/** A student's way into a room: the code, a name, and in. */
export function RoomStudent() {
  const { code: given = '' } = useParams();
  const code = given.toUpperCase();
  return CODE.test(code) ? <InRoom key={code} code={code} /> : <AskCode />;
}

interface DoorFormProps {
  label: string;
  how: string;
  press: string;
  value: string;
  onValue: (value: string) => void;
  /** Whether it is enough to go on. */
  ready: boolean;
  onReady: () => void;
  trouble?: string;
  inputClass?: string;
}

/** One thing to type, and in. */
function DoorForm(props: DoorFormProps) {
  const {
    label,
    how,
    press,
    value,
    onValue,
    ready,
    onReady,
    trouble = '',
    inputClass = '',
  } = props;
  const { t } = useTranslation();
  return (
    <main className="room-door" id="main">
      <h1>{t('room.enter')}</h1>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) onReady();
        }}
      >
        <label className="field">
          <span className="label">{label}</span>
          <Input
            className={inputClass}
            value={value}
            maxLength={MOST_STUDENT_NAME}
            autoComplete="off"
            onChange={(e) => onValue(e.target.value)}
          />
        </label>
        {trouble !== '' && (
          <p role="alert" className="room-trouble">
            {trouble}
          </p>
        )}
        <Button type="primary" size="large" htmlType="submit" disabled={!ready}>
          {press}
        </Button>
        <p className="quiet">{how}</p>
      </form>
    </main>
  );
}

function AskCode() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [code, setCode] = useState('');
  const tidy = code
    .toUpperCase()
    .replace(/[^A-Z2-9]/g, '')
    .slice(0, 6);
  return (
    <DoorForm
      label={t('room.code')}
      how={t('room.codeHow')}
      press={t('room.on')}
      inputClass="room-code"
      value={tidy}
      onValue={setCode}
      ready={CODE.test(tidy)}
      onReady={() => void navigate(`/room/${tidy}`)}
    />
  );
}

function InRoom({ code }: { code: string }) {
  const { t } = useTranslation();
  const services = useServices();
  const [place, setPlace] = useState(() => placeIn(code));
  const [entrance, setEntrance] = useState<RoomEntrance | null>(() =>
    place ? { code, student: place.key } : null,
  );
  const [lesson, setLesson] = useState<Lesson | null>(null);
  const [trouble, setTrouble] = useState('');
  const [tries, setTries] = useState(0);
  const onKey = useCallback(
    (key: string) => {
      setPlace((before) => {
        const own = { key, attempt: before?.key === key ? before.attempt : services.newId() };
        keepPlace(code, own);
        return own;
      });
    },
    [code, services],
  );
  const { link, now, why, commit } = useRoomSocket<StudentView>(entrance, onKey);
  // All that the lesson needs is here before the first question: the network may go.
  useEffect(() => {
    let over = false;
    lessonOfRoom(code).then(
      (found) => !over && setLesson(found),
      (error: unknown) =>
        !over && setTrouble(error instanceof RoomTrouble ? error.message : 'no-server'),
    );
    return () => {
      over = true;
    };
  }, [code, tries]);
  if (trouble !== '')
    return (
      <Door title={t('room.notIn')} text={t(`room.troubles.${trouble}`)}>
        <Button
          onClick={() => {
            setTrouble('');
            setTries((k) => k + 1);
          }}
        >
          {t('room.again')}
        </Button>
      </Door>
    );
  const refused = link === 'out';
  if (!entrance || (refused && !now))
    return (
      <AskName
        trouble={refused ? t(`room.troubles.${why}`) : ''}
        onName={(name) => {
          leavePlace(code);
          setPlace(null);
          setEntrance({ code, name });
        }}
      />
    );
  if (refused) return <Door title={t('room.out')} text={t(`room.troubles.${why}`)} />;
  if (!lesson || !now || !place)
    return <Door title={t('room.connecting')} text={t('room.connectingHow')} />;
  return (
    <RoomPlay lesson={lesson} view={now} place={place} lost={link === 'lost'} commit={commit} />
  );
}

function Door(props: { title: string; text: string; children?: React.ReactNode }) {
  return (
    <main className="room-door" id="main">
      <h1>{props.title}</h1>
      <p>{props.text}</p>
      {props.children}
    </main>
  );
}

function AskName({ trouble, onName }: { trouble: string; onName: (name: string) => void }) {
  const { t } = useTranslation();
  const { student = '' } = useAppSelector((state) => state.settings);
  const [name, setName] = useState(student);
  return (
    <DoorForm
      label={t('room.yourName')}
      how={t('room.nameHow')}
      press={t('room.comeIn')}
      value={name}
      onValue={setName}
      ready={name.trim() !== ''}
      onReady={() => onName(name)}
      trouble={trouble}
    />
  );
}
