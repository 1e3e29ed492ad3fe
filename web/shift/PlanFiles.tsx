import { Button, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import type { HydraulicPlan } from '../../core/hydraulics';
import { exportModel } from '../files/exportFiles';
import { download, fileName } from '../shared/download';
import { DownloadOutlined } from '../shared/icons';
import { LinkButton } from '../shared/LinkButton';
import { svgPng, svgText } from '../shared/svgFile';
import { useServices } from '../state/hooks';
import { useOilPlans } from '../state/useOilPlans';
import { useKeep } from '../state/useKeep';
import type { ShiftBenchProps } from './shiftBenchProps';
import { WITHOUT_PLAN } from './shiftSlice';

interface Props extends ShiftBenchProps {
  /** The plan as it is drawn now. */
  drawing: () => SVGSVGElement | null;
}

/** Which plan stands on the bench; keeping a changed one, handing it out, putting it back. */
export function PlanFiles({ unit, bench, plan, base, onBench, drawing }: Props) {
  const { t } = useTranslation();
  const keep = useKeep();
  const services = useServices();
  const { pathname } = useLocation();
  const own = useOilPlans(unit);
  const keepPlan = async () => {
    const id = services.newId();
    const kept: HydraulicPlan = { ...plan, id, name: t('oil.keptName', { name: unit.name }) };
    if (await keep.model(kept, null)) onBench({ ...WITHOUT_PLAN, fault: bench.fault, planId: id });
  };
  const save = async (kind: 'svg' | 'png') => {
    const svg = drawing();
    if (!svg) return;
    const paper = getComputedStyle(svg).getPropertyValue('--sheet').trim();
    if (kind === 'svg') download(fileName(plan.name, kind), svgText(svg, paper), 'image/svg+xml');
    else download(fileName(plan.name, kind), await svgPng(svg, paper), 'image/png');
  };
  const door = pathname.startsWith('/learn') ? 'learn' : 'teach';
  return (
    <div className="shift-files">
      {own.length > 0 && (
        <label className="field">
          <span className="label">{t('oil.which')}</span>
          <Select<string>
            aria-label={t('oil.which')}
            value={bench.planId ?? ''}
            onChange={(id) => onBench({ ...WITHOUT_PLAN, planId: id === '' ? null : id })}
            options={[
              { value: '', label: t('oil.madeForUnit') },
              ...own.map((p) => ({ value: p.id, label: p.name })),
            ]}
          />
        </label>
      )}
      <div className="row">
        {bench.plan && <Button onClick={() => onBench({ plan: null })}>{t('oil.putBack')}</Button>}
        <Button onClick={() => void keepPlan()} disabled={plan === base && bench.planId !== null}>
          {t('oil.keep')}
        </Button>
        <Button icon={<DownloadOutlined />} onClick={() => void save('svg')}>
          SVG
        </Button>
        <Button icon={<DownloadOutlined />} onClick={() => void save('png')}>
          PNG
        </Button>
        <Button onClick={() => exportModel(plan)}>{t('library.export')}</Button>
        <LinkButton to={`/${door}/apply/${unit.id}`}>{t('oil.toApply')}</LinkButton>
      </div>
    </div>
  );
}
