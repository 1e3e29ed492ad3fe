import { useTranslation } from 'react-i18next';
import type { Part, Violation } from '../../core/assembly';
import type { Unit } from '../../core/geartrain';
import { CloseOutlined } from '../shared/icons';
import { partName } from './partName';

interface Props {
  unit: Unit;
  parts: ReadonlyMap<string, Part>;
  order: readonly string[];
  violations: readonly Violation[];
}

/** The tray, the last part on top: each in the place in which it came off. */
export function Tray({ unit, parts, order, violations }: Props) {
  const { t } = useTranslation();
  const broken = new Set(violations.map((v) => v.at));
  return (
    <section className="tray" aria-label={t('stripDown.tray')}>
      <h3 className="label">{t('stripDown.tray')}</h3>
      {order.length === 0 ? (
        <p className="quiet">{t('stripDown.trayEmpty')}</p>
      ) : (
        <ol reversed>
          {order
            .map((id, at) => ({ id, at }))
            .reverse()
            .map(({ id, at }) => (
              <li key={id}>
                {partName(t, unit, parts.get(id)!)}
                {broken.has(at) && <CloseOutlined aria-label={t('stripDown.tooSoon')} />}
              </li>
            ))}
        </ol>
      )}
    </section>
  );
}
