import { useTranslation } from 'react-i18next';
import { COUNTED_WEAR, FILL_STEP, type OilShiftResult } from '../../core/hydraulics';
import { CurveSheet, type Curve } from '../bench/curves/CurveSheet';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import type { SIDES } from './shiftSides';
import './ShiftRun.css';

interface TwoRuns {
  now: OilShiftResult;
  before: OilShiftResult | null;
}

type RunName = 'now' | 'before' | 'found' | 'drawn' | 'example' | 'soft' | 'firm';
interface RunNames {
  readonly now: RunName;
  readonly before: RunName;
}

/** How it is felt, and what it costs, now and before. */
export function Verdicts({
  now,
  before,
  names = { now: 'now', before: 'before' },
}: TwoRuns & { names?: RunNames }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const runs = [
    { name: names.now, run: now },
    ...(before ? [{ name: names.before, run: before }] : []),
  ];
  const heat = ({ heats }: OilShiftResult) =>
    heats
      .filter((h) => h.joules >= LEAST_JOULES)
      .map((h) =>
        t('oil.shift.heatOf', {
          element: h.element,
          energy: numbers.quantity(h.joules / 1000, 'energy'),
          kelvin: formatNumber(h.kelvin, 1),
        }),
      )
      .join(', ') || '–';
  const wear = ({ heats }: OilShiftResult) =>
    heats
      .filter((h) => h.joules >= LEAST_JOULES)
      .map((h) =>
        t('oil.shift.wearOf', {
          element: h.element,
          shifts: formatNumber(Number((COUNTED_WEAR / h.wear).toPrecision(2)), 0),
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
        t('oil.shift.jerkOf', { jerk: formatNumber(r.run.summary.jerk, 1) }),
    },
    { word: 'heat', of: heat },
    { word: 'wear', of: wear },
  ] as const;
  return (
    <table className="plain shift-verdicts">
      <thead>
        <tr>
          <td />
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

/** J below which a clutch only dragged. */
const LEAST_JOULES = 5;

const ELEMENT_INKS = ['--drives', '--driven', '--held', '--idle'] as const;

export function Traces({ now, before, side }: TwoRuns & { side: (typeof SIDES)[number] }) {
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
      x={{
        title: t('launch.time'),
        min: 0,
        max: Math.round(10 * (now.run.samples.at(-1)?.time ?? 1)) / 10,
      }}
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
