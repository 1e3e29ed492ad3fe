import { Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  allKnown,
  comeBackCost,
  hoursOf,
  jobProblems,
  selectivesOf,
  senseOf,
  type Job,
  pricesOf,
} from '../../core/assembly';
import { NothingWrong } from '../bench/NothingWrong';
import { BothWays } from './BothWays';
import { moneyText } from './jobWords';
import { useJobPlan } from '../state/useUnitAnswers';
import { partName } from './partName';
import './StripDown.css';

/** What a job comes to, for its instructor: parts, hours, what is hidden, and what it should cost. */
export function JobPreview({ job }: { job: Job }) {
  const { t } = useTranslation();
  const plan = useJobPlan(job);
  const problems = useMemo(() => jobProblems(job, plan), [job, plan]);
  if (!plan && job.unit) return <Spin />;
  if (!plan) return <p className="library-empty">{t('strip.problems.no-machine')}</p>;
  const parts = new Map(plan.parts.map((p) => [p.id, p]));
  const name = (id: string) => {
    const part = parts.get(id);
    return part ? partName(t, job.unit ?? null, part) : id;
  };
  return (
    <div className="job-preview">
      {problems.length === 0 && <NothingWrong />}
      {problems.map((p) => (
        <p key={JSON.stringify(p)} className="strip-told" role="alert">
          {t(`strip.problems.${p.code}`, {
            part: 'part' in p ? name(p.part) : '',
            measure: 'measure' in p ? t(`strip.measures.${p.measure as 'lining'}`) : '',
          })}
        </p>
      ))}
      <p>
        {t('strip.preview', {
          count: plan.parts.length,
          hours: hoursOf(plan).toFixed(1),
          sizes: selectivesOf(plan).length,
          back: moneyText(t, comeBackCost(plan, pricesOf(job))),
        })}
      </p>
      <h2>{t('strip.report.hidden')}</h2>
      {job.hidden.length === 0 ? (
        <p className="quiet">{t('strip.nothingHidden')}</p>
      ) : (
        <ul className="plain-list">
          {job.hidden.map((h) => (
            <li key={h.part}>
              <strong>{name(h.part)}</strong>: {t(`strip.damages.${h.damage}`)}.{' '}
              {t(`strip.shows.${senseOf(h.damage)}`)}{' '}
              {h.because !== undefined && t('strip.because', { part: name(h.because) })}
            </li>
          ))}
        </ul>
      )}
      <BothWays job={job} plan={plan} known={allKnown(job, plan)} />
    </div>
  );
}
