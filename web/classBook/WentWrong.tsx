import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  familyNamed,
  familyOf,
  triedOut,
  type ClassBook,
  type Lesson,
  type Misconception,
  type Question,
} from '../../core/lesson';
import { drawnFor, promptFor } from '../lessons/families/words';
import { useSeparating } from '../lessons/useSeparating';
import { formatNumber, formatRatio, useNumbers } from '../shared/numbers';

interface Made {
  count: number;
  students: Set<string>;
  where: Set<string>;
  /** A question by which it can be told again, where half of those who answered made it. */
  question: Question | null;
}

/** What this class gets wrong most: who, at which questions, and what to ask next. */
export function WentWrong({ lesson, book }: { lesson: Lesson; book: ClassBook }) {
  const { t } = useTranslation();
  const list = [...madeIn(book)].sort((a, b) => b[1].count - a[1].count);
  return (
    <section aria-label={t('classBook.wrong')}>
      <h2 className="class-book-heading">{t('classBook.wrong')}</h2>
      {list.length === 0 ? (
        <p className="quiet">{t('classBook.nothingWrong')}</p>
      ) : (
        <ul className="went-wrong">
          {list.map(([code, { count, students, where, question }]) => (
            <li key={code}>
              <span className="figure">{halves(count)}</span>
              <span>
                <strong>{t(`misconceptions.${code}`)}</strong>
                <br />
                <span className="quiet">
                  {[...where].join(', ')}: {[...students].join(', ')}
                </span>
                {question && <AskNext key={code} lesson={lesson} slip={code} question={question} />}
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

/** An answer that two ways of thinking give counts half for each. */
const halves = (count: number): string => {
  const whole = Math.floor(count + 1e-9);
  const half = count - whole > 0.25 ? '½' : '';
  return whole === 0 && half ? half : `${whole}${half}`;
};

function madeIn(book: ClassBook): Map<Misconception, Made> {
  const made = new Map<Misconception, Made>();
  book.columns.forEach((column, k) => {
    const { question, stepTitle } = book.questions[k]!;
    for (const { code, count, students } of column.misconceptions) {
      const entry = made.get(code) ?? {
        count: 0,
        students: new Set<string>(),
        where: new Set<string>(),
        question: null,
      };
      entry.count += count;
      entry.where.add(stepTitle);
      for (const student of students) entry.students.add(student);
      const tried = triedOut(familyNamed(familyOf(question)), question);
      if (tried && count >= column.answered / 2) entry.question = question;
      made.set(code, entry);
    }
  });
  return made;
}

interface NextProps {
  lesson: Lesson;
  slip: Misconception;
  question: Question;
}

/** The draw of the question on which this way of thinking and the right one lie furthest apart. */
function AskNext({ lesson, slip, question }: NextProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { busy, found, find } = useSeparating(lesson);
  if (found === undefined)
    return (
      <div>
        <Button size="small" loading={busy} onClick={() => void find(question, slip)}>
          {t('classBook.askNext')}
        </Button>
      </div>
    );
  if (!found) return <p className="quiet">{t('classBook.noneSeparates')}</p>;
  const { subject, apart } = found;
  const times = apart && (apart < 10 ? formatRatio(apart) : formatNumber(apart, 0));
  return (
    <p className="ask-next">
      {[
        t('classBook.asked', {
          prompt: promptFor(t, numbers, { ...found.question, prompt: '' }, subject),
        }),
        drawnFor(t, found.question, subject),
        times && t('classBook.apart', { times }),
      ]
        .filter(Boolean)
        .join(' ')}
    </p>
  );
}
