import { DownloadOutlined, FolderOpenOutlined } from '../shared/icons';
import { Button, Select, Spin } from 'antd';
import { useMemo, useState } from 'react';
import { lazyPart } from '../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import { classBookCsv } from '../../core/formats';
import { confidenceTally, type ClassBook, type Lesson } from '../../core/lesson';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { settingsChanged } from '../state/settingsSlice';
import { download, fileName } from '../shared/download';
import { ImportReport } from '../files/ImportReport';
import { useImporter } from '../files/useImporter';
import { selectLibrary } from '../state/librarySlice';
import { inOneLine } from '../lessons/worded';
import { answerFor } from '../lessons/families/words';
import { FileButton } from '../shared/FileButton';
import { useNumbers } from '../shared/numbers';
import { selectAttempts } from '../state/attemptsSlice';
import { CellDetail, type ChosenCell } from './CellDetail';
import { Ledger } from './Ledger';
import { questionName } from './questionName';
import { useClassBook, type BookNow } from '../lessons/useClassBook';
import { InTheirWords } from './InTheirWords';
import { TermTable } from './TermTable';
import { WentWrong } from './WentWrong';
import './ClassBook.css';

const ConfidenceChart = lazyPart(async () => (await import('./ConfidenceChart')).ConfidenceChart);

/** In the place of one lesson: all of them. */
const ALL = '*';

/** The class book: one lesson's attempts as a ledger, what went wrong, and the records out. */
export function ClassBookScreen() {
  const { t } = useTranslation();
  const library = useAppSelector(selectLibrary);
  const records = useAppSelector(selectAttempts);
  const { groups } = useAppSelector((state) => state.settings);
  const [group, setGroup] = useState('');
  const attempts = useMemo(
    () =>
      Object.values(records)
        .map((r) => r.attempt)
        .filter((a) => group === '' || groups[a.student.trim()] === group),
    [records, groups, group],
  );
  const groupNames = [...new Set(Object.values(groups))].sort((a, b) => (a < b ? -1 : 1));
  const dispatch = useAppDispatch();
  const counted = useAppSelector((state) => state.settings.counted);
  const importer = useImporter();
  const [wanted, setWanted] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ChosenCell | null>(null);
  const lessons = lessonsWithAttempts(attempts);
  const all = wanted === ALL;
  const lessonId = all
    ? null
    : (lessons.find((l) => l.id === wanted)?.id ?? mostAttempted(lessons));
  const lesson = lessonId === null ? undefined : library.byId[lessonId]?.lesson;
  const now = useClassBook(lesson ?? null, attempts, counted);
  const { book } = now;
  /** One record of a student counts; the others of the same student stop counting. */
  const count = (attemptId: string) => {
    const twins = book?.rows.find((r) => r.attempt.id === attemptId)?.twins ?? [];
    const others = counted.filter((id) => id !== attemptId && !twins.includes(id));
    dispatch(settingsChanged({ counted: [...others, attemptId] }));
  };

  return (
    <main className="page class-book" id="main">
      <div className="page-head">
        <div>
          <h1>{t('classBook.title')}</h1>
          <p>{t('classBook.lead')}</p>
        </div>
        <div className="row">
          {lesson && book && <CsvButton lesson={lesson} book={book} />}
          <FileButton
            accept=".json"
            multiple
            type="primary"
            icon={<FolderOpenOutlined />}
            loading={importer.busy}
            onFiles={(files) => void importer.open(files)}
          >
            {t('classBook.import')}
          </FileButton>
        </div>
      </div>
      <ImportReport importer={importer} />
      {lessons.length === 0 && group === '' ? (
        <p className="library-empty">{t('classBook.empty')}</p>
      ) : (
        <>
          <BookChooser
            lessons={lessons}
            chosen={all ? ALL : lessonId}
            onLesson={(id) => {
              setWanted(id);
              setChosen(null);
            }}
            groups={groupNames}
            group={group}
            onGroup={setGroup}
          />
          {all ? (
            <TermTable
              attempts={attempts}
              lessons={lessons.flatMap(({ id }) => library.byId[id]?.lesson ?? [])}
            />
          ) : lesson ? (
            <>
              {now.failure && <p role="alert">{t('classBook.failed', { reason: now.failure })}</p>}
              {book ? (
                <Book
                  lesson={lesson}
                  book={book}
                  sealOf={now.sealOf}
                  chosen={chosen}
                  onChoose={setChosen}
                  onCount={count}
                />
              ) : (
                !now.failure && <Spin />
              )}
            </>
          ) : (
            <p className="library-empty">{t('classBook.lessonMissing')}</p>
          )}
        </>
      )}
    </main>
  );
}

interface ChooserProps {
  lessons: readonly LessonCount[];
  chosen: string | null;
  onLesson: (id: string) => void;
  groups: readonly string[];
  group: string;
  onGroup: (group: string) => void;
}

/** Which lesson, and whose attempts. */
function BookChooser({ lessons, chosen, onLesson, groups, group, onGroup }: ChooserProps) {
  const { t } = useTranslation();
  return (
    <div className="row class-book-lesson">
      <span className="label">{t('classBook.lesson')}</span>
      <Select
        aria-label={t('classBook.lesson')}
        value={chosen}
        virtual={false}
        listHeight={420}
        style={{ minWidth: 'min(380px, 100%)' }}
        onChange={onLesson}
        options={[
          { value: ALL, label: t('classBook.allLessons') },
          ...lessons.map(({ id, title, count }) => ({
            value: id,
            label: t('classBook.lessonOption', { title, count }),
          })),
        ]}
      />
      {groups.length > 0 && (
        <Select
          aria-label={t('classBook.group')}
          value={group}
          onChange={onGroup}
          style={{ minWidth: 160 }}
          options={[
            { value: '', label: t('classBook.allGroups') },
            ...groups.map((value) => ({ value, label: value })),
          ]}
        />
      )}
    </div>
  );
}

interface BookProps {
  lesson: Lesson;
  book: ClassBook;
  sealOf: BookNow['sealOf'];
  chosen: ChosenCell | null;
  onChoose: (cell: ChosenCell | null) => void;
  onCount: (attemptId: string) => void;
}

function Book({ lesson, book, sealOf, chosen, onChoose, onCount }: BookProps) {
  const { t } = useTranslation();
  return (
    <>
      <Ledger
        lesson={lesson}
        book={book}
        sealOf={sealOf}
        chosen={chosen}
        onChoose={onChoose}
        onCount={onCount}
      />
      <div className="class-book-below">
        {chosen ? (
          <CellDetail book={book} chosen={chosen} />
        ) : (
          <div>
            <WentWrong lesson={lesson} book={book} />
            <InTheirWords book={book} onChoose={onChoose} />
          </div>
        )}
        <section aria-label={t('classBook.sure')}>
          <h2 className="class-book-heading">{t('classBook.sure')}</h2>
          <ConfidenceChart tally={confidenceTally(book)} />
        </section>
      </div>
    </>
  );
}

interface LessonCount {
  id: string;
  title: string;
  count: number;
}

function lessonsWithAttempts(
  attempts: readonly { lesson: { id: string; title: string } }[],
): LessonCount[] {
  const counts = new Map<string, LessonCount>();
  for (const { lesson } of attempts) {
    const entry = counts.get(lesson.id) ?? { id: lesson.id, title: lesson.title, count: 0 };
    entry.count++;
    counts.set(lesson.id, entry);
  }
  return [...counts.values()];
}

const mostAttempted = (lessons: readonly LessonCount[]): string | null =>
  [...lessons].sort((a, b) => b.count - a.count)[0]?.id ?? null;

function CsvButton({ lesson, book }: { lesson: Lesson; book: ClassBook }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const save = () => {
    const columns = [
      'student',
      'lesson',
      'question',
      'answer',
      'score',
      'confidence',
      'why',
      'practice',
      'ownWords',
      'when',
    ];
    const csv = classBookCsv(lesson.title, book, {
      columns: columns.map((c) => t(`classBook.csv.${c}`)),
      question: (k) => `${k + 1} ${questionName(t, book, k)}`,
      answer: (cell) => {
        // What does not fit its question can't be put into words.
        if (cell.setAside === 'misfit') return '';
        const { question, subject, answer } = cell;
        return inOneLine(answerFor(t, numbers, question, subject, answer.answer));
      },
      misconception: (code) => t(`misconceptions.${code}`),
      setAside: (why) => t(`classBook.setAside.${why}`),
    });
    download(fileName(`${lesson.title} class`, 'csv'), csv, 'text/csv;charset=utf-8');
  };
  return (
    <Button icon={<DownloadOutlined />} onClick={save}>
      {t('classBook.exportCsv')}
    </Button>
  );
}
