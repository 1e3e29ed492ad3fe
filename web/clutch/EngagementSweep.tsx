import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  SWEPT_OF_ENGAGEMENT,
  type EngagementPoint,
  type SweptOfEngagement,
} from '../../core/shift';
import { reasonOf } from '../shared/reasonOf';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { CALIPER, useNumbers } from '../shared/numbers';
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

interface Done {
  readonly swept: SweptOfEngagement;
  readonly points: readonly EngagementPoint[];
}

const limitsOf = (swept: SweptOfEngagement, life: number) =>
  ({
    'let-up': { from: 0.2, to: 5 },
    throttle: { from: 0.1, to: 1 },
    grade: { from: 0, to: 0.3 },
    wear: { from: 0, to: 1.2 * life },
  })[swept];

/** The same start 200 times with one thing changed, on both cores, to be cancelled. */
export function EngagementSweep({ request, life }: Props) {
  const { t } = useTranslation();
  const [swept, setSwept] = useState<SweptOfEngagement>('let-up');
  const [done, setDone] = useState<Done | null>(null);
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
        <SweepCurves done={done} />
      ) : (
        <p className="quiet">{t('clutch.sweep.said')}</p>
      )}
    </>
  );
}

function SweepCurves({ done: { swept, points } }: { done: Done }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const changed: Measured<EngagementPoint> = {
    title: t(`clutch.sweep.axis.${swept}`),
    ...{
      'let-up': { of: (p: EngagementPoint) => p.value, places: 1 },
      throttle: { of: (p: EngagementPoint) => 100 * p.value, places: 0 },
      grade: { of: (p: EngagementPoint) => 100 * p.value, places: 0 },
      wear: {
        of: (p: EngagementPoint) => 1000 * p.value,
        quantity: 'length' as const,
        places: CALIPER,
      },
    }[swept],
  };
  const heat: Measured<EngagementPoint> = {
    title: t('clutch.heat'),
    of: (p) => p.summary.heat / 1000,
    quantity: 'energy',
    places: 1,
  };
  const jerk: Measured<EngagementPoint> = {
    title: t('clutch.sweep.jerk'),
    of: (p) => p.summary.jerk,
    places: 0,
  };
  const line = (y: Measured<EngagementPoint>) => lineOf(numbers, points, changed, y);
  const stalled = points.filter((p) => p.summary.stalled);
  return (
    <CurveSheet
      title={t(`clutch.sweep.${swept}`)}
      x={{ title: headOf(numbers, changed) }}
      y={{ title: headOf(numbers, heat), min: 0 }}
      right={{ title: jerk.title, min: 0 }}
      curves={[
        { label: headOf(numbers, heat), ink: '--wrong', points: line(heat) },
        {
          label: jerk.title,
          ink: '--driven',
          look: 'dashed',
          right: true,
          points: line(jerk),
        },
        {
          label: t('clutch.sweep.stalled'),
          ink: '--ink',
          look: 'marks',
          points: lineOf(numbers, stalled, changed, { title: '', of: () => 0 }),
        },
      ]}
      figures={figuresOf(
        numbers,
        points,
        [
          changed,
          { title: t('clutch.sweep.slip'), of: (p) => p.summary.slipTime, places: 2 },
          heat,
          jerk,
          {
            title: t('clutch.sweep.stalled'),
            text: (p) => t(p.summary.stalled ? 'clutch.sweep.yes' : 'clutch.sweep.no'),
          },
        ],
        8,
      )}
    />
  );
}
