import { Button, Segmented, Select, Spin } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { engagementVerdicts, type EngagementResult } from '../../core/shift';
import { useSettledRun } from '../workers/useSettledRun';
import { formatNumber } from '../shared/numbers';
import { gearName } from '../shared/unitNames';
import { runEngagement } from '../workers/clutchWorker';
import type { ClutchBenchState } from './clutchSlice';
import { EngagementTraces } from './EngagementTraces';
import { TRACED, type Traced } from './traced';
import { EngagementSweep } from './EngagementSweep';
import { FeetPads } from './FeetPads';
import { StartsInARow } from './StartsInARow';
import { RunSummary } from './RunSummary';
import { rangeOf, sameMachine, useEngagementRequest, type DriveRig } from './useDriveRig';
import { SmallSlider } from '../bench/SmallSlider';
import { useKept } from '../shared/kept';
import './DrivePanel.css';

interface Props {
  rig: DriveRig | null;
  bench: ClutchBenchState;
  onBench: (change: Partial<ClutchBenchState>) => void;
}

const MOST_KEPT = 3;
type View = Traced | 'row' | 'sweep';

/** Both feet drawn, driven on the unit: what turns, what it carries, where the heat goes, what is felt. */
export function DrivePanel({ rig, bench, onBench }: Props) {
  const { t } = useTranslation();
  const request = useEngagementRequest(rig, bench);
  const { result, failure } = useSettledRun(request, runEngagement, sameMachine);
  const [view, setView] = useKept<View>('DrivePanel view', 'speeds');
  const [kept, setKept] = useState<readonly EngagementResult[]>([]);
  if (!rig || !request) return <p className="quiet">{t('clutch.noRig')}</p>;
  const range = rangeOf(rig.unit, bench.rangeId)!;
  return (
    <div className="drive-panel">
      <div className="drive-feet">
        <div className="bench-row">
          <Select
            aria-label={t('clutch.gear')}
            value={range.id}
            onChange={(rangeId) => onBench({ rangeId })}
            options={rig.unit.ranges.map((r) => ({ value: r.id, label: gearName(r) }))}
          />
          <SmallSlider
            label={t('launch.grade')}
            text={`${formatNumber(100 * bench.grade, 0)} %`}
            value={bench.grade}
            from={-0.1}
            to={0.3}
            step={0.01}
            onValue={(grade) => onBench({ grade })}
          />
          <SmallSlider
            label={t('clutch.brakeUntil')}
            text={`${formatNumber(bench.brakeUntil, 1)} s`}
            value={bench.brakeUntil}
            from={0}
            to={4}
            step={0.1}
            onValue={(brakeUntil) => onBench({ brakeUntil })}
          />
        </div>
        <FeetPads
          pedal={bench.pedalTrace}
          throttle={bench.throttleTrace}
          onPedal={(pedalTrace) => onBench({ pedalTrace })}
          onThrottle={(throttleTrace) => onBench({ throttleTrace })}
        />
      </div>
      <div className="drive-result">
        <div className="bench-row">
          <Segmented<View>
            size="small"
            aria-label={t('launch.view')}
            value={view}
            onChange={setView}
            options={[...TRACED, 'row' as const, 'sweep' as const].map((v) => ({
              value: v,
              label: t(`clutch.views.${v}`),
            }))}
          />
          <Button
            size="small"
            disabled={!result || kept.length >= MOST_KEPT}
            onClick={() => result && setKept([...kept, result])}
          >
            {t('clutch.keepRun')}
          </Button>
          {kept.length > 0 && (
            <Button size="small" onClick={() => setKept([])}>
              {t('clutch.dropRuns', { count: kept.length })}
            </Button>
          )}
        </div>
        {failure !== '' && <p role="alert">{t('clutch.failed', { reason: failure })}</p>}
        {view === 'row' ? (
          <StartsInARow request={request} />
        ) : view === 'sweep' ? (
          <EngagementSweep
            request={request}
            life={rig.clutch.disc.newThickness - rig.clutch.disc.wornThickness}
          />
        ) : result ? (
          <>
            <RunSummary
              summary={result.summary}
              verdicts={engagementVerdicts(result.summary)}
              unstable={result.why === 'unstable'}
            />
            <EngagementTraces
              traced={view}
              result={result}
              kept={kept}
              title={`${rig.clutch.name}, ${rig.unit.name}`}
            />
          </>
        ) : (
          <Spin />
        )}
      </div>
    </div>
  );
}
