import { useTranslation } from 'react-i18next';
import { solveUnit, type Range, type Solution, type Unit } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { formatNumber, formatRatio } from '../shared/numbers';
import { Mark } from './Mark';
import './ApplyChart.css';

interface Props {
  unit: Unit;
  applied: readonly string[];
  onRange: (range: Range) => void;
}

interface Row {
  range: Range;
  drive: Solution;
  braking: boolean | null;
  step: number | null;
}

/** What every range does: computed row by row, with the step to the range before and the most that is held. */
function rowsOf(unit: Unit): Row[] {
  let before: number | null = null;
  return unit.ranges.map((range) => {
    const drive = solveUnit(unit, range.apply);
    const coast = solveUnit(unit, range.apply, 'coast');
    const ratio = drive.ratio && toNumber(drive.ratio);
    const forward = ratio !== null && ratio > 0 ? ratio : null;
    const step = forward !== null && before !== null && before > forward ? before / forward : null;
    if (forward !== null) before = forward;
    const braking = drive.outcome === 'drives' ? coast.outcome === 'drives' : null;
    return { range, drive, braking, step };
  });
}

const NONE = '–';

/** The apply chart: a row a range; choosing a row puts it on the bench. */
export function ApplyChart({ unit, applied, onRange }: Props) {
  const { t } = useTranslation();
  const rows = rowsOf(unit);
  const current = (range: Range) =>
    range.apply.length === applied.length && range.apply.every((id) => applied.includes(id));
  return (
    <div className="apply-chart-scroll">
      <table className="plain apply-chart">
        <caption className="visually-hidden">{t('apply.chart')}</caption>
        <thead>
          <tr>
            <th scope="col">{t('apply.lever')}</th>
            <th scope="col">{t('apply.gear')}</th>
            {unit.elements.map((e) => (
              <th key={e.id} scope="col" title={e.name}>
                {e.id}
              </th>
            ))}
            <th scope="col" className="num">
              {t('bench.ratio')}
            </th>
            <th scope="col" className="num">
              {t('apply.step')}
            </th>
            <th scope="col">{t('apply.braking')}</th>
            <th scope="col" className="num">
              {t('apply.mostHeld')}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ range, drive, braking, step }) => (
            <tr key={range.id} aria-current={current(range)} onClick={() => onRange(range)}>
              <td>{range.lever}</td>
              <td>
                <button
                  type="button"
                  className="row-button"
                  onClick={(event) => {
                    event.stopPropagation();
                    onRange(range);
                  }}
                >
                  {range.gear}
                  <span className="visually-hidden"> {t('apply.showRange', { id: range.id })}</span>
                </button>
              </td>
              {unit.elements.map((e) => {
                const state = drive.elements.get(e.id)?.state ?? 'open';
                return (
                  <td key={e.id}>
                    <Mark state={state} kind={e.kind} />
                    {state !== 'open' && (
                      <span className="visually-hidden">{t(`elementStates.${state}`)}</span>
                    )}
                  </td>
                );
              })}
              <td className="num">
                {drive.ratio ? formatRatio(toNumber(drive.ratio)) : t(`outcomes.${drive.outcome}`)}
              </td>
              <td className="num">{step === null ? NONE : formatNumber(step, 2)}</td>
              <td>{braking === null ? NONE : t(braking ? 'apply.yes' : 'apply.no')}</td>
              <td className="num">{mostHeld(unit, drive)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The largest torque on a brake, band or one-way clutch, × input torque. */
function mostHeld(unit: Unit, solution: Solution): string {
  if (solution.outcome !== 'drives') return NONE;
  const sizes = unit.elements.flatMap(({ id }) => {
    const torque = solution.elements.get(id)?.torque;
    return torque ? [Math.abs(toNumber(torque))] : [];
  });
  const most = Math.max(0, ...sizes);
  return most === 0 ? NONE : formatNumber(most, 2);
}
