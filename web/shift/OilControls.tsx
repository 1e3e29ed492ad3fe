import { Segmented, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { ModelSelect } from '../bench/ModelSelect';
import { SmallSlider } from '../bench/SmallSlider';
import { BreakIt } from '../shared/BreakIt';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import { useAppSelector } from '../state/hooks';
import { onShelf, selectUnits } from '../state/modelsSlice';
import { PlanFaultPicker } from './PlanFaultPicker';
import type { ShiftBenchProps } from './shiftBenchProps';
import { SettingsPanel } from './SettingsPanel';
import { WITHOUT_PLAN } from './shiftSlice';

interface Props extends ShiftBenchProps {
  levers: readonly string[];
  lever: string;
  idleRpm: number;
}

const THROTTLES = ['cable', 'modulator', 'solenoid'] as const;
const SHIFTINGS = ['valves', 'solenoids'] as const;

/** What the driver, the road and the shop set. */
export function OilControls(props: Props) {
  const { unit, bench, plan, fault, oil, levers, lever, onBench } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const navigate = useNavigate();
  const door = useLocation().pathname.startsWith('/learn') ? 'learn' : 'teach';
  const units = useAppSelector(selectUnits);
  const fastest = Math.max(
    1000,
    ...oil.gears.forward.map((f) => Math.round(4500 / f.ratio / 100) * 100),
  );
  return (
    <>
      <Select
        aria-label={t('apply.unit')}
        value={unit.id}
        onChange={(id) => void navigate(`/${door}/shift/${id}`)}
        options={onShelf(units).map((u) => ({ value: u.id, label: u.name }))}
      />
      <Headline {...props} />
      <Segmented
        block
        aria-label={t('oil.lever')}
        value={lever}
        onChange={(next) => onBench({ lever: next })}
        options={levers.map((l) => ({ value: l, label: l }))}
      />
      <SmallSlider
        label={t('oil.throttle')}
        text={formatShare(bench.throttle)}
        value={bench.throttle}
        from={0}
        to={1}
        step={0.01}
        onValue={(throttle) => onBench({ throttle })}
      />
      <SmallSlider
        label={t('oil.outputSpeed')}
        text={t('oil.rpm', { speed: formatNumber(bench.outputRpm, 0) })}
        value={bench.outputRpm}
        from={0}
        to={fastest}
        step={10}
        onValue={(outputRpm) => onBench({ outputRpm })}
      />
      <SmallSlider
        label={t('oil.temperature')}
        text={numbers.quantity(bench.celsius, 'temperature')}
        value={bench.celsius}
        from={-20}
        to={140}
        step={5}
        onValue={(celsius) => onBench({ celsius })}
      />
      <BreakIt broken={fault !== null}>
        <PlanFaultPicker plan={plan} fault={fault} onFault={(next) => onBench({ fault: next })} />
      </BreakIt>
      <SettingsPanel {...props} />
      <details className="shift-built">
        <summary>{t('oil.built')}</summary>
        <div className="shift-built-fields">
          <Segmented
            block
            aria-label={t('oil.throttleBy.label')}
            value={bench.throttleBy}
            disabled={bench.planId !== null}
            onChange={(throttleBy) => onBench({ ...WITHOUT_PLAN, throttleBy })}
            options={THROTTLES.map((v) => ({ value: v, label: t(`oil.throttleBy.${v}`) }))}
          />
          <Segmented
            block
            aria-label={t('oil.shifting.label')}
            value={bench.shifting}
            disabled={bench.planId !== null}
            onChange={(shifting) => onBench({ ...WITHOUT_PLAN, shifting })}
            options={SHIFTINGS.map((v) => ({ value: v, label: t(`oil.shifting.${v}`) }))}
          />
          <ModelSelect
            kind="fair-sprocket/engine"
            value={props.engine?.id}
            onValue={(engineId) => onBench({ ...WITHOUT_PLAN, engineId })}
          />
          <ModelSelect
            kind="fair-sprocket/vehicle"
            value={props.vehicle?.id}
            onValue={(vehicleId) => onBench({ vehicleId })}
          />
        </div>
      </details>
    </>
  );
}

/** The gear that comes of it, and what is on; against the chart where it differs. */
function Headline({ unit, oil }: Props) {
  const { t } = useTranslation();
  const { applied } = oil.state;
  const oiled = (ids: readonly string[]) =>
    ids.filter(
      (id) => oil.state.spools && unit.elements.some((e) => e.id === id && e.kind !== 'dog'),
    );
  const is = unit.ranges.find(
    (r) =>
      r.lever === oil.running.lever &&
      oiled(r.apply).length === applied.length &&
      applied.every((id) => r.apply.includes(id)),
  );
  return (
    <div className="shift-headline" role="status">
      <strong className="figure">{is ? is.gear : '?'}</strong>
      <span>
        {is ? t('oil.isRange', { range: is.id }) : t('oil.noRange')}
        <br />
        <span className="quiet">
          {applied.length > 0 ? t('oil.nowOn', { list: applied.join(', ') }) : t('oil.nothingOn')}
          {' · '}
          {t('oil.engineAt', { speed: formatNumber(oil.running.engineRpm, 0) })}
        </span>
      </span>
    </div>
  );
}
