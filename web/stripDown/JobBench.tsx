import { Segmented } from 'antd';
import { useContext, useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import {
  NEW_JOB_WORK,
  stationsOf,
  type Job,
  type JobWork,
  type Station,
  type StripPlan,
} from '../../core/assembly';
import { KeptScope, useKept } from '../shared/kept';
import type { OnBench } from './onBench';
import { Before } from './stations/Before';
import { Inspect } from './stations/Inspect';
import { Off } from './stations/Off';
import { OrderStation } from './stations/OrderStation';
import { Prove } from './stations/Prove';
import { Together } from './stations/Together';
import '../bench/SideColumn.css';
import './StripDown.css';

const SCREENS: Readonly<Record<Station, (bench: OnBench) => React.JSX.Element>> = {
  before: Before,
  off: Off,
  inspect: Inspect,
  order: OrderStation,
  together: Together,
  prove: Prove,
};

interface Props {
  job: Job;
  plan: StripPlan;
  /** What is chosen over it: which job, which unit. */
  bar?: ReactNode;
  /** Where it begins, when nothing was done yet. */
  begins?: Station;
}

/** A job from the first bolt to the road, its work kept with the tab. */
export function JobBench({ job, ...rest }: Props) {
  const [work, setWork] = useKept<JobWork>(`Job work ${job.id} ${job.seed}`, NEW_JOB_WORK);
  return (
    <JobStations
      job={job}
      {...rest}
      work={work}
      onWork={(change) => setWork((now) => ({ ...now, ...change }))}
    />
  );
}

type StationsProps = Props & Pick<OnBench, 'work' | 'onWork' | 'closed'>;

/** One station after the other, or each by itself. */
export function JobStations({ job, plan, bar, begins, ...done }: StationsProps) {
  const { t } = useTranslation();
  // What was half decided belongs to this damage: another draw begins afresh.
  const outer = useContext(KeptScope);
  const { pathname } = useLocation();
  const stations = stationsOf(job);
  const [at, setAt] = useKept<Station>(
    `Job station ${job.id} ${job.seed}`,
    begins && stations.includes(begins) ? begins : stations[0]!,
  );
  const parts = useMemo(() => new Map(plan.parts.map((p) => [p.id, p])), [plan]);
  const station = stations.includes(at) ? at : stations[0]!;
  const Screen = SCREENS[station];
  return (
    <div className="strip-down-sheet" data-station={station}>
      <h2 className="visually-hidden">{job.name}</h2>
      <div className="strip-down-bar">
        {bar}
        <Segmented<Station>
          aria-label={t('strip.station')}
          value={station}
          onChange={setAt}
          options={stations.map((s) => ({ value: s, label: t(`strip.stations.${s}`) }))}
        />
      </div>
      <KeptScope.Provider value={`${outer || pathname} ${job.seed}`}>
        <Screen job={job} plan={plan} parts={parts} {...done} />
      </KeptScope.Provider>
    </div>
  );
}
