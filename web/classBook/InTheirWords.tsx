import { useTranslation } from 'react-i18next';
import type { ClassBook } from '../../core/lesson';
import { questionName } from './questionName';
import type { ChosenCell } from './CellDetail';

interface Props {
  book: ClassBook;
  onChoose: (cell: ChosenCell) => void;
}

/** What students wrote where a question asks why: for the instructor to read, counted nowhere. */
export function InTheirWords({ book, onChoose }: Props) {
  const { t } = useTranslation();
  const asked = book.questions.flatMap((_question, column) => {
    const wrote = book.rows.flatMap(({ attempt, cells }) => {
      const words = cells[column]?.answer.words;
      return words ? [{ attempt, words }] : [];
    });
    return wrote.length > 0 ? [{ column, wrote }] : [];
  });
  if (asked.length === 0) return null;
  return (
    <section className="their-words" aria-label={t('classBook.theirWords')}>
      <h2 className="class-book-heading">{t('classBook.theirWords')}</h2>
      {asked.map(({ column, wrote }) => (
        <div key={column}>
          <h3 className="label">{`${column + 1} ${questionName(t, book, column)}`}</h3>
          <ul>
            {wrote.map(({ attempt, words }) => (
              <li key={attempt.id}>
                <button
                  type="button"
                  className="their-words-who"
                  onClick={() => onChoose({ attemptId: attempt.id, column })}
                >
                  {attempt.student}
                </button>
                <span className="own-words">{words}</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
