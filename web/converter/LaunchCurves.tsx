import { Select, Slider, Spin } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { useTranslation } from 'react-i18next';
import type { Converter, Engine, StatorFault } from '../../core/converter';
import { chartRows, type Unit } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import type { LaunchResult, Vehicle } from '../../core/vehicle';
import { useAppSelector } from '../app/hooks';
import { reasonOf } from '../app/thunk';
import { formatNumber } from '../shared/numbers';
import { selectUnits } from '../units/unitsSlice';
import { runLaunch } from '../workers/launchWorker';
import { inkOf, lineOptions, registerLines } from './lineOptions';

registerLines();

interface Props {
  converter: Converter;
  engine: Engine;
  vehicle: Vehicle;
  fault: StatorFault | null;
  throttle: number;
}

/** A drag of a slider settles before a launch is run. */
const PAUSE_MS = 120;
const KMH = 3.6;

/** Fifteen seconds from standing: engine, turbine and road speed, gear by gear, and the heat of it. */
export function LaunchCurves({ converter, engine, vehicle, fault, throttle }: Props) {
  const { t } = useTranslation();
  const units = useAppSelector(selectUnits);
  const paper = useAppSelector((state) => state.settings.paper);
  const [unitId, setUnitId] = useState(units.ids[0] ?? '');
  const [grade, setGrade] = useState(0);
  const [result, setResult] = useState<LaunchResult | null>(null);
  const [failure, setFailure] = useState('');
  const unit = units.byId[unitId];
  const gears = useMemo(() => (unit ? forwardGears(unit) : []), [unit]);
  useEffect(() => {
    if (gears.length === 0) return;
    const cancel = new AbortController();
    const timer = setTimeout(() => {
      runLaunch(
        { engine, converter, fault, vehicle, gears, throttle, grade: grade / 100 },
        cancel.signal,
      ).then(
        (launched) => {
          setResult(launched);
          setFailure('');
        },
        (error: unknown) => {
          if (!cancel.signal.aborted) setFailure(reasonOf(error));
        },
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      cancel.abort();
    };
  }, [engine, converter, fault, vehicle, gears, throttle, grade]);
  return (
    <>
      <div className="launch-controls">
        <Select
          aria-label={t('apply.unit')}
          value={unitId}
          onChange={setUnitId}
          style={{ width: 220 }}
          options={units.ids.map((id) => ({ value: id, label: units.byId[id]?.name ?? id }))}
        />
        <span>
          {t('launch.grade')} <strong>{grade} %</strong>
        </span>
        <Slider
          min={0}
          max={30}
          value={grade}
          onChange={setGrade}
          ariaLabelForHandle={t('launch.grade')}
          style={{ width: 160 }}
        />
        {result && <Summary result={result} />}
      </div>
      {failure !== '' && <p role="alert">{t('launch.failed', { reason: failure })}</p>}
      {result ? (
        <div className="curve-box">
          <p className="visually-hidden">{spoken(t, result)}</p>
          <Line
            aria-hidden="true"
            key={paper}
            data={{ datasets: datasetsOf(t, result) }}
            options={lineOptions(
              { title: t('launch.time'), min: 0, max: 15 },
              { title: t('converter.engineSpeed'), min: 0 },
              { title: t('launch.roadSpeed'), min: 0 },
            )}
          />
        </div>
      ) : (
        <Spin />
      )}
    </>
  );
}

/** Ratios of the drive range that goes up furthest, lowest gear first. */
function forwardGears(unit: Unit): number[] {
  const ratios = chartRows(unit).flatMap(({ drive }) => {
    const ratio = drive.ratio ? toNumber(drive.ratio) : 0;
    return ratio > 0 ? [ratio] : [];
  });
  return [...new Set(ratios)].sort((a, b) => b - a);
}

type Translate = ReturnType<typeof useTranslation>['t'];

function datasetsOf(t: Translate, { samples }: LaunchResult) {
  const line = (y: (s: (typeof samples)[number]) => number) =>
    samples.map((s) => ({ x: s.time, y: y(s) }));
  const set = (label: string, colour: string, data: { x: number; y: number }[]) => ({
    label,
    data,
    borderColor: inkOf(colour),
    backgroundColor: inkOf(colour),
  });
  return [
    set(
      t('converter.engine'),
      '--drives',
      line((s) => s.engineRpm),
    ),
    {
      ...set(
        t('converter.turbine'),
        '--driven',
        line((s) => s.turbineRpm),
      ),
      borderDash: [9, 5],
    },
    {
      ...set(
        t('launch.roadSpeed'),
        '--ink',
        line((s) => KMH * s.speed),
      ),
      yAxisID: 'right',
      borderDash: [2, 4],
    },
  ];
}

function Summary({ result }: { result: LaunchResult }) {
  const { t } = useTranslation();
  const last = result.samples.at(-1)!;
  const { heat, work } = result.energy;
  return (
    <span className="quiet">
      {t('launch.summary', {
        speed: formatNumber(KMH * last.speed, 0),
        gear: last.gear,
        heat: formatNumber(heat / 1000, 0),
        share: formatNumber(work > 0 ? (100 * heat) / work : 0, 0),
      })}
    </span>
  );
}

const spoken = (t: Translate, { samples }: LaunchResult): string => {
  const last = samples.at(-1)!;
  return t('launch.shows', {
    engine: formatNumber(last.engineRpm, 0),
    speed: formatNumber(KMH * last.speed, 0),
    gear: last.gear,
  });
};
