import { Checkbox, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { ModelSelect } from '../bench/ModelSelect';
import { BreakIt } from '../shared/BreakIt';
import { DriverSays } from './DriverSays';
import { DrivingControls } from './DrivingControls';
import { OilHeadline } from './OilHeadline';
import { PlanFaultPicker } from './PlanFaultPicker';
import type { ShiftBenchProps } from './shiftBenchProps';
import { SettingsPanel } from './SettingsPanel';
import { UnitChoice } from './UnitChoice';
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
  return (
    <>
      <UnitChoice unit={unit} />
      <OilHeadline unit={unit} plan={plan} oil={oil} />
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
      <DriverSays {...props} />
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
          <Checkbox
            checked={bench.lockUp}
            disabled={bench.planId !== null}
            onChange={(e) => onBench({ ...WITHOUT_PLAN, lockUp: e.target.checked })}
          >
            {t('oil.lockUp.with')}
          </Checkbox>
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
