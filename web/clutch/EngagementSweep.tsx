import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  SWEPT_OF_ENGAGEMENT,
  type EngagementPoint,
  type SweptOfEngagement,
} from '../../core/shift';
import { reasonOf } from '../shared/reasonOf';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { formatNumber, useNumbers } from '../shared/numbers';
import { SweepControls } from '../shared/SweepControls';
import { useSteppedWork } from '../shared/useSteppedWork';
import { runEngagementSweep } from '../workers/clutchWorker';
import type { EngagementRequest } from '../workers/protocol';

interface Props {
  request: EngagementRequest;
  /** m from new to worn out. */
  life: number;
}

const RUNS = 200;

/** From and to, and what the number is shown times. */
const limitsOf = (swept: SweptOfEngagement, life: number) =>
  ({
    'let-up': { from: 0.2, to: 5, scale: 1, digits: 1 },
    throttle: { from: 0.1, to: 1, scale: 100, digits: 0 },
    grade: { from: 0, to: 0.3, scale: 100, digits: 0 },
    wear: { from: 0, to: 1.2 * life, scale: 1000, digits: 2 },
  })[swept];

/** The same start 200 times with one thing changed, on both cores, to be cancelled. */
export function EngagementSweep({ request, life }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [swept, setSwept] = useState<SweptOfEngagement>('let-up');
  const [done, setDone] = useState<{ swept: SweptOfEngagement; points: EngagementPoint[] } | null>(
    null,
  );
  const { running, failure, start: begin, cancel } = useSteppedWork(reasonOf);
  const start = () => {
    const points: EngagementPoint[] = [];
    const { from, to } = limitsOf(swept, life);
    setDone({ swept, points: [] });
    begin((signal) =>
      runEngagementSweep({ request, swept, from, to, runs: RUNS }, signal, (point) => {
        points.push(point);
        if (points.length % 10 === 0 || points.length === RUNS)
          setDone({ swept, points: [...points].sort((a, b) => a.index - b.index) });
      }),
    );
  };
  const shown = done && limitsOf(done.swept, life);
  const line = (y: (p: EngagementPoint) => number) =>
    (done?.points ?? []).map((p) => ({ x: p.value * shown!.scale, y: y(p) }));
  const heat = `${t('clutch.heat')}, ${numbers.unit('energy')}`;
  const energy = (p: EngagementPoint) => numbers.toDisplay(p.summary.heat / 1000, 'energy');
  return (
    <>
      <SweepControls
        label={t('sweep.what')}
        value={swept}
        options={SWEPT_OF_ENGAGEMENT.map((v) => ({ value: v, label: t(`clutch.sweep.${v}`) }))}
        onValue={setSwept}
        runLabel={t('clutch.sweep.run', { count: RUNS })}
        running={running}
        done={Math.round((100 * (done?.points.length ?? 0)) / RUNS)}
        onRun={start}
        onCancel={cancel}
        failure={failure && t('clutch.failed', { reason: failure })}
      />
      {done && done.points.length > 0 ? (
        <CurveSheet
          title={t(`clutch.sweep.${done.swept}`)}
          x={{ title: t(`clutch.sweep.axis.${done.swept}`) }}
          y={{ title: heat, min: 0 }}
          right={{ title: t('clutch.sweep.jerk'), min: 0 }}
          curves={[
            { label: heat, ink: '--wrong', points: line(energy) },
            {
              label: t('clutch.sweep.jerk'),
              ink: '--driven',
              look: 'dashed',
              right: true,
              points: line((p) => p.summary.jerk),
            },
            {
              label: t('clutch.sweep.stalled'),
              ink: '--ink',
              look: 'marks',
              points: done.points
                .filter((p) => p.summary.stalled)
                .map((p) => ({ x: p.value * shown!.scale, y: 0 })),
            },
          ]}
          figures={{
            titles: [
              t(`clutch.sweep.axis.${done.swept}`),
              t('clutch.sweep.slip'),
              heat,
              t('clutch.sweep.jerk'),
              t('clutch.sweep.stalled'),
            ],
            rows: done.points
              .filter((_p, k) => k % 8 === 0)
              .map((p) => [
                formatNumber(p.value * shown!.scale, shown!.digits),
                formatNumber(p.summary.slipTime, 2),
                formatNumber(energy(p), 1),
                formatNumber(p.summary.jerk, 0),
                t(p.summary.stalled ? 'clutch.sweep.yes' : 'clutch.sweep.no'),
              ]),
          }}
        />
      ) : (
        <p className="quiet">{t('clutch.sweep.said')}</p>
      )}
    </>
  );
}
