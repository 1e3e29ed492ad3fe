import { useTranslation } from 'react-i18next';
import type { Unit } from '../../core/geartrain';
import { formatNumber } from '../shared/numbers';
import type { Oil } from './useOil';
import './OilHeadline.css';

/** The gear that comes of it, and what is on; against the chart where it differs. */
export function OilHeadline({ unit, oil }: { unit: Unit; oil: Oil }) {
  const { t } = useTranslation();
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
      </span>
    </div>
  );
}
