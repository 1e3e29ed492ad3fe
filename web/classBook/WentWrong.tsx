import { useTranslation } from 'react-i18next';
import type { ClassBook, Misconception } from '../../core/lesson';

/** What this class gets wrong most, with the questions where it happened. */
export function WentWrong({ book }: { book: ClassBook }) {
  const { t } = useTranslation();
  const counts = new Map<Misconception, { count: number; where: Set<string> }>();
  book.columns.forEach((column, k) => {
    for (const { code, count } of column.misconceptions) {
      const entry = counts.get(code) ?? { count: 0, where: new Set<string>() };
      entry.count += count;
      entry.where.add(book.questions[k]!.stepTitle);
      counts.set(code, entry);
    }
  });
  const list = [...counts].sort((a, b) => b[1].count - a[1].count);
  return (
    <section aria-label={t('classBook.wrong')}>
      <h2 className="class-book-heading">{t('classBook.wrong')}</h2>
      {list.length === 0 ? (
        <p className="quiet">{t('classBook.nothingWrong')}</p>
      ) : (
        <ul className="went-wrong">
          {list.map(([code, { count, where }]) => (
            <li key={code}>
              <span className="figure">{count}</span>
              <span>
                <strong>{t(`misconceptions.${code}`)}</strong>
                <br />
                <span className="quiet">{[...where].join(', ')}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      <p className="quiet" style={{ marginTop: 10 }}>
        {t('classBook.clickCell')}
      </p>
    </section>
  );
}
