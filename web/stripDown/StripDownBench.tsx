import { Button, Select, Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import {
  drawDamage,
  jobProblems,
  newJob,
  USUAL_DEMANDS,
  type Demands,
  type Job,
  type StripPlan,
} from '../../core/assembly';
import { DIFFICULTIES, type Difficulty } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { askedFrom } from '../bench/chosenFrom';
import { NoUnit } from '../bench/NoUnit';
import { ModelSelect } from '../bench/ModelSelect';
import { shelfOf } from '../bench/modelPlaces';
import { useKept } from '../shared/kept';
import { useAppSelector, useServices } from '../state/hooks';
import { selectJobs, selectUnits } from '../state/modelsSlice';
import { useJobPlan, useStripPlan } from '../state/useUnitAnswers';
import { JobBench } from './JobBench';
import { machineOf } from './jobWords';
import './StripDown.css';

/** The Strip-down bench: a job of the shelf, or any unit with damage drawn into it. */
export function StripDownBench() {
  const { t } = useTranslation();
  const { unitId, jobId } = useParams();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const units = useAppSelector(selectUnits);
  const jobs = useAppSelector(selectJobs);
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  const unit = askedFrom(units, unitId, null);
  const stored = jobId === undefined ? undefined : jobs.byId[jobId];
  const pick = (
    <div className="strip-down-pick">
      <ModelSelect
        kind="fair-sprocket/job"
        value={stored?.id}
        onValue={(id) => void navigate(`/${door}/strip-down/jobs/${id}`)}
      />
      <ModelSelect
        kind="fair-sprocket/unit"
        value={stored ? undefined : unit?.id}
        onValue={(id) => void navigate(`/${door}/strip-down/${id}`)}
      />
    </div>
  );
  return (
    <main className="strip-down" id="main">
      <h1 className="visually-hidden">{t('nav.stripDown')}</h1>
      {stored ? (
        <OnePlanned key={stored.id} job={stored} bar={pick} />
      ) : jobId === undefined && unit ? (
        <LooseUnit key={unit.id} unit={unit} pick={pick} />
      ) : jobId === undefined ? (
        <NoUnit asked={unitId} />
      ) : (
        <p className="library-empty">
          {t('strip.noSuchJob')} <Link to={shelfOf('fair-sprocket/job')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

type Drawn = { seed: string; difficulty: Difficulty } | null;

/** Any unit, without a job of its own: nothing is hidden in it until damage is drawn. */
function LooseUnit({ unit, pick }: { unit: Unit; pick: React.ReactNode }) {
  const { t } = useTranslation();
  const services = useServices();
  const [drawn, setDrawn] = useKept<Drawn>('Loose drawn', null);
  const [parts, setParts] = useKept<Demands['parts']>('Loose parts', 'main');
  const plan = useStripPlan(unit, parts);
  const job = useMemo(
    () =>
      newJob({
        id: unit.id,
        name: unit.name,
        unit,
        seed: drawn?.seed ?? 'as-built',
        hidden: drawn && plan ? drawDamage(plan, drawn.seed, drawn.difficulty) : [],
        demands: { ...USUAL_DEMANDS, parts },
      }),
    [drawn, parts, plan, unit],
  );
  if (!plan) return <Spin />;
  const bar = (
    <>
      {pick}
      <Select<Demands['parts']>
        aria-label={t('strip.demands.parts')}
        value={parts}
        onChange={setParts}
        options={(['main', 'all'] as const).map((value) => ({
          value,
          label: t(`strip.demands.part.${value}`),
        }))}
      />
      <Select<Difficulty | 'none'>
        aria-label={t('strip.damage')}
        value={drawn?.difficulty ?? 'none'}
        onChange={(difficulty) =>
          setDrawn(difficulty === 'none' ? null : { seed: services.newId(), difficulty })
        }
        options={[
          { value: 'none' as const, label: t('strip.noDamage') },
          ...DIFFICULTIES.map((d) => ({
            value: d,
            label: t('strip.drawnDamage', { how: t(`desk.difficulties.${d}`) }),
          })),
        ]}
      />
      {drawn && (
        <Button onClick={() => setDrawn({ ...drawn, seed: services.newId() })}>
          {t('strip.drawAnew')}
        </Button>
      )}
    </>
  );
  return <JobBench key={`${job.seed} ${parts}`} job={job} plan={plan} bar={bar} begins="off" />;
}

/** A job of the shelf; that it no longer fits its unit is told before anything is taken apart. */
function OnePlanned({ job, bar }: { job: Job; bar?: React.ReactNode }) {
  const plan = useJobPlan(job);
  // The parts of a large unit come a moment later.
  return plan || !job.unit ? <Checked job={job} plan={plan} bar={bar} /> : <Spin />;
}

function Checked({ job, plan, bar }: { job: Job; plan: StripPlan | null; bar?: React.ReactNode }) {
  const { t } = useTranslation();
  const problems = useMemo(() => jobProblems(job, plan), [job, plan]);
  if (!plan || problems.length > 0)
    return (
      <div className="strip-down-sheet">
        <div className="strip-down-bar">{bar}</div>
        <div className="strip-told" role="alert">
          <strong>
            {machineOf(job)
              ? t('strip.doesNotFit', { machine: machineOf(job) })
              : t('strip.cantBeDone')}
          </strong>
          <ul>
            {problems.map((p) => (
              <li key={JSON.stringify(p)}>
                {t(`strip.problems.${p.code}`, {
                  part: 'part' in p ? p.part : '',
                  measure: 'measure' in p ? p.measure : '',
                })}
              </li>
            ))}
          </ul>
        </div>
      </div>
    );
  return <JobBench job={job} plan={plan} bar={bar} />;
}
