import { Checkbox, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { canSwap, demandsOf, type Demands, type Job, type StripPlan } from '../../core/assembly';
import { NumberField } from '../shared/NumberField';

interface Props {
  job: Job;
  /** `null` while it is not known. */
  plan: StripPlan | null;
  onJob: (job: Job, field?: string) => void;
}

/** Minutes that are given at first, and at most. */
const MINUTES = { first: 240, most: 10_000 } as const;

/** How much a job asks beside the work: finer parts, lost names, another's hands at the tray, no help, a clock. */
export function DemandFields({ job, plan, onJob }: Props) {
  const { t } = useTranslation();
  const demands = demandsOf(job);
  const change = (part: Partial<Demands>) =>
    onJob({ ...job, demands: { ...demands, ...part } }, 'demands');
  // Nothing to mix up: what is set stays, but can't be set.
  const alike = plan !== null && canSwap(plan);
  const tick = (
    checked: boolean,
    word: 'visitor' | 'help' | 'timed',
    set: (on: boolean) => Partial<Demands>,
    disabled = false,
  ) => (
    <Checkbox
      checked={checked}
      disabled={disabled && !checked}
      onChange={(e) => change(set(e.target.checked))}
    >
      {t(`strip.demands.${word}`)}
    </Checkbox>
  );
  return (
    <>
      <h3>{t('strip.demands.title')}</h3>
      <p className="quiet">{t(alike ? 'strip.demands.how' : 'strip.demands.noneAlike')}</p>
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
          disabled: value === 'lost' && !alike,
        }))}
      />
      {tick(demands.visitor, 'visitor', (visitor) => ({ visitor }), !alike)}
      {tick(demands.help, 'help', (help) => ({ help }))}
      {tick(demands.minutes !== null, 'timed', (on) => ({ minutes: on ? MINUTES.first : null }))}
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
