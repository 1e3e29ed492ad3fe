import { Button } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { firstPosed, wrongAnswers, type Lesson } from '../../core/lesson';
import { answerFor, keyLabelFor, promptFor, rightFor } from '../lessons/families/words';
import { inOneLine } from '../lessons/worded';
import { LazyMarkdown } from '../shared/LazyMarkdown';
import { NotFound } from '../shared/NotFound';
import { useNumbers } from '../shared/numbers';
import { useShortcuts } from '../shared/useShortcuts';
import { useAppSelector } from '../state/hooks';
import { selectLesson } from '../state/librarySlice';
import { KEYS_OF, RUN_KEYS, useRunChannel, type OnWall, type RunKey } from './runChannel';
import { questionOn, slidesOf, type Slide } from './slides';
import './Run.css';

/** The instructor's own screen beside the projector: what stands on the wall, what to say, what is right and what comes next. */
export function RunNotes() {
  const { lessonId } = useParams();
  const record = useAppSelector(selectLesson(lessonId));
  return record ? <Notes lesson={record.lesson} /> : <NotFound />;
}

function Notes({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const slides = useMemo(() => slidesOf(lesson), [lesson]);
  const [wall, setWall] = useState<OnWall | null>(null);
  const say = useRunChannel(lesson.id, (message) => {
    if (message.kind === 'wall') setWall(message.wall);
  });
  useEffect(() => say({ kind: 'who' }), [say]);
  const press = (key: RunKey) => say({ kind: 'pressed', key });
  useShortcuts(
    Object.fromEntries(
      RUN_KEYS.flatMap((key) => KEYS_OF[key].map((k) => [k, () => press(key)] as const)),
    ),
  );
  const slide = wall && slides[wall.slide];
  const next = wall && slides[wall.slide + 1];
  if (!wall || !slide)
    return (
      <main className="run-notes" id="main">
        <h1>{lesson.title}</h1>
        <p role="status">{t('run.noWall')}</p>
      </main>
    );
  return (
    <main className="run-notes" id="main">
      <section aria-label={t('run.nowOn')}>
        <p className="label">{t('run.place', { at: wall.slide + 1, of: slides.length })}</p>
        <h1>
          {slide.number} {slide.step.title}
        </h1>
        {wall.blank && <p role="status">{t('run.isBlank')}</p>}
        {slide.step.notes ? (
          <LazyMarkdown text={slide.step.notes} />
        ) : (
          <p className="quiet">{t('run.noNotes')}</p>
        )}
        <p className="label">{t('run.comesNext')}</p>
        <p>{next ? `${next.number} ${next.step.title}` : t('run.theEnd')}</p>
      </section>
      <section aria-label={t('run.theAnswer')}>
        <Told lesson={lesson} slide={slide} />
        {wall.called.length > 0 && (
          <>
            <p className="label">{t('run.said')}</p>
            <ul>
              {wall.called.map((c) => (
                <li key={c.text}>{t('run.hands', { answer: c.text, count: c.hands })}</li>
              ))}
            </ul>
          </>
        )}
      </section>
      <nav className="run-notes-keys" aria-label={t('run.onTheWall')}>
        {RUN_KEYS.map((key) => (
          <Button
            key={key}
            size="large"
            type={key === 'next' ? 'primary' : 'default'}
            disabled={key === 'reveal' && (wall.revealed || wall.called.length === 0)}
            onClick={() => press(key)}
          >
            {t(`run.keys.${key}`)} <kbd>{KEYS_OF[key][0]!.toUpperCase()}</kbd>
          </Button>
        ))}
      </nav>
    </main>
  );
}

/** What is right, and what somebody answers who thinks otherwise: for the instructor's eyes. */
function Told({ lesson, slide }: { lesson: Lesson; slide: Slide }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const block = questionOn(slide);
  const posed = useMemo(() => {
    if (!block) return null;
    const { question, subject } = firstPosed(lesson, block, t('run.class'));
    if (!subject) return null;
    const right = rightFor(t, numbers, question, subject);
    const wrong = wrongAnswers(question, subject).map(({ slip, answer }) => ({
      slip,
      text: inOneLine(answerFor(t, numbers, question, subject, answer)),
    }));
    return {
      whose: t(keyLabelFor(question)),
      prompt: promptFor(t, numbers, question, subject),
      right,
      wrong,
    };
  }, [lesson, block, numbers, t]);
  if (!posed) return <p className="quiet">{t('run.nothingAsked')}</p>;
  return (
    <>
      <p>{posed.prompt}</p>
      <p className="label">{posed.whose}</p>
      <p className="run-notes-right">{posed.right ? inOneLine(posed.right) : '–'}</p>
      {posed.wrong.length > 0 && (
        <>
          <p className="label">{t('run.whoSays')}</p>
          <table className="plain">
            <tbody>
              {posed.wrong.map(({ slip, text }) => (
                <tr key={slip}>
                  <td>{text}</td>
                  <td>{t(`misconceptions.${slip}`)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </>
  );
}
