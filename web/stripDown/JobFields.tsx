import { Button, Checkbox, Input, Segmented, Select } from 'antd';

import { useTranslation } from 'react-i18next';
import {
  damagesOf,
  DAMAGE_SPECS,
  drawDamage,
  STATIONS,
  stationsOf,
  type Damage,
  type HiddenDamage,
  type Job,
  SCHOOL_IDS,
  SCHOOL_WAYS,
  wayOf,
  type School,
  type SchoolId,
  type StripPlan,
  type Way,
} from '../../core/assembly';
import { DIFFICULTIES } from '../../core/faults';
import { MOST_HIDDEN } from '../../core/formats';
import { MachineRow } from '../bench/MachineRow';
import { NumberField } from '../shared/NumberField';
import { useServices } from '../state/hooks';
import { useJobPlan } from '../state/useUnitAnswers';
import { DemandFields } from './DemandFields';
import { OwnLimits, OwnPrices } from './OwnNumbers';
import { wayText } from './jobWords';
import { partName } from './partName';
import './StripDown.css';

interface Props {
  job: Job;
  onJob: (job: Job, field?: string) => void;
}

const MACHINES = ['unit', 'clutch', 'engine', 'converter', 'vehicle'] as const;

/** What a job is made of: the machine, what is hidden in it, the shop's school, its prices, and what is shown. */
export function JobFields({ job, onJob }: Props) {
  const { t } = useTranslation();
  const plan = useJobPlan(job);
  const without = (field: keyof Job): Job => {
    const next = { ...job };
    delete next[field];
    return next;
  };
  const school = (change: Partial<School>) =>
    onJob({ ...job, school: { ...job.school, ...change } }, 'school');
  const price = (change: Partial<Job['prices']>) =>
    onJob({ ...job, prices: { ...job.prices, ...change } }, 'prices');
  return (
    <>
      <h3>{t('caseFields.machine')}</h3>
      {MACHINES.map((part) => (
        <MachineRow
          key={part}
          kind={`fair-sprocket/${part}`}
          own={job[part]}
          onModel={(model) => onJob(model ? { ...job, [part]: model } : without(part), part)}
        />
      ))}
      <label className="field">
        <span className="label">{t('caseFields.complaint')}</span>
        <Input.TextArea
          autoSize={{ minRows: 2, maxRows: 8 }}
          value={job.complaint}
          onChange={(e) => onJob({ ...job, complaint: e.target.value }, 'complaint')}
        />
      </label>
      <HiddenFields job={job} plan={plan} onJob={onJob} />
      <DemandFields job={job} plan={plan} onJob={onJob} />
      <h3>{t('strip.school')}</h3>
      <p className="quiet">{t('strip.schoolHow')}</p>
      {SCHOOL_IDS.map((id) => (
        <SchoolField key={id} id={id} school={job.school} onSchool={school} />
      ))}
      <h3>{t('strip.prices')}</h3>
      <div className="number-fields">
        {(['rate', 'day', 'daysLost'] as const).map((field) => (
          <NumberField
            key={field}
            label={t(`strip.priceFields.${field}`)}
            value={job.prices[field]}
            onValue={(v) => price({ [field]: Math.min(1000, Math.max(0, v)) })}
          />
        ))}
      </div>
      <OwnPrices job={job} plan={plan} onJob={onJob} />
      <OwnLimits job={job} plan={plan} onJob={onJob} />
      <h3>{t('strip.shown')}</h3>
      <Checkbox.Group
        aria-label={t('strip.shown')}
        value={[...stationsOf(job)]}
        onChange={(stations) => onJob({ ...job, stations: [...stations] }, 'stations')}
        options={STATIONS.map((s) => ({ value: s, label: t(`strip.stations.${s}`) }))}
      />
    </>
  );
}

/** One thing that shops do in more than one way: the shop's own. */
function SchoolField<Id extends SchoolId>({
  id,
  school,
  onSchool,
}: {
  id: Id;
  school: School;
  onSchool: (change: Partial<School>) => void;
}) {
  const { t } = useTranslation();
  return (
    <>
      <span className="label">{t(`strip.schools.${id}.title`)}</span>
      <Segmented<Way>
        aria-label={t(`strip.schools.${id}.title`)}
        value={wayOf(school, id)}
        onChange={(way) => onSchool({ [id]: way })}
        options={SCHOOL_WAYS[id].map((way) => ({ value: way, label: wayText(t, way) }))}
      />
    </>
  );
}

/** What is hidden, part by part, or drawn from a seed. */
function HiddenFields({ job, plan, onJob }: Props & { plan: StripPlan | null }) {
  const { t } = useTranslation();
  const services = useServices();
  const able = (plan?.parts ?? []).filter((p) => damagesOf(p).length > 0);
  const set = (hidden: HiddenDamage[], field: string) => onJob({ ...job, hidden }, field);
  const draw = (difficulty: (typeof DIFFICULTIES)[number]) => {
    if (!plan) return;
    const seed = services.newId();
    onJob({ ...job, seed, hidden: drawDamage(plan, seed, difficulty) }, 'hidden');
  };
  const free = able.find((p) => !job.hidden.some((h) => h.part === p.id));
  const causes = job.hidden.filter((h) => DAMAGE_SPECS[h.damage].cause);
  const options = able.map((p) => ({ value: p.id, label: partName(t, job.unit ?? null, p) }));
  return (
    <>
      <h3>{t('strip.hidden')}</h3>
      <div className="row">
        {DIFFICULTIES.map((d) => (
          <Button key={d} size="small" onClick={() => draw(d)} disabled={!plan}>
            {t('strip.drawnDamage', { how: t(`desk.difficulties.${d}`) })}
          </Button>
        ))}
      </div>
      {job.hidden.map((h, k) => {
        const part = able.find((p) => p.id === h.part);
        const change = (next: HiddenDamage) =>
          set(
            job.hidden.map((o, n) => (n === k ? next : o)),
            `hidden${k}`,
          );
        return (
          <div className="hidden-row" key={String(k)}>
            <Select<string>
              aria-label={t('strip.part')}
              showSearch
              optionFilterProp="label"
              value={h.part}
              options={options}
              onChange={(id) => {
                const [damage] = damagesOf(able.find((p) => p.id === id)!);
                change({ part: id, damage: damage! });
              }}
            />
            <Select<Damage>
              aria-label={t('strip.damage')}
              value={h.damage}
              options={(part ? damagesOf(part) : [h.damage]).map((d) => ({
                value: d,
                label: t(`strip.damages.${d}`),
              }))}
              onChange={(damage) => change({ part: h.part, damage })}
            />
            {DAMAGE_SPECS[h.damage].effect && (
              <Select<string>
                aria-label={t('strip.becauseOf')}
                placeholder={t('strip.becauseOf')}
                value={h.because ?? null}
                allowClear
                options={options.filter(
                  ({ value }) => value !== h.part && causes.some((c) => c.part === value),
                )}
                onChange={(because: string | undefined) =>
                  change({ part: h.part, damage: h.damage, ...(because ? { because } : {}) })
                }
              />
            )}
            <Button
              size="small"
              onClick={() =>
                set(
                  job.hidden.filter((_o, n) => n !== k),
                  'hidden',
                )
              }
            >
              {t('caseFields.leaveOut')}
            </Button>
          </div>
        );
      })}
      <Button
        disabled={!free || job.hidden.length >= MOST_HIDDEN}
        onClick={() =>
          free && set([...job.hidden, { part: free.id, damage: damagesOf(free)[0]! }], 'hidden')
        }
      >
        {t('strip.hideMore')}
      </Button>
    </>
  );
}
