import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  faultKey,
  suspects,
  type Check,
  type DiagnosisGrade,
  type LaidCase,
  type Reading,
} from '../../core/faults';
import type { DeskSession } from '../workers/faultWorker';
import { ChartOverlay } from './ChartOverlay';
import { ControlsPanel } from './ControlsPanel';
import { DecidePanel } from './DecidePanel';
import { DeskResult } from './DeskResult';
import { readingsOf, stateOf } from './deskWork';
import type { DeskWork } from './work';
import { MachineLine } from './MachineLine';
import { EvidenceLog } from './EvidenceLog';
import { SuspectBoard } from './SuspectBoard';
import { TestCard } from './TestCard';
import { TestList } from './TestList';
import { Ticket } from './Ticket';
import './Desk.css';

export interface DeskProps {
  faultCase: LaidCase;
  session: DeskSession;
  work: DeskWork;
  /** Whether the desk may cross out by itself: not where a student is asked. */
  mayHelp: boolean;
  /** What became of it; `null` until a verdict is given. */
  grade: DiagnosisGrade | null;
  /** What is asked beside the verdict, and whether it is answered. */
  verdictNeeds?: ReactNode;
  verdictReady?: boolean;
  onWork: (change: Partial<DeskWork>) => void;
  /** Gives the verdict. */
  onVerdict: () => void;
}

/** The Fault desk: complaint, controls, priced tests, evidence, suspects, verdict. */
export function Desk(props: DeskProps) {
  const { faultCase, session, work, mayHelp, grade, onWork, onVerdict } = props;
  const { t } = useTranslation();
  const unit = faultCase.unit ?? null;
  const readings = useMemo(
    (): Reading[] => [...session.complaint, ...readingsOf(session.checks, work.log)],
    [session, work.log],
  );
  const known = useMemo(
    () => suspects(session.candidates, readings, faultCase.priors ?? {}),
    [session, readings, faultCase.priors],
  );
  const check = session.checks.find((c) => c.id === work.check) ?? null;
  const take = async (asked: Check, expected: string, safe: boolean) => {
    if (work.log.some((e) => e.check === asked.id)) return;
    const answer = await session.read(asked.id);
    onWork({ log: [...work.log, { check: asked.id, expected, safe, answer }] });
  };
  const { state } = useMemo(() => stateOf(session.checks, work.log), [session, work.log]);
  const shared = { unit, session, work, onWork };
  return (
    <div className="desk">
      <section className="desk-left" aria-label={t('desk.complaint')}>
        <Ticket faultCase={faultCase} session={session} log={work.log} />
        <EvidenceLog {...shared} />
      </section>
      <section className="desk-middle" aria-label={t('desk.tests')}>
        {grade ? (
          <DeskResult unit={unit} session={session} grade={grade} log={work.log} />
        ) : (
          <>
            <MachineLine state={state} checks={session.checks} />
            <div className="desk-choose">
              <ControlsPanel {...shared} manual={faultCase.clutch !== undefined} />
              <TestList {...shared} />
            </div>
            <TestCard
              key={work.check ?? ''}
              unit={unit}
              session={session}
              check={check}
              state={state}
              entry={work.log.find((e) => e.check === work.check) ?? null}
              onTake={(expected, safe) => check && void take(check, expected, safe)}
            />
          </>
        )}
        {unit && <ChartOverlay unit={unit} readings={readings} reasoned />}
      </section>
      <section className="desk-right" aria-label={t('desk.suspects')}>
        <SuspectBoard
          {...shared}
          known={known}
          mayHelp={mayHelp && !grade}
          revealed={grade ? faultKey(grade.was) : null}
        />
        {!grade && (
          <DecidePanel
            {...shared}
            readings={readings}
            known={known}
            needs={props.verdictNeeds}
            needsMet={props.verdictReady ?? true}
            onVerdict={onVerdict}
          />
        )}
      </section>
    </div>
  );
}
