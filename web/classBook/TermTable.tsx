import { AutoComplete, Button } from 'antd';
import Papa from 'papaparse';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { FORMULA_LIKE } from '../../core/formats';
import { termRows, type Attempt, type ClassBook, type Lesson } from '../../core/lesson';
import { useClassBook } from '../lessons/useClassBook';
import { download } from '../shared/download';
import { DownloadOutlined } from '../shared/icons';
import { formatShare } from '../shared/numbers';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { settingsChanged } from '../state/settingsSlice';

interface Props {
  lessons: readonly Lesson[];
  attempts: readonly Attempt[];
}

/** One row a student across all lessons, with the group they are in. */
export function TermTable({ lessons, attempts }: Props) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const { groups } = useAppSelector((state) => state.settings);
  const [books, setBooks] = useState<Readonly<Record<string, ClassBook>>>({});
  const onBook = useCallback(
    (id: string, book: ClassBook) => setBooks((now) => ({ ...now, [id]: book })),
    [],
  );
  const shown = useMemo(
    () => lessons.flatMap(({ id, title }) => (books[id] ? [{ id, title, book: books[id] }] : [])),
    [lessons, books],
  );
  const rows = useMemo(() => termRows(shown), [shown]);
  const names = [...new Set(Object.values(groups))].sort((a, b) => (a < b ? -1 : 1));
  const group = (student: string, name: string) => {
    const { [student]: _gone, ...rest } = groups;
    const own = name.trim().slice(0, 40);
    dispatch(settingsChanged({ groups: own === '' ? rest : { ...rest, [student]: own } }));
  };
  const save = () => {
    const fields = [
      t('classBook.csv.student'),
      t('classBook.group'),
      ...shown.map((l) => l.title),
      t('classBook.mean'),
    ];
    const data = rows.map(({ student, scores, mean }) => [
      student,
      groups[student] ?? '',
      ...scores.map((s) => s?.toFixed(2) ?? ''),
      mean.toFixed(2),
    ]);
    const csv = Papa.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: FORMULA_LIKE });
    download('term.csv', csv, 'text/csv;charset=utf-8');
  };
  return (
    <>
      {lessons.map((lesson) => (
        <OneBook key={lesson.id} lesson={lesson} attempts={attempts} onBook={onBook} />
      ))}
      <Button icon={<DownloadOutlined />} onClick={save}>
        {t('classBook.exportTerm')}
      </Button>
      <div className="term-scroll" tabIndex={0} role="group" aria-label={t('classBook.allLessons')}>
        <table className="plain term-table">
          <thead>
            <tr>
              <th scope="col">{t('classBook.csv.student')}</th>
              <th scope="col">{t('classBook.group')}</th>
              {shown.map(({ id, title }) => (
                <th key={id} scope="col">
                  {title}
                </th>
              ))}
              <th scope="col" className="num">
                {t('classBook.mean')}
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ student, scores, mean }) => (
              <tr key={student}>
                <th scope="row">{student}</th>
                <td>
                  <AutoComplete
                    aria-label={t('classBook.groupOf', { student })}
                    placeholder={t('classBook.noGroup')}
                    value={groups[student] ?? ''}
                    options={names.map((value) => ({ value }))}
                    onChange={(name: string) => group(student, name)}
                  />
                </td>
                {scores.map((score, k) => (
                  <td key={shown[k]!.id} className="num">
                    {score === null ? '–' : formatShare(score)}
                  </td>
                ))}
                <td className="num">
                  <strong>{formatShare(mean)}</strong>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface OneBookProps {
  lesson: Lesson;
  attempts: readonly Attempt[];
  onBook: (id: string, book: ClassBook) => void;
}

/** Grades one lesson's records, away from the page, and hands the book on. */
function OneBook({ lesson, attempts, onBook }: OneBookProps) {
  const counted = useAppSelector((state) => state.settings.counted);
  const { book } = useClassBook(lesson, attempts, counted);
  useEffect(() => {
    if (book) onBook(lesson.id, book);
  }, [book, lesson.id, onBook]);
  return null;
}
