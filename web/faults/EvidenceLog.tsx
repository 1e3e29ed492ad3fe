import { useTranslation } from 'react-i18next';
import { borneOutBy, readingClass, readingOf, type Check } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { CheckOutlined, CloseOutlined } from '../shared/icons';
import { useNumbers } from '../shared/numbers';
import type { OpenedDesk } from '../workers/protocol';
import { stateOf } from './deskWork';
import type { DeskWork, LogEntry } from './work';
import { checkName, readingText, wordText } from './faultWords';

interface Props {
  unit: Unit | null;
  session: OpenedDesk;
  work: DeskWork;
  onWork: (change: Partial<DeskWork>) => void;
}

/** What was read, in order, with what had been expected. */
export function EvidenceLog({ unit, session, work, onWork }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const spent = (count: number) => stateOf(session.checks, work.log.slice(0, count)).minutes;
  return (
    <div className="evidence">
      <h3>{t('desk.evidence')}</h3>
      <ul className="evidence-told" aria-label={t('desk.driverTold')}>
        {session.complaint.map((r) => (
          <li key={r.check.id}>
            {checkName(t, unit, r.check)}{' '}
            <strong>{readingText(t, numbers, r.check, r.answer)}</strong>
          </li>
        ))}
      </ul>
      {work.log.length === 0 ? (
        <p className="quiet">{t('desk.noEvidence')}</p>
      ) : (
        <ol>
          {work.log.map((entry, k) => {
            const check = session.checks.find((c) => c.id === entry.check);
            return (
              check && (
                <li key={`${entry.check} ${String(k)}`}>
                  <button type="button" onClick={() => onWork({ check: check.id })}>
                    <Line
                      unit={unit}
                      session={session}
                      check={check}
                      entry={entry}
                      minutes={spent(k + 1) - spent(k)}
                    />
                  </button>
                </li>
              )
            );
          })}
        </ol>
      )}
    </div>
  );
}

interface LineProps {
  unit: Unit | null;
  session: OpenedDesk;
  check: Check;
  entry: LogEntry;
  /** That it took, with the way there. */
  minutes: number;
}

function Line({ unit, session, check, entry, minutes }: LineProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const came = readingClass(check, entry.answer, readingOf(check, session.sound));
  const right = borneOutBy(entry.expected, came);
  return (
    <>
      <span className="evidence-check">
        {checkName(t, unit, check)} <span className="quiet">{t('faults.price', { minutes })}</span>
      </span>
      <strong>{readingText(t, numbers, check, entry.answer)}</strong>
      <span className="evidence-expected" data-right={right}>
        {right ? <CheckOutlined /> : <CloseOutlined />}
        {right
          ? t('desk.asExpected')
          : t('desk.expectedWas', { what: wordText(t, entry.expected) })}
      </span>
    </>
  );
}
