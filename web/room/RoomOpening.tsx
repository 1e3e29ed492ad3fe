import { Button } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams } from 'react-router';
import { mediaOf, questionsOf } from '../../core/lesson';
import { NotFound } from '../shared/NotFound';
import { useAppSelector } from '../state/hooks';
import { selectLesson } from '../state/librarySlice';
import { keepHostKey } from './keys';
import { openRoom, RoomTrouble } from './wire';
import './Room.css';

/** Opens a room on a lesson. */
export function RoomOpening() {
  const { t } = useTranslation();
  const { lessonId } = useParams();
  const navigate = useNavigate();
  const record = useAppSelector(selectLesson(lessonId));
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  if (!record) return <NotFound />;
  const { lesson } = record;
  const questions = questionsOf(lesson).length;
  const open = async () => {
    setBusy(true);
    setTrouble('');
    try {
      const { code, hostKey } = await openRoom(lesson, 'led');
      keepHostKey(code, hostKey);
      void navigate(`/teach/rooms/${code}`);
    } catch (error) {
      setTrouble(t(`room.troubles.${error instanceof RoomTrouble ? error.message : 'no-server'}`));
      setBusy(false);
    }
  };
  return (
    <main className="room-door" id="main">
      <h1>{t('room.openOn', { title: lesson.title })}</h1>
      <p>{t('room.openHow')}</p>
      <ol>
        {(['ask', 'spread', 'talk', 'reveal', 'end'] as const).map((step) => (
          <li key={step}>{t(`room.steps.${step}`)}</li>
        ))}
      </ol>
      {mediaOf(lesson).length > 0 && <p>{t('room.noPictures')}</p>}
      {questions === 0 && <p role="alert">{t('room.noQuestions')}</p>}
      {trouble !== '' && (
        <p role="alert" className="room-trouble">
          {trouble}
        </p>
      )}
      <Button
        type="primary"
        size="large"
        loading={busy}
        disabled={questions === 0}
        onClick={() => void open()}
      >
        {t('room.open')}
      </Button>
    </main>
  );
}
