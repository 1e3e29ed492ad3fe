import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { faultKey, rangesBySplit, type SymptomCell, type SymptomRow } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { gearName } from '../shared/unitNames';
import { cellText, faultText, shortTarget } from './faultWords';

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

/** Up to so many rows everything stands open. */
const FEW = 12;

function Cell({ cell }: { cell: SymptomCell }) {
  const { t } = useTranslation();
  return (
    <td data-drive={cell.drive} data-coast={noticed(cell) ? 'noticed' : 'right'}>
      {cell.drive === 'right' && !noticed(cell) ? (
        <span aria-label={t('faults.words.right')}>·</span>
      ) : (
        cellText(t, cell).replace(' %', '\u00a0%')
      )}
    </td>
  );
}

/** Faults down, ranges across, each cell told by word and by tone; what looks alike is folded, and opened on demand. */
export function AtlasTable({ unit, groups, chosen, onChosen }: Props) {
  const { t } = useTranslation();
  const [opened, setOpened] = useState<readonly string[]>([]);
  const rowCount = groups.reduce((sum, g) => sum + g.length, 0);
  const [best] = rangesBySplit(groups.flat());
  /** "C1, P1, P2": the parts of a fold, each once. */
  const partsOf = (group: readonly SymptomRow[]) =>
    [...new Set(group.flatMap((r) => r.faults.map((f) => shortTarget(t, unit, f.target))))].join(
      ', ',
    );
  return (
    <div className="atlas-scroll" tabIndex={0} role="region" aria-label={t('atlas.table')}>
      <table className="plain atlas-table">
        <thead>
          <tr>
            <th scope="col">{t('atlas.fault')}</th>
            {unit.ranges.map((r) => (
              <th key={r.id} scope="col">
                {gearName(r)}
                {r.id === best && rowCount > FEW && (
                  <span className="atlas-best">{t('atlas.splitsBest')}</span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        {groups.map((group) => {
          const own = faultKey(group[0]!.faults);
          const folds = group.length > 1;
          const open = folds && (opened.includes(own) || rowCount <= FEW);
          return (
            <tbody key={own} data-alike={folds}>
              {folds && (
                <tr className="atlas-fold">
                  <th scope="row">
                    <button
                      type="button"
                      className="atlas-fault"
                      aria-expanded={open}
                      onClick={() =>
                        setOpened(open ? opened.filter((k) => k !== own) : [...opened, own])
                      }
                    >
                      <span aria-hidden="true">{open ? '▾' : '▸'}</span>{' '}
                      {t('atlas.alikes', { count: group.length, parts: partsOf(group) })}
                    </button>
                  </th>
                  {group[0]!.cells.map((cell) => (
                    <Cell key={cell.range} cell={cell} />
                  ))}
                </tr>
              )}
              {(!folds || open) &&
                group.map((row) => {
                  const key = faultKey(row.faults);
                  return (
                    <tr
                      key={key}
                      aria-current={key === chosen ? 'true' : undefined}
                      data-in={folds}
                    >
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
                      {folds ? (
                        <td colSpan={row.cells.length} className="quiet">
                          {t('atlas.asAbove')}
                        </td>
                      ) : (
                        row.cells.map((cell) => <Cell key={cell.range} cell={cell} />)
                      )}
                    </tr>
                  );
                })}
            </tbody>
          );
        })}
      </table>
    </div>
  );
}
