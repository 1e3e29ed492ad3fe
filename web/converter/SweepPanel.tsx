import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { SWEPT, type Swept, type SweepPoint } from '../../core/vehicle';
import { reasonOf } from '../shared/reasonOf';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, headOf, lineOf, type Measured } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { SweepControls } from '../shared/SweepControls';
import { useSteppedWork } from '../shared/useSteppedWork';
import { runSweep } from '../workers/converterWorker';
import type { LaunchRequest } from '../workers/protocol';

const RUNS = 25;
/** m/s whose time is taken: 30 km/h. */
const TARGET = 30 / 3.6;

/** From and to of what is swept, and what its number is shown times. */
function rangeOf(swept: Swept, { vehicle }: LaunchRequest) {
  switch (swept) {
    case 'throttle':
      return { from: 0.25, to: 1, scale: 100 };
    case 'grade':
      return { from: 0, to: 0.3, scale: 100 };
    case 'mass':
      return { from: 0.5 * vehicle.massKg, to: 2.5 * vehicle.massKg, scale: 1 };
    case 'final-drive':
      return { from: 0.6 * vehicle.finalDrive, to: 1.6 * vehicle.finalDrive, scale: 1 };
    case 'converter-size':
      return { from: 0.8, to: 1.25, scale: 100 };
  }
}

interface Done {
  readonly swept: Swept;
  readonly points: readonly SweepPoint[];
}

/** One thing changed from end to end, a launch run at each value: away from the page, to be cancelled. */
export function SweepPanel({ request }: { request: LaunchRequest }) {
  const { t } = useTranslation();
  const [swept, setSwept] = useState<Swept>('converter-size');
  const [done, setDone] = useState<Done | null>(null);
  const { running, failure, start: begin, cancel } = useSteppedWork(reasonOf);
  const start = () => {
    const points: SweepPoint[] = [];
    setDone({ swept, points: [] });
    const { from, to } = rangeOf(swept, request);
    const asked = { request, swept, from, to, runs: RUNS, target: TARGET };
    begin((signal) =>
      runSweep(asked, signal, (point) => {
        points.push(point);
        setDone({ swept, points: [...points] });
      }),
    );
  };
  return (
    <div className="curve-sheet">
      <SweepControls
        label={t('sweep.what')}
        value={swept}
        options={SWEPT.map((v) => ({ value: v, label: t(`sweep.of.${v}`) }))}
        onValue={setSwept}
        runLabel={t('sweep.run', { count: RUNS })}
        running={running}
        done={Math.round((100 * (done?.points.length ?? 0)) / RUNS)}
        onRun={start}
        onCancel={cancel}
        failure={failure && t('launch.failed', { reason: failure })}
      />
      {done && done.points.length > 0 ? (
        <SweepCurves done={done} request={request} />
      ) : (
        <p className="quiet">{t('sweep.said')}</p>
      )}
    </div>
  );
}

function SweepCurves({ done, request }: { done: Done; request: LaunchRequest }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { swept, points } = done;
  const { scale } = rangeOf(swept, request);
  const changed: Measured<SweepPoint> = {
    title: t(`sweep.axis.${swept}`),
    of: (p) => p.value * scale,
    ...(swept === 'mass' ? { quantity: 'mass' } : {}),
    ...(swept === 'final-drive' ? { places: 2 } : { places: 0 }),
  };
  const reached = points.flatMap((p) => (p.seconds === null ? [] : [{ ...p, seconds: p.seconds }]));
  const time: Measured<(typeof reached)[number]> = {
    title: t('sweep.time', { speed: numbers.quantity(TARGET, 'road-speed') }),
    of: (p) => p.seconds,
    places: 1,
  };
  const hottest: Measured<SweepPoint> = {
    title: t('sweep.hottest'),
    of: (p) => p.hottestC,
    quantity: 'temperature',
    places: 1,
  };
  return (
    <CurveSheet
      title={t(`sweep.of.${swept}`)}
      x={{ title: headOf(numbers, changed) }}
      y={{ title: time.title, min: 0 }}
      right={{ title: headOf(numbers, hottest) }}
      curves={[
        { label: time.title, ink: '--drives', points: lineOf(numbers, reached, changed, time) },
        {
          label: headOf(numbers, hottest),
          ink: '--wrong',
          look: 'dashed',
          right: true,
          points: lineOf(numbers, points, changed, hottest),
        },
      ]}
      figures={figuresOf(numbers, points, [
        changed,
        {
          title: time.title,
          text: (p) => (p.seconds === null ? t('sweep.never') : formatNumber(p.seconds, 1)),
        },
        hottest,
        { title: t('launch.heatSoFar'), of: (p) => p.heat / 1000, quantity: 'energy', places: 0 },
      ])}
    />
  );
}
