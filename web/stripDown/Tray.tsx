import { useTranslation } from 'react-i18next';
import type { Part, Work } from '../../core/assembly';
import type { Unit } from '../../core/geartrain';
import { CloseOutlined } from '../shared/icons';
import { partName } from './partName';

interface Props {
  unit: Unit | null;
  parts: ReadonlyMap<string, Part>;
  work: Work;
}

/** The tray, the last part on top: each in the place in which it came off. */
export function Tray({ unit, parts, work }: Props) {
  const { t } = useTranslation();
  return (
    <section className="tray" aria-label={t('stripDown.tray')}>
      <h3 className="label">{t('stripDown.tray')}</h3>
      {work.off.length === 0 ? (
        <p className="quiet">{t('stripDown.trayEmpty')}</p>
      ) : (
        <ol reversed>
          {work.off
            .map((id, at) => ({ id, at }))
            .reverse()
            .map(({ id, at }) => (
              <li key={id}>
                {partName(t, unit, parts.get(id)!)}
                {work.outOfTurn.has(at) && <CloseOutlined aria-label={t('stripDown.tooSoon')} />}
              </li>
            ))}
        </ol>
      )}
    </section>
  );
}
