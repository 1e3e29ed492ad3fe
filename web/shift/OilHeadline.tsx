import { useTranslation } from 'react-i18next';
import type { Unit } from '../../core/geartrain';
import { lockedHolds, type HydraulicPlan } from '../../core/hydraulics';
import { formatNumber, useNumbers } from '../shared/numbers';
import type { Oil } from './useOil';
import './OilHeadline.css';

interface Props {
  unit: Unit;
  plan: HydraulicPlan;
  oil: Oil;
}

/** Share of its idle speed below which a locked engine dies. */
const DIES = 0.7;

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
  // Through a clutch that holds, the engine turns as the gear has it; idling was assumed.
  const dies =
    locked !== null &&
    locked > 0 &&
    ratio !== undefined &&
    oil.running.outputRpm * ratio < DIES * oil.running.engineRpm;
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
