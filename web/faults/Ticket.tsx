import { useTranslation } from 'react-i18next';
import type { LaidCase } from '../../core/faults';
import { LazyMarkdown } from '../shared/LazyMarkdown';
import type { OpenedDesk } from '../workers/protocol';
import { complaintText } from './complaintWords';
import { stateOf } from './deskWork';
import type { LogEntry } from './work';

interface Props {
  faultCase: LaidCase;
  session: OpenedDesk;
  log: readonly LogEntry[];
}

/** The job ticket: what came in, what its driver says, and how much of the day has gone. */
export function Ticket({ faultCase, session, log }: Props) {
  const { t } = useTranslation();
  const { unit, vehicle, engine, converter, clutch, limitMinutes } = faultCase;
  const spent = stateOf(session.checks, log).minutes;
  const over = limitMinutes !== undefined && spent > limitMinutes;
  const parts = [unit, engine, converter, clutch].flatMap((m) => (m ? [m.name] : []));
  return (
    <div className="ticket">
      <div className="label">{t('desk.ticket')}</div>
      <h2>{faultCase.name}</h2>
      <div className="ticket-says">
        {faultCase.complaint.trim() === '' ? (
          <p>{complaintText(t, unit ?? null, session.complaint)}</p>
        ) : (
          <LazyMarkdown text={faultCase.complaint} />
        )}
      </div>
      <p className="quiet">
        {[vehicle?.name ?? (unit ? '' : t('faults.parts.coupling')), ...parts]
          .filter((n) => n !== '')
          .join(' · ')}
      </p>
      <p className="ticket-clock" data-over={over} role="status">
        <span className="figure">{spent}</span>
        {limitMinutes === undefined
          ? t('desk.minutes')
          : t('desk.minutesOf', { limit: limitMinutes })}
      </p>
    </div>
  );
}
