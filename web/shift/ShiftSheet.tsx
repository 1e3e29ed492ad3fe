import { Button, Segmented, Select, Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { engineModel } from '../../core/converter';
import { FILL_STEP, learnedFrom, partsOf, type OilShiftResult } from '../../core/hydraulics';
import { CurveSheet, type Curve } from '../bench/curves/CurveSheet';
import { useKept } from '../shared/kept';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import type { OilShiftRequest } from '../workers/protocol';
import { runOilShift } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import type { ShiftBenchProps } from './shiftBenchProps';
import { pairOf } from './shiftPair';

const SIDES = ['pressure', 'torque', 'speed', 'felt'] as const;
/** rev/min of the input, and s, of a shift that is looked at. */
const INPUT_RPM = 1900;
const SECONDS = 1.6;
/** N·m and kg·m² where there is no engine. */
const NO_ENGINE = { torque: () => 200, inertia: 0.2 };

/** One upshift over time: oil, torque, speeds and what is felt, beside an earlier setting. */
export function ShiftSheet(props: ShiftBenchProps) {
  const { unit, engine, vehicle, bench, plan, fault, oil, onBench } = props;
  const { t } = useTranslation();
  const [side, setSide] = useKept<(typeof SIDES)[number]>('ShiftSheet side', 'pressure');
  const { before } = bench;
  const pair = pairOf(unit, plan, oil.gears, bench.gear);
  const setup = useMemo((): Omit<OilShiftRequest, 'plan' | 'faults'> | null => {
    const { forward, mainLever } = oil.gears;
    const [low, high] = [forward[pair.gear - 1], forward[pair.gear]];
    if (!vehicle || !low || !high || mainLever === null) return null;
    const model = engine ? engineModel(engine) : NO_ENGINE;
    return {
      unit,
      vehicle,
      from: { range: low.range.id, gear: pair.gear },
      to: { range: high.range.id, gear: pair.gear + 1 },
      running: {
        lever: mainLever,
        throttle: bench.throttle,
        outputRpm: INPUT_RPM / low.ratio,
        engineRpm: INPUT_RPM,
        celsius: bench.celsius,
      },
      inputNm: Math.max(5, model.torque(INPUT_RPM, bench.throttle)),
      inputInertia: model.inertia,
      inputRpm: INPUT_RPM,
      seconds: SECONDS,
    };
  }, [unit, vehicle, engine, oil.gears, pair.gear, bench.throttle, bench.celsius]);
  const request = useMemo(
    () => setup && { ...setup, plan, faults: fault ? [fault] : [] },
    [setup, plan, fault],
  );
  const earlier = useMemo(
    () =>
      setup && before
        ? { ...setup, plan: before.plan, faults: before.fault ? [before.fault] : [] }
        : null,
    [setup, before],
  );
  const now = useSettledRun(request, runOilShift);
  const was = useSettledRun(earlier, runOilShift);
  const { forward } = oil.gears;
  const control = partsOf(plan, 'control').length > 0;
  return (
    <div className="shift-over-time">
      <div className="row shift-over-time-tools">
        <Select<number>
          aria-label={t('oil.shift.which')}
          value={pair.gear}
          onChange={(gear) => onBench({ gear })}
          options={forward.slice(1).map((_f, k) => ({
            value: k + 1,
            label: t('oil.shift.pair', {
              low: forward[k]!.range.gear,
              high: forward[k + 1]!.range.gear,
            }),
          }))}
        />
        <Segmented
          size="small"
          aria-label={t('oil.shift.side')}
          value={side}
          onChange={setSide}
          options={SIDES.map((s) => ({ value: s, label: t(`oil.shift.sides.${s}`) }))}
        />
        <Button
          size="small"
          onClick={() => onBench({ before: { plan, fault, throttle: bench.throttle } })}
        >
          {t('oil.shift.keepBefore')}
        </Button>
        {before && (
          <Button size="small" onClick={() => onBench({ before: null })}>
            {t('oil.shift.dropBefore')}
          </Button>
        )}
        {control && now.result && (
          <Button size="small" onClick={() => onBench({ plan: learnedFrom(plan, now.result!) })}>
            {t('oil.shift.learn')}
          </Button>
        )}
      </div>
      {!setup ? (
        <p className="quiet">{t('oil.shift.noVehicle')}</p>
      ) : now.failure ? (
        <p role="alert">{now.failure}</p>
      ) : now.result ? (
        <div className="shift-run">
          <Verdicts now={now.result} before={before && was.result} />
          <Traces now={now.result} before={before && was.result} side={side} />
        </div>
      ) : (
        <Spin />
      )}
    </div>
  );
}

interface TwoRuns {
  now: OilShiftResult;
  before: OilShiftResult | null;
}

/** How it is felt, and what it costs, now and before. */
function Verdicts({ now, before }: TwoRuns) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const runs = [
    { name: 'now', run: now },
    ...(before ? [{ name: 'before', run: before } as const] : []),
  ] as const;
  const heat = ({ heats }: OilShiftResult) =>
    heats
      .filter((h) => h.joules >= 1)
      .map((h) =>
        t('oil.shift.heatOf', {
          element: h.element,
          energy: numbers.quantity(h.joules / 1000, 'energy'),
          kelvin: formatNumber(h.kelvin, 0),
        }),
      )
      .join(', ') || '–';
  const rows = [
    { word: 'felt', of: (r: OilShiftResult) => <strong>{t(`oil.quality.${r.quality}`)}</strong> },
    {
      word: 'flare',
      of: (r: OilShiftResult) => t('oil.rpm', { speed: formatNumber(r.run.summary.flareRpm, 0) }),
    },
    { word: 'least', of: (r: OilShiftResult) => formatShare(r.run.summary.dip) },
    {
      word: 'jerk',
      of: (r: OilShiftResult) =>
        t('oil.shift.jerkOf', { jerk: formatNumber(r.run.summary.jerk, 0) }),
    },
    { word: 'heat', of: heat },
  ] as const;
  return (
    <table className="plain shift-verdicts">
      <thead>
        <tr>
          <th scope="col" />
          {runs.map(({ name }) => (
            <th key={name} scope="col">
              {t(`oil.shift.rows.${name}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ word, of }) => (
          <tr key={word}>
            <th scope="row">{t(`oil.shift.columns.${word}`)}</th>
            {runs.map(({ name, run }) => (
              <td key={name}>{of(run)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const ELEMENT_INKS = ['--drives', '--driven', '--held', '--idle'] as const;

function Traces({ now, before, side }: TwoRuns & { side: (typeof SIDES)[number] }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const moving = [...now.coming, ...now.going];
  const row = (values: Float64Array, scale: (v: number) => number) =>
    Array.from({ length: Math.ceil(values.length / EVERY) }, (_v, k) => ({
      x: k * EVERY * FILL_STEP,
      y: scale(values[k * EVERY]!),
    }));
  const kilo = (pascal: number) => numbers.toDisplay(pascal / 1000, 'pressure');
  const after = (run: OilShiftResult) => run.run.samples.filter((s) => s.time > -0.05);
  const sides: Record<(typeof SIDES)[number], { title: string; curves: Curve[] }> = {
    pressure: {
      title: `${t('oil.shift.sides.pressure')}, ${numbers.unit('pressure')}`,
      curves: [
        {
          label: t('oil.lines.line'),
          ink: '--ink',
          look: 'dotted',
          points: row(now.filled.line, kilo),
        },
        ...elementCurves(now, moving, (e) => row(e.pressures, kilo)),
      ],
    },
    torque: {
      title: `${t('oil.shift.sides.torque')}, ${numbers.unit('torque')}`,
      curves: [
        {
          label: t('oil.shift.output'),
          ink: '--ink',
          points: after(now).map((s) => ({
            x: s.time,
            y: numbers.toDisplay(s.outputNm, 'torque'),
          })),
        },
        ...moving.map((id, k): Curve => ({
          label: t('oil.shift.carries', { element: id }),
          ink: ELEMENT_INKS[k % ELEMENT_INKS.length]!,
          look: now.going.includes(id) ? 'dashed' : 'line',
          points: after(now).map((s) => ({
            x: s.time,
            y: numbers.toDisplay(s.torques[id] ?? 0, 'torque'),
          })),
        })),
        ...earlierCurve(before, (s) => numbers.toDisplay(s.outputNm, 'torque')),
      ],
    },
    speed: {
      title: t('oil.shift.sides.speed'),
      curves: [
        {
          label: t('oil.shift.input'),
          ink: '--drives',
          points: after(now).map((s) => ({ x: s.time, y: s.inputRpm })),
        },
        {
          label: t('oil.outputSpeed'),
          ink: '--driven',
          look: 'dashed',
          points: after(now).map((s) => ({ x: s.time, y: s.outputRpm })),
        },
        ...earlierCurve(before, (s) => s.inputRpm),
      ],
    },
    felt: {
      title: t('clutch.acceleration'),
      curves: [
        {
          label: t('clutch.acceleration'),
          ink: '--driven',
          points: after(now).map((s) => ({ x: s.time, y: s.acceleration })),
        },
        ...earlierCurve(before, (s) => s.acceleration),
      ],
    },
  };
  function earlierCurve(
    run: OilShiftResult | null,
    y: (s: OilShiftResult['run']['samples'][number]) => number,
  ): Curve[] {
    if (!run) return [];
    return [
      {
        label: t('oil.shift.rows.before'),
        ink: '--idle',
        look: 'thin',
        points: after(run).map((s) => ({ x: s.time, y: y(s) })),
      },
    ];
  }
  const { title, curves } = sides[side];
  return (
    <CurveSheet
      title={t('oil.views.shift')}
      x={{ title: t('launch.time'), min: 0, max: SECONDS }}
      y={{ title }}
      curves={curves}
      spoken={t('oil.shift.spoken', { felt: t(`oil.quality.${now.quality}`) })}
      figures={{
        titles: [t('launch.time'), ...curves.map((c) => c.label)],
        rows: Array.from({ length: 17 }, (_v, k) => k / 10).map((time) => [
          formatNumber(time, 1),
          ...curves.map((c) => {
            const point = c.points.find((p) => p.x >= time - 1e-9);
            return point ? formatNumber(point.y, Math.abs(point.y) < 10 ? 2 : 0) : '–';
          }),
        ]),
      }}
    />
  );

  function elementCurves(
    run: OilShiftResult,
    ids: readonly string[],
    points: (e: { pressures: Float64Array }) => { x: number; y: number }[],
  ): Curve[] {
    return ids.flatMap((id, k) => {
      const e = run.filled.elements.get(id);
      return e
        ? [
            {
              label: id,
              ink: ELEMENT_INKS[k % ELEMENT_INKS.length]!,
              look: run.going.includes(id) ? ('dashed' as const) : ('line' as const),
              points: points(e),
            },
          ]
        : [];
    });
  }
}
/** Of the steps of filling, one in so many is drawn. */
const EVERY = 8;
