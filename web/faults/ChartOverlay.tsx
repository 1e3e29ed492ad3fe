import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  changedRanges,
  chartReason,
  worksIn,
  type ChartReason,
  type Reading,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { gearName, rangeName } from '../shared/unitNames';

interface Props {
  unit: Unit;
  readings: readonly Reading[];
  /** Says what the ranges leave to suspect; else only which are bad. */
  reasoned: boolean;
}

/** The apply chart with what was driven laid over it: bad and good ranges, and what they leave to suspect. */
export function ChartOverlay({ unit, readings, reasoned }: Props) {
  const { t } = useTranslation();
  const driven = new Map(
    readings
      .filter((r) => r.check.kind === 'road')
      .map((r) => [r.check.target, r.answer.word] as const),
  );
  const works = useMemo(() => new Map(unit.ranges.map((r) => [r.id, worksIn(unit, r.id)])), [unit]);
  const changed = useMemo(() => changedRanges(unit), [unit]);
  const reason = chartReason(unit, driven, changed);
  const stateOf = (id: string) =>
    !reasoned
      ? 'none'
      : reason.left.includes(id)
        ? 'left'
        : reason.cleared.includes(id)
          ? 'cleared'
          : 'none';
  const rangeState = (id: string) => {
    const does = driven.get(id);
    return does === undefined ? 'none' : does === 'right' ? 'good' : 'bad';
  };
  return (
    <div className="overlay" role="region" aria-label={t('desk.chart')} tabIndex={0}>
      {reasoned && reason.bad.length > 0 && <Reasoned unit={unit} reason={reason} />}
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">{t('desk.element')}</th>
            {unit.ranges.map((r) => (
              <th key={r.id} scope="col" data-range={rangeState(r.id)}>
                {gearName(r)}
                {driven.has(r.id) && (
                  <span className="overlay-said">
                    {t(driven.get(r.id) === 'right' ? 'desk.good' : 'desk.bad')}
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {unit.elements.map((e) => (
            <tr key={e.id} data-state={stateOf(e.id)}>
              <th scope="row">
                {e.id}
                {stateOf(e.id) !== 'none' && (
                  <span className="overlay-said">
                    {t(stateOf(e.id) === 'left' ? 'desk.suspect' : 'desk.cleared')}
                  </span>
                )}
              </th>
              {unit.ranges.map((r) => (
                <td key={r.id} data-range={rangeState(r.id)}>
                  {works.get(r.id)!.includes(e.id) ? (
                    <span className="overlay-on" aria-label={t('desk.works')} role="img" />
                  ) : null}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The expert's reasoning in words: what every bad range needs, and what the good ones clear. */
function Reasoned({ unit, reason }: { unit: Unit; reason: ChartReason }) {
  const { t } = useTranslation();
  const list = (ids: readonly string[]) => (ids.length > 0 ? ids.join(', ') : t('desk.nothing'));
  const ranges = (ids: readonly string[]) => ids.map((id) => rangeName(unit, id)).join(', ');
  return (
    <p className="overlay-reason" aria-live="polite">
      {t('desk.reasonBad', { bad: ranges(reason.bad), all: list(reason.inAllBad) })}{' '}
      {reason.good.length > 0 &&
        t('desk.reasonGood', { good: ranges(reason.good), cleared: list(reason.cleared) })}{' '}
      <strong>{t('desk.reasonLeft', { left: list(reason.left) })}</strong>{' '}
      {reason.alwaysOn.length > 0 && t('desk.reasonStuck', { on: reason.alwaysOn.join(', ') })}
    </p>
  );
}
