import { useTranslation } from 'react-i18next';
import { measuresOf, workOf } from '../../../core/assembly';
import { CautionBox } from '../../bench/CautionBox';
import { LazyMarkdown } from '../../shared/LazyMarkdown';
import { machineOf } from '../jobWords';
import { MeasurePanel } from '../MeasurePanel';
import type { OnBench } from '../onBench';

const CAUTIONS = ['lifting', 'hot-fluid'] as const;
/** Taken while it is whole: later nobody can know. */
const WHOLE = ['shaft', 'output-shaft'] as const;

/** What came in, and what must be measured before the first bolt. */
export function Before(bench: OnBench) {
  const { job, plan, work } = bench;
  const { t } = useTranslation();
  const off = workOf(plan, work.tried).off.filter((id) => id !== 'fluid');
  const whole = off.length === 0;
  const measures = WHOLE.flatMap((kind) =>
    plan.parts
      .filter((p) => p.kind === kind)
      .flatMap((part) => measuresOf(part).map((measure) => ({ part, measure }))),
  );
  return (
    <>
      <section className="strip-down-main strip-before" aria-label={t('strip.stations.before')}>
        <div className="ticket-like">
          <div className="label">{t('desk.ticket')}</div>
          <h3 className="ticket-name">{job.name}</h3>
          <p className="quiet">{machineOf(job)}</p>
          {job.complaint.trim() !== '' && <LazyMarkdown text={job.complaint} />}
        </div>
        <p className={whole ? '' : 'strip-told'} role="status">
          {measures.length === 0
            ? t('strip.nothingBefore')
            : t(whole ? 'strip.nowOrNever' : 'strip.tooLate')}
        </p>
        <div className="strip-measures">
          {measures.map(({ part, measure }) => (
            <MeasurePanel key={measure} {...bench} part={part} measure={measure} before={whole} />
          ))}
        </div>
      </section>
      <aside className="side-column" aria-label={t('strip.cautions')}>
        {CAUTIONS.map((topic) => (
          <CautionBox key={topic} block={{ id: topic, kind: 'caution', topic, markdown: '' }} />
        ))}
        <p className="quiet">{t('stripDown.manual')}</p>
      </aside>
    </>
  );
}
