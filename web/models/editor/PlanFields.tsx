import { Select } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Problem } from '../../../core/formats';
import type { HydraulicPart, HydraulicPlan } from '../../../core/hydraulics';
import { NumberField } from '../../shared/NumberField';
import { partName } from '../../shift/oilWords';

interface Props {
  plan: HydraulicPlan;
  problems: readonly Problem[];
  onPlan: (plan: HydraulicPlan, field?: string) => void;
}

/** A plan's numbers, part by part. */
export function PlanFields({ plan, problems, onPlan }: Props) {
  const { t } = useTranslation();
  const sized = plan.parts.filter((p) => numbersOf(p).length > 0);
  const [at, setAt] = useState<string | null>(null);
  const part = sized.find((p) => p.id === at) ?? sized.find((p) => p.kind === 'pump') ?? sized[0];
  if (!part) return null;
  const index = plan.parts.indexOf(part);
  const set = (path: readonly string[], value: number) => {
    const next = withNumber(part, path, value);
    onPlan(
      { ...plan, parts: plan.parts.map((p) => (p === part ? next : p)) },
      `parts.${index}.${path.join('.')}`,
    );
  };
  return (
    <>
      <label className="field">
        <span className="label">{t('oil.editor.part')}</span>
        <Select<string>
          aria-label={t('oil.editor.part')}
          value={part.id}
          showSearch={{ optionFilterProp: 'label' }}
          onChange={setAt}
          style={{ width: 260 }}
          options={sized.map((p) => ({ value: p.id, label: partName(t, p, plan) }))}
        />
      </label>
      <div className="number-fields">
        {numbersOf(part).map(({ path, value }) => (
          <NumberField
            key={`${part.id} ${path.join('.')}`}
            label={path.map((k) => t(`oil.fields.${k}`)).join(' · ')}
            unit={UNITS[path.at(-1)!] ?? ''}
            step={Math.abs(value) > 0 ? Number((Math.abs(value) / 10).toPrecision(1)) : 1}
            value={value}
            faulty={problems.some((p) => p.path === `parts[${index}].${path.join('.')}`)}
            onValue={(v) => set(path, v)}
          />
        ))}
      </div>
    </>
  );
}

/** SI units of fields, by their names. */
const UNITS: Readonly<Record<string, string>> = {
  volume: 'm³',
  leak: 'm³/s/√Pa',
  suction: 'm³/s',
  area: 'm²',
  spring: 'N',
  springEnd: 'N',
  springRise: 'N',
  orifice: 'm³/s/√Pa',
  opensAt: '',
  rest: 'Pa',
  rise: 'Pa',
  diaphragm: 'm²',
  land: 'm²',
  mass: 'kg',
  radius: 'm',
  in: 'm³/s/√Pa',
  out: 'm³/s/√Pa',
  travel: 'm',
  cushion: 'm',
  returnForce: 'N',
  torquePerForce: 'm',
  steel: 'kg',
  ohm: 'Ω',
  trips: 'Pa',
};

/** Every number of a part, one or two levels down. */
function numbersOf(part: HydraulicPart): { path: string[]; value: number }[] {
  return Object.entries(part).flatMap(([key, value]: [string, unknown]) => {
    if (key === 'gear') return [];
    if (typeof value === 'number') return [{ path: [key], value }];
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return [];
    return Object.entries(value).flatMap(([inner, v]: [string, unknown]) =>
      typeof v === 'number' ? [{ path: [key, inner], value: v }] : [],
    );
  });
}

function withNumber(
  part: HydraulicPart,
  [key, inner]: readonly string[],
  value: number,
): HydraulicPart {
  const held: unknown = part[key as keyof HydraulicPart];
  const next =
    inner === undefined ? value : { ...(held as Record<string, unknown>), [inner]: value };
  return { ...part, [key!]: next };
}
