import { Segmented, Select, Slider } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { faultsOn, PLAN_FAULTS, type HydraulicPlan, type PlanFault } from '../../core/hydraulics';
import { ModelSelect } from '../bench/ModelSelect';
import { SmallSlider } from '../bench/SmallSlider';
import { BreakIt } from '../shared/BreakIt';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import { useAppSelector } from '../state/hooks';
import { onShelf, selectUnits } from '../state/modelsSlice';
import { partName } from './oilWords';
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
      <FaultOfPlan plan={plan} fault={fault} onFault={(next) => onBench({ fault: next })} />
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

/** One thing that is wrong in the oil, and how far it has gone. */
function FaultOfPlan({
  plan,
  fault,
  onFault,
}: {
  plan: HydraulicPlan;
  fault: PlanFault | null;
  onFault: (fault: PlanFault | null) => void;
}) {
  const { t } = useTranslation();
  const keyOf = (f: PlanFault) => `${f.part}=${f.kind}`;
  const groups = plan.parts
    .map((part) => ({ part, kinds: faultsOn(part) }))
    .filter((g) => g.kinds.length > 0);
  const spec = fault && PLAN_FAULTS[fault.kind];
  return (
    <BreakIt broken={fault !== null}>
      <Select<string>
        aria-label={t('breakIt.label')}
        showSearch={{ optionFilterProp: 'label' }}
        value={fault ? keyOf(fault) : ''}
        listHeight={400}
        virtual={false}
        popupMatchSelectWidth={340}
        onChange={(key) => {
          const [part, kind] = key.split('=');
          onFault(part && kind ? { part, kind: kind as PlanFault['kind'] } : null);
        }}
        options={[
          { value: '', label: t('breakIt.sound') },
          ...groups.map(({ part, kinds }) => ({
            label: partName(t, part, plan),
            options: kinds.map((kind) => ({
              value: keyOf({ part: part.id, kind }),
              label: t('oil.faultOf', {
                of: partName(t, part, plan),
                kind: t(`oil.faults.${kind}`),
              }),
            })),
          })),
        ]}
      />
      {fault && spec && spec.measure !== 'none' && (
        <label className="small-slider">
          <span>
            {t('faults.howFar')}{' '}
            <strong>
              {spec.measure === 'share'
                ? formatShare(fault.amount ?? spec.usual)
                : t('oil.times', { times: formatNumber(fault.amount ?? spec.usual, 1) })}
            </strong>
          </span>
          <Slider
            min={spec.limits[0]}
            max={spec.limits[1]}
            step={spec.measure === 'share' ? 0.01 : 0.1}
            value={fault.amount ?? spec.usual}
            onChange={(amount) => onFault({ ...fault, amount })}
            tooltip={{ open: false }}
            ariaLabelForHandle={t('faults.howFar')}
          />
        </label>
      )}
    </BreakIt>
  );
}
