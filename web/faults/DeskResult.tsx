import { useTranslation } from 'react-i18next';
import { remedyOf, type DiagnosisGrade } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { CheckCircleFilled, CloseCircleFilled } from '../shared/icons';
import { formatShare, useNumbers } from '../shared/numbers';
import { rangeName } from '../shared/unitNames';
import type { OpenedDesk } from '../workers/protocol';
import type { LogEntry } from './work';
import { checkName, faultText, readingText, severityText } from './faultWords';

interface Props {
  unit: Unit | null;
  session: OpenedDesk;
  grade: DiagnosisGrade;
  log: readonly LogEntry[];
}

/** What it was, how it was found, and the way an expert would have gone. */
export function DeskResult({ unit, session, grade, log }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const faults = grade.was;
  const far = faults.map((f) => severityText(t, numbers, f)).filter((s) => s !== '');
  const found = grade.cause === 'right' || grade.cause === 'same-until-stripped';
  return (
    <div className="result" aria-live="polite">
      <h3 className="result-verdict" data-right={found}>
        {found ? <CheckCircleFilled /> : <CloseCircleFilled />}
        {t(`desk.causes.${grade.cause}`)}
      </h3>
      <p className="result-cause">
        {faultText(t, unit, faults)}
        {far.length > 0 && <span className="quiet"> {far.join(', ')}</span>}
      </p>
      <p>
        {t(grade.remedy ? 'desk.remedyRight' : 'desk.remedyWrong', {
          remedy: t(`faults.remedies.${remedyOf(faults)}`),
        })}
      </p>
      <Faultfinding unit={unit} session={session} grade={grade} />
      <div className="result-paths">
        <section>
          <h4>{t('desk.yourWay', { minutes: grade.minutes })}</h4>
          <Steps
            unit={unit}
            session={session}
            steps={log.map((e) => ({
              check: e.check,
              answer: e.answer,
              mark: grade.useless.includes(e.check) ? t('desk.toldNothing') : '',
              same: grade.expert.steps.some((s) => s.check.id === e.check),
            }))}
          />
        </section>
        <section>
          <h4>{t('desk.expertWay', { minutes: grade.expert.minutes })}</h4>
          <Steps
            unit={unit}
            session={session}
            steps={grade.expert.steps.map((s) => ({
              check: s.check.id,
              answer: s.answer,
              mark: t('desk.leaves', { count: s.left }),
              same: log.some((e) => e.check === s.check.id),
            }))}
          />
          {grade.expert.steps.length === 0 && <p>{t('desk.complaintEnough')}</p>}
        </section>
      </div>
    </div>
  );
}

/** What could have been done better, each with its reason. */
function Faultfinding({ unit, session, grade }: Omit<Props, 'log' | 'cause'>) {
  const { t } = useTranslation();
  const names = (ids: readonly string[]) =>
    ids
      .flatMap((id) => session.checks.find((c) => c.id === id) ?? [])
      .map((c) => checkName(t, unit, c))
      .join(', ');
  const lines = [
    grade.clearedBy.length > 0 &&
      t('desk.wasCleared', {
        ranges: grade.clearedBy.map((r) => (unit ? rangeName(unit, r) : r)).join(', '),
      }),
    grade.against.length > 0 && t('desk.speaksAgainst', { what: names(grade.against) }),
    grade.unsafe.length > 0 && t('desk.wasUnsafe', { what: names(grade.unsafe) }),
    grade.useless.length > 0 && t('desk.wasUseless', { what: names(grade.useless) }),
    !grade.thrifty && t('desk.wasDear', { minutes: grade.minutes, expert: grade.expert.minutes }),
  ].filter((line) => line !== false);
  return (
    <ul className="result-lines">
      <li>
        {t('desk.score', { share: formatShare(grade.score), borne: formatShare(grade.borneOut) })}
        <ul className="score-parts" aria-label={t('desk.scoreParts')}>
          {grade.parts.map(({ part, got, worth }) => (
            <li key={part} data-full={got === worth}>
              <span>{t(`desk.parts.${part}`)}</span>
              <strong className="figure">
                {t('desk.partGot', { got: formatShare(got), worth: formatShare(worth) })}
              </strong>
            </li>
          ))}
        </ul>
      </li>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

interface StepsProps {
  unit: Unit | null;
  session: OpenedDesk;
  steps: readonly {
    check: string;
    answer: LogEntry['answer'];
    mark: string;
    /** Both made it. */
    same: boolean;
  }[];
}

function Steps({ unit, session, steps }: StepsProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <ol>
      {steps.map(({ check: id, answer, mark, same }) => {
        const check = session.checks.find((c) => c.id === id);
        return (
          check && (
            <li key={id} data-same={same}>
              {checkName(t, unit, check)} <strong>{readingText(t, numbers, check, answer)}</strong>
              {mark !== '' && <span className="quiet"> {mark}</span>}
            </li>
          )
        );
      })}
    </ol>
  );
}
