import { useTranslation } from 'react-i18next';
import type { Unit } from '../../core/geartrain';
import { draggedDown, lockedHolds, type HydraulicPlan } from '../../core/hydraulics';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { Oil } from './useOil';
import './OilHeadline.css';

interface Props {
  unit: Unit;
  plan: HydraulicPlan;
  oil: Oil;
}

/** The gear that comes of it, and what is on; against the chart where it differs. */
export function OilHeadline({ unit, plan, oil }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { applied } = oil.state;
  const oiled = (ids: readonly string[]) =>
    ids.filter(
      (id) => oil.state.spools && unit.elements.some((e) => e.id === id && e.kind !== 'dog'),
    );
  const is = unit.ranges.find(
    (r) =>
      r.lever === oil.running.lever &&
      oiled(r.apply).length === applied.length &&
      applied.every((id) => r.apply.includes(id)),
  );
  const locked = lockedHolds(plan, oil.state);
  const ratio = is ? oil.gears.forward.find((f) => f.range === is)?.ratio : undefined;
  const dies = draggedDown(locked, ratio, oil.running);
  return (
    <div className="shift-headline" role="status">
      <strong className="figure">{is ? is.gear : '?'}</strong>
      <span>
        {is ? t('oil.isRange', { range: is.id }) : t('oil.noRange')}
        <br />
        <span className="quiet">
          {applied.length > 0 ? t('oil.nowOn', { list: applied.join(', ') }) : t('oil.nothingOn')}
          {' · '}
          {t('oil.engineAt', { speed: formatNumber(oil.running.engineRpm, 0) })}
        </span>
        {locked !== null && (
          <>
            <br />
            <span className={dies ? 'oil-dies' : 'quiet'}>
              {dies
                ? t('oil.lockUp.dies')
                : locked > 0
                  ? t('oil.lockUp.holds', {
                      torque: numbers.quantity(Math.round(locked), 'torque'),
                    })
                  : t('oil.lockUp.open')}
            </span>
          </>
        )}
      </span>
    </div>
  );
}
