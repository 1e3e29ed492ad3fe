import { useTranslation } from 'react-i18next';
import type { Part, Work } from '../../core/assembly';
import type { Unit } from '../../core/geartrain';
import { CloseOutlined } from '../shared/icons';
import { partName } from './partName';

interface Props {
  /** What the row is. */
  title: string;
  empty: string;
  unit: Unit | null;
  parts: ReadonlyMap<string, Part>;
  work: Pick<Work, 'off' | 'outOfTurn'>;
}

/** Parts in a row, the last on top: each in the place in which it came off, or went in. */
export function Tray({ title, empty, unit, parts, work }: Props) {
  const { t } = useTranslation();
  return (
    <section className="tray" aria-label={title}>
      <h3 className="label">{title}</h3>
      {work.off.length === 0 ? (
        <p className="quiet">{empty}</p>
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
