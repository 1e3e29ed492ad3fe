import { Checkbox, Segmented, Select, Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel } from '../../core/converter';
import { scheduleOf, type LaunchResult } from '../../core/vehicle';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { DrivingProps } from './benchParts';
import { LaunchTraces, type Trace } from './LaunchTraces';
import { ShiftMap } from './ShiftMap';
import { SmallSlider } from '../bench/SmallSlider';
import { SweepPanel } from './SweepPanel';
import { UnitAndGrade } from './UnitAndGrade';
import { useLaunch } from './useLaunch';
import { useKept } from '../shared/kept';
import './LaunchPanel.css';

const KICK = { from: 2, usual: 14, to: 28 } as const;
const VIEWS = ['speeds', 'pull', 'heat', 'map', 'sweep'] as const;

/** Fifteen seconds from standing: speeds, pull, heat, the shift map with the run on it, and sweeps. */
export function LaunchPanel(props: DrivingProps) {
  const { engine, bench, onBench } = props;
  const { t } = useTranslation();
  const [view, setView] = useKept<(typeof VIEWS)[number]>('LaunchPanel view', 'speeds');
  const { gears, plans, plan, map, request, result, failure } = useLaunch(props);
  const { kickAt } = bench;
  const model = useMemo(() => engineModel(engine), [engine]);
  if (!request) return <p className="quiet">{t('launch.noVehicle')}</p>;
  return (
    <>
      <div className="launch-controls">
        <Segmented
          size="small"
          aria-label={t('launch.view')}
          value={view}
          onChange={setView}
          options={VIEWS.map((v) => ({ value: v, label: t(`launch.views.${v}`) }))}
        />
        <UnitAndGrade bench={bench} onBench={onBench} />
        {plans.length > 0 && (
          <Select<string>
            aria-label={t('launch.shiftsBy')}
            value={plan?.id ?? ''}
            style={{ width: 200 }}
            onChange={(id) => onBench({ planId: id === '' ? null : id })}
            options={[
              { value: '', label: t('launch.bySchedule') },
              ...plans.map((p) => ({ value: p.id, label: p.name })),
            ]}
          />
        )}
        <Checkbox
          checked={kickAt !== null}
          onChange={(e) => onBench({ kickAt: e.target.checked ? KICK.usual : null })}
        >
          {t('launch.kick')}
        </Checkbox>
        {kickAt !== null && (
          <SmallSlider
            label={t('launch.kickAt')}
            text={t('launch.kickSeconds', { seconds: kickAt })}
            value={kickAt}
            from={KICK.from}
            to={KICK.to}
            step={1}
            onValue={(seconds) => onBench({ kickAt: seconds })}
          />
        )}
        {result && view !== 'sweep' && <Summary result={result} />}
      </div>
      {failure !== '' && <p role="alert">{t('launch.failed', { reason: failure })}</p>}
      {view === 'sweep' ? (
        <SweepPanel request={request} />
      ) : !result ? (
        <Spin />
      ) : view === 'map' ? (
        <ShiftMap
          schedule={scheduleOf(request.vehicle)}
          shifting={{ vehicle: request.vehicle, gears, engine: model }}
          result={result}
          lines={map?.shifts ?? null}
        />
      ) : (
        <LaunchTraces trace={view satisfies Trace} result={result} title={request.vehicle.name} />
      )}
    </>
  );
}

function Summary({ result }: { result: LaunchResult }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const last = result.samples.at(-1)!;
  const { heat, work } = result.energy;
  const hottest = Math.max(...result.samples.map((s) => s.fluidC));
  return (
    <span className="quiet">
      {t('launch.summary', {
        seconds: formatNumber(last.time, 0),
        speed: numbers.quantity(last.speed, 'road-speed'),
        gear: last.gear,
        heat: numbers.quantity(heat / 1000, 'energy'),
        share: formatNumber(work > 0 ? (100 * heat) / work : 0, 0),
        hottest: numbers.quantity(hottest, 'temperature'),
      })}
    </span>
  );
}
