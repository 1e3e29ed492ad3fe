import { Button, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  MEASURE_IDS,
  measuresOf,
  PART_KINDS,
  priceOf,
  windowOf,
  type Job,
  type MeasureId,
  type PartKind,
  type StripPlan,
} from '../../core/assembly';
import { NumberField } from '../shared/NumberField';

interface Props {
  job: Job;
  plan: StripPlan | null;
  onJob: (job: Job, field?: string) => void;
}

const MOST_READING = 1e4;
const MOST_MONEY = 1e6;
const between = (value: number, most: number): number => Math.min(most, Math.max(0, value));

/** Limits of the instructor's own, in the place of the usual ones. */
export function OwnLimits({ job, plan, onJob }: Props) {
  const { t } = useTranslation();
  const parts = plan?.parts ?? [];
  const able = MEASURE_IDS.filter((m) => parts.some((p) => measuresOf(p).includes(m)));
  const own = Object.keys(job.limits) as MeasureId[];
  const set = (limits: Job['limits'], field: string) => onJob({ ...job, limits }, field);
  return (
    <>
      <h3>{t('strip.limits')}</h3>
      <p className="quiet">{t('strip.limitsHow')}</p>
      {own.map((measure) => {
        const limit = job.limits[measure]!;
        const change = (next: { least?: number; most?: number }) =>
          set({ ...job.limits, [measure]: { ...limit, ...next } }, `limit ${measure}`);
        return (
          <div className="hidden-row" key={measure}>
            <strong>{t(`strip.measures.${measure}`)}</strong>
            <div className="number-fields">
              {(['least', 'most'] as const)
                .filter((end) => limit[end] !== undefined)
                .map((end) => (
                  <NumberField
                    key={end}
                    label={t(`strip.limit.${end}`)}
                    {...(measure === 'solenoid' ? { unit: 'Ω' } : { quantity: 'length' as const })}
                    value={limit[end] ?? 0}
                    step={0.05}
                    onValue={(v) => change({ [end]: between(v, MOST_READING) })}
                  />
                ))}
              <Button
                size="small"
                onClick={() => {
                  const { [measure]: _gone, ...rest } = job.limits;
                  set(rest, 'limits');
                }}
              >
                {t('caseFields.leaveOut')}
              </Button>
            </div>
          </div>
        );
      })}
      <Select<MeasureId>
        aria-label={t('strip.addLimit')}
        placeholder={t('strip.addLimit')}
        value={null}
        disabled={able.length === own.length}
        options={able
          .filter((m) => !own.includes(m))
          .map((m) => ({ value: m, label: t(`strip.measures.${m}`) }))}
        onChange={(measure) => {
          const part = parts.find((p) => measuresOf(p).includes(measure))!;
          const { least, most } = windowOf(measure, part);
          set(
            {
              ...job.limits,
              [measure]: {
                ...(least === null ? {} : { least }),
                ...(most === null ? {} : { most }),
              },
            },
            'limits',
          );
        }}
      />
    </>
  );
}

/** Prices of the instructor's own, kind by kind. */
export function OwnPrices({ job, plan, onJob }: Props) {
  const { t } = useTranslation();
  const kinds = PART_KINDS.filter((k) => plan?.parts.some((p) => p.kind === k));
  const own = Object.keys(job.prices.parts) as PartKind[];
  const set = (parts: Job['prices']['parts']) =>
    onJob({ ...job, prices: { ...job.prices, parts } }, 'prices of parts');
  return (
    <>
      <div className="number-fields">
        {own.map((kind) => (
          <NumberField
            key={kind}
            label={t(`stripDown.kinds.${kind}`)}
            value={job.prices.parts[kind]!}
            onValue={(v) => set({ ...job.prices.parts, [kind]: between(v, MOST_MONEY) })}
          />
        ))}
      </div>
      <Select<PartKind>
        aria-label={t('strip.addPrice')}
        placeholder={t('strip.addPrice')}
        value={null}
        options={kinds
          .filter((k) => !own.includes(k))
          .map((k) => ({ value: k, label: t(`stripDown.kinds.${k}`) }))}
        onChange={(kind) => set({ ...job.prices.parts, [kind]: priceOf({ kind }, job.prices) })}
      />
    </>
  );
}
