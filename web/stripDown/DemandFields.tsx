import { Checkbox, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { demandsOf, type Demands, type Job } from '../../core/assembly';
import { NumberField } from '../shared/NumberField';

interface Props {
  job: Job;
  onJob: (job: Job, field?: string) => void;
}

/** Minutes that are given at first, and at most. */
const MINUTES = { first: 240, most: 10_000 } as const;

/** How much a job asks beside the work: finer parts, lost names, another's hands at the tray, no help, a clock. */
export function DemandFields({ job, onJob }: Props) {
  const { t } = useTranslation();
  const demands = demandsOf(job);
  const change = (part: Partial<Demands>) =>
    onJob({ ...job, demands: { ...demands, ...part } }, 'demands');
  return (
    <>
      <h3>{t('strip.demands.title')}</h3>
      <p className="quiet">{t('strip.demands.how')}</p>
      <span className="label">{t('strip.demands.parts')}</span>
      <Segmented<Demands['parts']>
        aria-label={t('strip.demands.parts')}
        value={demands.parts}
        onChange={(parts) => change({ parts })}
        options={(['main', 'all'] as const).map((value) => ({
          value,
          label: t(`strip.demands.part.${value}`),
        }))}
      />
      <span className="label">{t('strip.demands.labels')}</span>
      <Segmented<Demands['labels']>
        aria-label={t('strip.demands.labels')}
        value={demands.labels}
        onChange={(labels) => change({ labels })}
        options={(['kept', 'lost'] as const).map((value) => ({
          value,
          label: t(`strip.demands.label.${value}`),
        }))}
      />
      <Checkbox checked={demands.visitor} onChange={(e) => change({ visitor: e.target.checked })}>
        {t('strip.demands.visitor')}
      </Checkbox>
      <Checkbox checked={demands.help} onChange={(e) => change({ help: e.target.checked })}>
        {t('strip.demands.help')}
      </Checkbox>
      <Checkbox
        checked={demands.minutes !== null}
        onChange={(e) => change({ minutes: e.target.checked ? MINUTES.first : null })}
      >
        {t('strip.demands.timed')}
      </Checkbox>
      {demands.minutes !== null && (
        <NumberField
          label={t('strip.demands.minutes')}
          value={demands.minutes}
          onValue={(v) => change({ minutes: Math.min(MINUTES.most, Math.max(1, v)) })}
        />
      )}
    </>
  );
}
