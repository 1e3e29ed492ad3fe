import { useTranslation } from 'react-i18next';
import { COUNTED_WEAR, type OilShiftResult } from '../../core/hydraulics';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { headOf } from '../bench/curves/figures';
import { formatNumber, formatShare, useNumbers } from '../shared/numbers';
import { shiftFigures, sideOf, type ShiftSide, type TwoRuns } from './shiftSides';
import './ShiftRun.css';

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
          kelvin: numbers.fixed(h.kelvin, 'temperature-rise', 1),
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
            <th scope="row">
              {t(`oil.shift.columns.${word}`, {
                length: numbers.fixed(1000 * COUNTED_WEAR, 'length', { si: 1, 'inch-pound': 3 }),
              })}
            </th>
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

interface TracesProps extends TwoRuns {
  side: ShiftSide;
}

export function Traces({ now, before, side }: TracesProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const drawn = sideOf(side, { now, before }, t, numbers);
  return (
    <CurveSheet
      title={t('oil.views.shift')}
      x={{
        title: t('launch.time'),
        min: 0,
        max: Math.round(10 * (now.run.samples.at(-1)?.time ?? 1)) / 10,
      }}
      y={{ title: headOf(numbers, drawn) }}
      curves={drawn.curves}
      spoken={t('oil.shift.spoken', { felt: t(`oil.quality.${now.quality}`) })}
      figures={shiftFigures(drawn, t, numbers)}
    />
  );
}
