import { useTranslation } from 'react-i18next';
import { faultKey, type SymptomCell, type SymptomRow } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { gearName } from '../shared/unitNames';
import { cellText, faultText } from './faultWords';

interface Props {
  unit: Unit;
  /** Rows that look alike stand together. */
  groups: readonly (readonly SymptomRow[])[];
  chosen: string | null;
  onChosen: (key: string | null) => void;
}

/** Drives as it should, and still something is noticed. */
const noticed = ({ drive, coast, heard, goesIn }: SymptomCell): boolean =>
  drive === 'right' && (coast !== 'right' || heard !== 'quiet' || goesIn !== 'clean');

/** Faults down, ranges across; each cell told by word and by tone. */
export function AtlasTable({ unit, groups, chosen, onChosen }: Props) {
  const { t } = useTranslation();
  return (
    <div className="atlas-scroll" tabIndex={0} role="region" aria-label={t('atlas.table')}>
      <table className="plain atlas-table">
        <thead>
          <tr>
            <th scope="col">{t('atlas.fault')}</th>
            {unit.ranges.map((r) => (
              <th key={r.id} scope="col">
                {gearName(r)}
              </th>
            ))}
          </tr>
        </thead>
        {groups.map((group) => (
          <tbody key={faultKey(group[0]!.faults)} data-alike={group.length > 1}>
            {group.map((row) => {
              const key = faultKey(row.faults);
              return (
                <tr key={key} aria-current={key === chosen ? 'true' : undefined}>
                  <th scope="row">
                    <button
                      type="button"
                      className="atlas-fault"
                      aria-pressed={key === chosen}
                      onClick={() => onChosen(key === chosen ? null : key)}
                    >
                      {faultText(t, unit, row.faults)}
                    </button>
                  </th>
                  {row.cells.map((cell) => (
                    <td
                      key={cell.range}
                      data-drive={cell.drive}
                      data-coast={noticed(cell) ? 'noticed' : 'right'}
                    >
                      {cell.drive === 'right' && !noticed(cell) ? (
                        <span aria-label={t('faults.words.right')}>·</span>
                      ) : (
                        cellText(t, cell)
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        ))}
      </table>
    </div>
  );
}
