import { Button, Input, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import {
  familyOf,
  firstPosed,
  wayTo,
  type Lesson,
  type LessonStep,
  type QuestionBlock,
} from '../../core/lesson';
import { promptFor, rightFor, whyFor } from '../lessons/families/words';
import { STAGES } from '../lessons/families/stages';
import { PaperContext } from '../lessons/player/onPaper';
import { ReadingBlocks } from '../lessons/player/ReadingBlocks';
import { NO_NEXT } from '../lessons/player/roomTurn';
import { selectPlayer } from '../lessons/player/playerSlice';
import { takesSheet } from '../lessons/player/usePlayerStep';
import { KeptScope } from '../shared/kept';
import { NotFound } from '../shared/NotFound';
import { useNumbers } from '../shared/numbers';
import { useAppSelector } from '../state/hooks';
import { selectLesson } from '../state/librarySlice';
import { differs, isOnPaper, MOST_NAMES, namesIn } from './onSheet';
import './Paper.css';

const SIZES = ['A4', 'letter'] as const;
type Size = (typeof SIZES)[number];
/** Where the answers stand: on sheets of their own behind the others, alone, or nowhere. */
const ANSWERS = ['last', 'apart', 'none'] as const;
type Answers = (typeof ANSWERS)[number];

/** A lesson as worksheets: one for each name, in black ink, with the answers on sheets of their own. */
export function PaperScreen() {
  const { lessonId } = useParams();
  const record = useAppSelector(selectLesson(lessonId));
  return record ? <Paper lesson={record.lesson} /> : <NotFound />;
}

function Paper({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const [names, setNames] = useState('');
  const [size, setSize] = useState<Size>('A4');
  const [answers, setAnswers] = useState<Answers>('last');
  const sheets = useMemo(() => {
    const own = namesIn(names);
    return own.length > 0 ? own : [''];
  }, [names]);
  return (
    <main className="paper" id="main" data-size={size}>
      <style>{`@page { size: ${size} portrait; margin: 12mm; }`}</style>
      <header className="paper-bar">
        <h1>{t('paper.title', { lesson: lesson.title })}</h1>
        <label className="field">
          <span className="label">{t('paper.names')}</span>
          <Input.TextArea
            autoSize={{ minRows: 1, maxRows: 6 }}
            placeholder={t('paper.namesHow', { most: MOST_NAMES })}
            value={names}
            onChange={(e) => setNames(e.target.value)}
          />
        </label>
        {sheets.length > 1 && !differs(lesson) && <p className="quiet">{t('paper.allAlike')}</p>}
        <div className="row">
          <Segmented<Size>
            aria-label={t('paper.size')}
            value={size}
            onChange={setSize}
            options={SIZES.map((s) => ({ value: s, label: t(`paper.sizes.${s}`) }))}
          />
          <Segmented<Answers>
            aria-label={t('paper.answers')}
            value={answers}
            onChange={setAnswers}
            options={ANSWERS.map((a) => ({ value: a, label: t(`paper.answersAre.${a}`) }))}
          />
          <Button type="primary" onClick={() => window.print()}>
            {t('paper.print')}
          </Button>
          <Link to="/teach/lessons">{t('room.toLessons')}</Link>
        </div>
      </header>
      {answers !== 'apart' &&
        sheets.map((name) => <Worksheet key={`sheet ${name}`} lesson={lesson} student={name} />)}
      {answers !== 'none' &&
        sheets.map((name) => (
          <AnswerSheet key={`answers ${name}`} lesson={lesson} student={name} />
        ))}
    </main>
  );
}

interface SheetProps {
  lesson: Lesson;
  student: string;
}

function Worksheet({ lesson, student }: SheetProps) {
  const { t } = useTranslation();
  const whose = useMemo(() => ({ student }), [student]);
  return (
    <PaperContext.Provider value={whose}>
      <KeptScope.Provider value={`paper ${lesson.id} ${student}`}>
        <article className="paper-sheet black-ink" aria-label={student || lesson.title}>
          <header className="paper-head">
            <h2>{lesson.title}</h2>
            <p>
              {t('paper.name')} <span className="paper-line">{student}</span> {t('paper.date')}{' '}
              <span className="paper-line paper-short" />
            </p>
          </header>
          {lesson.steps.map((step, k) => (
            <PaperStep key={step.id} lesson={lesson} step={step} number={k + 1} />
          ))}
        </article>
      </KeptScope.Provider>
    </PaperContext.Provider>
  );
}

function PaperStep({ lesson, step, number }: { lesson: Lesson; step: LessonStep; number: number }) {
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const questions = step.blocks.filter((b) => b.kind === 'question');
  return (
    <section className="paper-step">
      <div className="paper-text">
        <h3>
          {number} {step.title}
        </h3>
        <ReadingBlocks
          step={{ ...step, blocks: step.blocks.filter((b) => !takesSheet(b)) }}
          focus={null}
          benchesOpen={false}
          player={player}
          onFocus={() => undefined}
        />
      </div>
      {questions.map((block) =>
        isOnPaper(block.question) ? (
          <PaperQuestion key={block.id} lesson={lesson} block={block} />
        ) : (
          <p key={block.id} className="paper-elsewhere">
            {t('paper.atTheMachine')}
          </p>
        ),
      )}
    </section>
  );
}

function PaperQuestion({ lesson, block }: { lesson: Lesson; block: QuestionBlock }) {
  const Stage = STAGES[familyOf(block.question)];
  return (
    <div className="paper-question">
      <Stage lesson={lesson} block={block} round={0} heading={null} blocks={null} next={NO_NEXT} />
    </div>
  );
}

function AnswerSheet({ lesson, student }: SheetProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <article className="paper-sheet black-ink" aria-label={t('paper.answersOf', { student })}>
      <header className="paper-head">
        <h2>{t('paper.answersOf', { student: student || lesson.title })}</h2>
      </header>
      {lesson.steps.map((step, k) =>
        step.blocks.map((block) => {
          if (block.kind !== 'question' || !isOnPaper(block.question)) return null;
          const { question, subject } = firstPosed(lesson, block, student);
          const right = rightFor(t, numbers, question, subject);
          if (!right || !subject) return null;
          const { facts } = whyFor(
            t,
            numbers,
            { named: [], fitting: 0, facts: wayTo(question, subject) },
            question,
            subject,
          );
          return (
            <section key={block.id} className="paper-answer-line">
              <h3>
                {k + 1} {promptFor(t, numbers, question, subject)}
              </h3>
              <p>
                <strong>{right.main}</strong> {right.detail}
              </p>
              <ul>
                {facts.map((fact) => (
                  <li key={fact}>{fact}</li>
                ))}
              </ul>
            </section>
          );
        }),
      )}
    </article>
  );
}
