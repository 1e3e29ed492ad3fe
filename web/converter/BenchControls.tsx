import { ValueSlider } from '../shared/ValueSlider';
import { Button, Select, Switch } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Converter, Engine, StatorFault } from '../../core/converter';
import type { ConverterSetting } from '../../core/lesson';
import { formatNumber, useNumbers } from '../shared/numbers';
import { releasedRpm } from './releasedRpm';
import '../bench/BenchControls.css';

export interface BenchAllows {
  readonly throttle: boolean;
  readonly turbine: boolean;
  readonly lockUp: boolean;
  readonly fault: boolean;
}

interface Props {
  converter: Converter;
  engine: Engine;
  setting: ConverterSetting;
  fault: StatorFault | null;
  allow: BenchAllows;
  onSetting: (change: Partial<ConverterSetting>) => void;
  onFault: (fault: StatorFault | null) => void;
}

const FAULTS: readonly (StatorFault | null)[] = [null, 'slips', 'seized'];

/** Throttle, brake and road, lock-up, and what is wrong with the stator. */
export function BenchControls(props: Props) {
  const { converter, engine, setting, fault, allow, onSetting, onFault } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const held = setting.turbineRpm === 0;
  return (
    <>
      <label className="bench-slider">
        <span>
          {t('converter.throttle')} <strong>{formatNumber(100 * setting.throttle, 0)} %</strong>
        </span>
        <ValueSlider
          min={0}
          max={100}
          disabled={!allow.throttle}
          value={Math.round(100 * setting.throttle)}
          onValue={(v) => onSetting({ throttle: v / 100 })}
          label={t('converter.throttle')}
        />
      </label>
      <label className="bench-slider">
        <span>
          {t('converter.turbineSpeed')}{' '}
          <strong>{numbers.quantity(setting.turbineRpm, 'speed')}</strong>
        </span>
        <ValueSlider
          min={0}
          max={engine.governedRpm}
          step={10}
          disabled={!allow.turbine}
          value={setting.turbineRpm}
          onValue={(turbineRpm) => onSetting({ turbineRpm })}
          label={t('converter.turbineSpeed')}
        />
      </label>
      <div className="row bench-switches">
        <Button
          type={held ? 'primary' : 'default'}
          aria-pressed={held}
          aria-keyshortcuts="b"
          disabled={!allow.turbine}
          onClick={() => onSetting({ turbineRpm: held ? releasedRpm(engine) : 0 })}
        >
          {t(held ? 'converter.brakeOn' : 'converter.brakeOff')}
        </Button>
        <label className="row">
          <Switch
            checked={setting.lockUp}
            disabled={!allow.lockUp || converter.lockUpCapacity === undefined}
            onChange={(lockUp) => onSetting({ lockUp })}
            aria-label={t('converter.lockUp')}
          />
          {t('converter.lockUp')}
        </label>
      </div>
      {allow.fault &&
        (converter.model.kind === 'streamline' ? (
          <label className="bench-fault">
            <span className="label">{t('converter.stator')}</span>
            <Select<StatorFault | 'sound'>
              aria-label={t('converter.stator')}
              value={fault ?? 'sound'}
              onChange={(v) => onFault(v === 'sound' ? null : v)}
              options={FAULTS.map((f) => ({
                value: f ?? 'sound',
                label: t(`converter.faults.${f ?? 'sound'}`),
              }))}
            />
          </label>
        ) : (
          <p className="quiet">{t('converter.tableOnly')}</p>
        ))}
    </>
  );
}
