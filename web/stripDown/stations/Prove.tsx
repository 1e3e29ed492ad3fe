import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  causesOf,
  comesBack,
  demandsOf,
  DAMAGE_SPECS,
  legalOrder,
  reportOn,
  stationsOf,
  type JobReport,
} from '../../../core/assembly';
import { modelsIn, type DiagnosisGrade, type FaultCase } from '../../../core/faults';
import { Desk } from '../../faults/Desk';
import { faultText } from '../../faults/faultWords';
import { Opening } from '../../faults/Opening';
import { useDesk } from '../../faults/useDesk';
import { NEW_WORK, type DeskWork } from '../../faults/work';
import { CheckOutlined, CloseOutlined } from '../../shared/icons';
import { useKept } from '../../shared/kept';
import type { OnBench } from '../onBench';
import { partName } from '../partName';

const MOST_NAMED = 6;

/** The machine driven with whatever is in it now; then the book is opened. */
export function Prove(bench: OnBench) {
  const { job, plan, parts, work } = bench;
  const { t } = useTranslation();
  const [view, setView] = useKept<'drive' | 'book' | null>('Prove view', null);
  // A job that is not put together on the bench is driven as if that had been done well.
  const together = stationsOf(job).includes('together');
  const done = useMemo(
    () =>
      together
        ? work
        : {
            ...work,
            fits: [...legalOrder(plan)].reverse().map((part) => ({ part, turned: false })),
          },
    [plan, together, work],
  );
  const report = useMemo(() => reportOn(job, plan, done), [job, plan, done]);
  const names = (ids: readonly string[]) =>
    ids
      .slice(0, MOST_NAMED)
      .map((id) => partName(t, job.unit ?? null, parts.get(id)!))
      .join(', ');
  if (report.leftOut.length > 0)
    return (
      <section className="strip-down-main strip-wide" aria-label={t('strip.stations.prove')}>
        <p className="strip-told" role="status">
          {t('strip.stillOut', { count: report.leftOut.length, parts: names(report.leftOut) })}
        </p>
      </section>
    );
  return (
    <section className="strip-down-main strip-wide" aria-label={t('strip.stations.prove')}>
      <div className="row">
        <Button type="primary" onClick={() => setView('drive')} disabled={view === 'drive'}>
          {t('strip.drive')}
        </Button>
        {!bench.closed && (
          <Button onClick={() => setView('book')} disabled={view === 'book'}>
            {t('strip.openBook')}
          </Button>
        )}
        <span className="quiet">{t('strip.driveHow')}</span>
      </div>
      {view === 'book' && !bench.closed && <Book {...bench} report={report} together={together} />}
      {view === 'drive' && <Driven job={job} faults={report.faults} />}
    </section>
  );
}

function Driven({ job, faults }: Pick<OnBench, 'job'> & { faults: JobReport['faults'] }) {
  const { t } = useTranslation();
  const name = t('strip.ownWork', { name: job.name });
  const faultCase = useMemo(
    (): FaultCase => ({
      format: 'fair-sprocket/fault-case',
      version: 1,
      id: job.id,
      name,
      complaint: t('strip.roadTest'),
      ...modelsIn(job),
      cause: faults.map((f) => ({ ...f })),
      minutes: 0,
    }),
    [faults, job, name, t],
  );
  const desk = useDesk(faultCase);
  const [work, setWork] = useKept<DeskWork>('Prove desk', NEW_WORK);
  const [grade, setGrade] = useState<DiagnosisGrade | null>(null);
  const opened = desk.kind === 'open' ? desk.session : null;
  // Nobody has complained yet: all that is known is what is tried here.
  const session = useMemo(() => opened && { ...opened, complaint: [] }, [opened]);
  if (desk.kind === 'failed')
    return (
      <p className="strip-told" role="alert">
        {t('desk.failed', { reason: desk.reason })}
      </p>
    );
  if (desk.kind === 'opening') return <Opening {...desk.progress} />;
  if (!session) return null;
  const verdict = () => {
    const diagnosis = { cause: [...work.named].sort().join(' + '), remedy: work.remedy! };
    void session.grade(work.log, diagnosis).then(setGrade);
  };
  return (
    <Desk
      faultCase={faultCase}
      session={session}
      work={work}
      mayHelp={false}
      grade={grade}
      onWork={(change) => setWork((now) => ({ ...now, ...change }))}
      onVerdict={verdict}
    />
  );
}

interface BookProps extends OnBench {
  report: JobReport;
  together: boolean;
}

/** What came of it, line by line: only now is told what was right. */
function Book({ job, parts, work, report, together }: BookProps) {
  const { t } = useTranslation();
  const unit = job.unit ?? null;
  const lines: LinesProps = {
    job,
    report,
    name: (id) => partName(t, unit, parts.get(id)!),
  };
  const { name } = lines;
  const stations = stationsOf(job);
  return (
    <section className="job-book" aria-label={t('strip.book')}>
      <h3>{t('strip.book')}</h3>
      <ul className="plain-list">
        {stations.includes('before') && report.measuredBefore !== null && (
          <Line good={report.measuredBefore}>
            {t(report.measuredBefore ? 'strip.report.measured' : 'strip.report.notMeasured')}
          </Line>
        )}
        {stations.includes('off') && <OffLines {...lines} />}
        {stations.includes('inspect') && <InspectLines {...lines} />}
        {job.hidden
          .filter((h) => h.because !== undefined && comesBack(job, work, h.part))
          .map((h) => (
            <Line key={`cause ${h.part}`} good={false}>
              {t('strip.report.comesBack', {
                part: name(h.part),
                cause: causesOf(job, h.part).map(name).join(', '),
              })}
            </Line>
          ))}
        {stations.includes('order') && <OrderLines {...lines} />}
        {together && <TogetherLines {...lines} />}
      </ul>
      {job.hidden.length > 0 && (
        <>
          <h4>{t('strip.report.hidden')}</h4>
          <ul className="plain-list">
            {job.hidden.map((h) => (
              <li key={h.part}>
                {name(h.part)}: {t(`strip.damages.${h.damage}`)}.{' '}
                {t('strip.report.should', {
                  decision: t(`strip.decisions.${DAMAGE_SPECS[h.damage].decision}`),
                  reason: t(`strip.reasons.${DAMAGE_SPECS[h.damage].reason}`),
                })}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="quiet">{t('strip.report.limits')}</p>
    </section>
  );
}

interface LinesProps {
  readonly job: OnBench['job'];
  readonly report: JobReport;
  readonly name: (part: string) => string;
}

function OffLines({ job, report }: LinesProps) {
  const { t } = useTranslation();
  const given = demandsOf(job).minutes;
  return (
    <>
      <Line good={report.offCost === 0}>{t('strip.report.off', { count: report.offCost })}</Line>
      {given !== null && (
        <Line good={report.lateCost === 0}>
          {t(report.lateCost === 0 ? 'strip.report.inTime' : 'strip.report.late', {
            count: report.lateCost,
            minutes: report.minutes,
            given,
          })}
        </Line>
      )}
    </>
  );
}

function InspectLines({ job, report, name }: LinesProps) {
  const { t } = useTranslation();
  return (
    <>
      {report.judged.map((j) => (
        <Line key={j.part} good={j.decision && j.reason}>
          {t(
            j.decision
              ? j.reason
                ? 'strip.report.judgedRight'
                : 'strip.report.reasonWrong'
              : 'strip.report.judgedWrong',
            { part: name(j.part) },
          )}
        </Line>
      ))}
      {report.missed.map((id) => {
        const damage = job.hidden.find((h) => h.part === id)!.damage;
        return (
          <Line key={id} good={false}>
            {t('strip.report.missed', { part: name(id), what: t(`strip.damages.${damage}`) })}
          </Line>
        );
      })}
    </>
  );
}

function OrderLines({ report, name }: LinesProps) {
  const { t } = useTranslation();
  return (
    <>
      <Line good={report.order.right}>
        {report.order.missing.length > 0
          ? t('strip.report.orderMissing', {
              parts: report.order.missing.slice(0, MOST_NAMED).map(name).join(', '),
              count: report.order.missing.length,
            })
          : t('strip.report.orderCost', {
              share: Math.round((100 * report.order.cost) / Math.max(1, report.order.cheapest)),
            })}
      </Line>
      {report.unasked.length > 0 && (
        <Line good={false}>
          {t('strip.report.unasked', {
            facts: report.unasked.map((f) => t(`strip.facts.${f}`)).join(', '),
          })}
        </Line>
      )}
    </>
  );
}

function TogetherLines({ job, report, name }: LinesProps) {
  const { t } = useTranslation();
  const unit = job.unit ?? null;
  return (
    <>
      {report.wasted > 0 && (
        <Line good={false}>{t('strip.report.wasted', { count: report.wasted })}</Line>
      )}
      {report.errors.map((e) => (
        <Line key={`${e.part} ${e.kind}`} good={false}>
          {t(`strip.errors.${e.kind}`, { part: name(e.part) })}{' '}
          {e.faults.length > 0
            ? t('strip.report.becomes', { fault: faultText(t, unit, e.faults) })
            : t(e.shows ? 'strip.report.noFaultShown' : 'strip.report.noFault')}
        </Line>
      ))}
      {report.errors.length === 0 && <Line good>{t('strip.report.sound')}</Line>}
    </>
  );
}

const Line = ({ good, children }: { good: boolean; children: React.ReactNode }) => (
  <li className="book-line" data-good={good}>
    {good ? <CheckOutlined aria-hidden /> : <CloseOutlined aria-hidden />} {children}
  </li>
);
