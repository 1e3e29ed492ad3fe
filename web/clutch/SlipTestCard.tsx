import { Button, Checkbox, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel } from '../../core/converter';
import {
  brakesMustHold,
  demands,
  type Demand,
  type EngagementResult,
  type EngagementSample,
} from '../../core/shift';
import { reasonOf } from '../shared/reasonOf';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, lineOf, type Measured } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { useSteppedWork } from '../shared/useSteppedWork';
import { runRoadSlipTest, runSlipTest } from '../workers/clutchWorker';
import type { DriveRig } from './useDriveRig';

const CHECKS = { slip: ['brakes', 'chocks', 'clear'], road: ['belts', 'clear', 'open'] } as const;

interface Props {
  kind: 'slip' | 'road';
  rig: DriveRig;
}

/** Standing with the brakes on, or on the road in the highest gear: does it hold? */
export function SlipTestCard({ kind, rig }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [checked, setChecked] = useState<readonly string[]>([]);
  const [read, setRead] = useState<{ verdict: string; run: EngagementResult } | null>(null);
  const { running, failure, start } = useSteppedWork(reasonOf);
  const checks = CHECKS[kind];
  const { engine, unit, vehicle } = rig;
  const forward = useMemo(
    () => demands({ engine: engineModel(engine), unit, vehicle, throttle: 1, grade: 0 }),
    [engine, unit, vehicle],
  );
  const [chosen, setChosen] = useState<string | null>(null);
  // Unasked the highest: it is the kinder one for brakes and driveline, and the one for the road.
  const gear = forward.find((g) => g.range === chosen) ?? forward.at(-1);
  const go = () => {
    const feet = { pedal: [], throttle: [], brake: [], seconds: 2.5, grade: 0 };
    const apply = rig.unit.ranges.find((r) => r.id === gear?.range)?.apply ?? [];
    start(async (signal) => {
      const request = { ...rig, ...feet, apply };
      setRead(
        kind === 'road'
          ? await runRoadSlipTest(request, gear?.ratio ?? 1, signal)
          : await runSlipTest(request, signal),
      );
    });
  };
  const atWheels = ({ ratio }: Demand) =>
    numbers.quantity(Math.round(brakesMustHold(rig.clutch, rig.state, ratio)), 'torque');
  const summary = read?.run.summary;
  return (
    <>
      <section aria-label={t('clutch.tests.before')}>
        <Checkbox.Group
          className="bench-checks"
          value={[...checked]}
          onChange={(list) => setChecked(list)}
          options={checks.map((c) => ({ value: c, label: t(`clutch.tests.checks.${c}`) }))}
        />
        {kind === 'slip' && gear && (
          <p className="row">
            <Select
              aria-label={t('clutch.gear')}
              value={gear.range}
              onChange={setChosen}
              options={forward.map((g) => ({
                value: g.range,
                label: t('clutch.tests.inGear', { gear: g.gear, torque: atWheels(g) }),
              }))}
            />
            <span className="quiet">{t('clutch.tests.highIsKinder')}</span>
          </p>
        )}
        <Button
          type="primary"
          disabled={checked.length < checks.length}
          loading={running}
          onClick={go}
        >
          {t(`clutch.tests.go.${kind}`)}
        </Button>
        {failure !== '' && <p role="alert">{t('clutch.failed', { reason: failure })}</p>}
        <div aria-live="polite">
          {read && summary ? (
            <>
              <p className="shop-reading">{t(`clutch.tests.verdict.${read.verdict}`)}</p>
              <p className="quiet">
                {t('clutch.tests.slipRead', {
                  engine: numbers.quantity(Math.round(Math.max(0, summary.engineRpm)), 'speed'),
                  slip: formatNumber(summary.slipTime, 1),
                })}
              </p>
            </>
          ) : (
            <p className="quiet">{t(`clutch.tests.said.${kind}`)}</p>
          )}
        </div>
      </section>
      {read && <SlipTrace title={t(`clutch.tests.${kind}`)} samples={read.run.samples} />}
    </>
  );
}

/** Engine and disc over the time of the test. */
function SlipTrace({ title, samples }: { title: string; samples: EngagementResult['samples'] }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const time: Measured<EngagementSample> = {
    title: t('launch.time'),
    of: (s) => s.time,
    places: 1,
  };
  const speed = (
    title: string,
    of: (s: EngagementSample) => number,
  ): Measured<EngagementSample> => ({ title, of, quantity: 'speed', places: 0 });
  const engine = speed(t('converter.engine'), (s) => s.engineRpm);
  const disc = speed(t('clutchFields.disc'), (s) => s.discRpm);
  return (
    <CurveSheet
      title={title}
      x={{ title: time.title, min: 0, max: samples.at(-1)!.time }}
      y={{ title: numbers.headed(t('converter.engineSpeed'), 'speed'), min: 0 }}
      curves={[
        {
          label: engine.title,
          ink: '--drives',
          points: lineOf(numbers, samples, time, engine),
        },
        {
          label: disc.title,
          ink: '--driven',
          look: 'dashed',
          points: lineOf(numbers, samples, time, disc),
        },
      ]}
      figures={figuresOf(numbers, samples, [time, engine, disc], 10)}
    />
  );
}
