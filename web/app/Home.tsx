import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { defaultSetup } from '../../core/lesson';
import { EndViewPicture } from '../bench/EndViewPicture';
import { useSetModel } from '../ratio/useSetModel';
import { useTurning } from '../bench/useTurning';
import { useElementSize } from '../shared/useElementSize';
import './Home.css';

const SETUP = { ...defaultSetup(), inputSpeedRpm: 320 };

/** Two doors with a gear set turning between them. */
export function Home() {
  const { t } = useTranslation();
  return (
    <main className="home" id="main">
      <div className="home-head">
        <h1>{t('home.title')}</h1>
        <p>{t('home.lead')}</p>
      </div>
      <div className="home-doors">
        <DoorPanel door="teach" links={['first', 'lessons', 'ratio', 'apply', 'classBook']} />
        <HomeDrawing />
        <DoorPanel door="learn" links={['first', 'lessons', 'ratio', 'apply', 'records']} />
      </div>
      <p className="home-foot quiet">{t('home.caution')}</p>
    </main>
  );
}

const PATHS: Readonly<Record<string, string>> = {
  lessons: 'lessons',
  ratio: 'ratio',
  apply: 'apply',
  classBook: 'class-book',
  records: 'records',
};

/** One path for who is new here: a lesson of one's own, or a first prediction. */
const FIRST = { teach: '/teach/first-lesson', learn: '/learn/lessons/name-the-parts' } as const;

function DoorPanel({ door, links }: { door: 'teach' | 'learn'; links: readonly string[] }) {
  const { t } = useTranslation();
  return (
    <section className={`home-door home-door-${door}`} aria-labelledby={`door-${door}`}>
      <h2 id={`door-${door}`}>
        <Link to={`/${door}/lessons`}>{t(`nav.${door}`)}</Link>
      </h2>
      <p>{t(`home.${door}`)}</p>
      <ul>
        {links.map((link) => (
          <li key={link}>
            <Link to={link === 'first' ? FIRST[door] : `/${door}/${PATHS[link]}`}>
              {t(`home.links.${door}.${link}`)}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function HomeDrawing() {
  const { t } = useTranslation();
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(box);
  const model = useSetModel(SETUP);
  const turning = useTurning(SETUP.inputSpeedRpm, true);
  const radius = Math.min(width, height) / 2;
  return (
    <div className="home-drawing" ref={box}>
      {width > 0 && (
        <EndViewPicture
          width={width}
          height={height}
          label={t('home.drawing')}
          view={model.view}
          roles={{ sun: 'drives', carrier: 'driven', ring: 'held' }}
          shown={model.shown}
          turning={turning}
          scale={radius / (model.view.extent * 1.13)}
          centre={{ x: width / 2, y: height / 2 }}
          misfit={false}
        />
      )}
      <button type="button" className="home-pause" onClick={turning.toggle}>
        {turning.playing ? t('home.pause') : t('home.turn')}
      </button>
    </div>
  );
}
