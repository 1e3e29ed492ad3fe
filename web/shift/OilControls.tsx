import { Segmented, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { ModelSelect } from '../bench/ModelSelect';
import { BreakIt } from '../shared/BreakIt';
import { useAppSelector } from '../state/hooks';
import { onShelf, selectUnits } from '../state/modelsSlice';
import { DrivingControls } from './DrivingControls';
import { OilHeadline } from './OilHeadline';
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
  const navigate = useNavigate();
  const door = useLocation().pathname.startsWith('/learn') ? 'learn' : 'teach';
  const units = useAppSelector(selectUnits);
  return (
    <>
      <Select
        aria-label={t('apply.unit')}
        value={unit.id}
        onChange={(id) => void navigate(`/${door}/shift/${id}`)}
        options={onShelf(units).map((u) => ({ value: u.id, label: u.name }))}
      />
      <OilHeadline unit={unit} oil={oil} />
      <DrivingControls
        levers={levers}
        driving={{
          lever,
          throttle: bench.throttle,
          outputRpm: bench.outputRpm,
          celsius: bench.celsius,
        }}
        gears={oil.gears}
        onDriving={onBench}
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
