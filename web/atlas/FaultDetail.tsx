import { useTranslation } from 'react-i18next';
import {
  checksOf,
  cheapestSplit,
  faultKey,
  signatureOf,
  type SymptomRow,
  type SymptomTable,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { checkText, faultText } from './faultWords';

interface Props {
  unit: Unit;
  table: SymptomTable;
  chosen: SymptomRow;
}

/** A fault, what looks just like it on the road, and the cheapest check that splits each from it. */
export function FaultDetail({ unit, table, chosen }: Props) {
  const { t } = useTranslation();
  const checks = checksOf(unit);
  const alike = table.rows.filter((r) => r !== chosen && signatureOf(r) === signatureOf(chosen));
  const silent = signatureOf(chosen) === signatureOf(table.sound);
  return (
    <div className="atlas-detail">
      <strong>{faultText(t, unit, chosen.faults)}</strong>
      {silent && <p>{t('atlas.silent')}</p>}
      {alike.length === 0 ? (
        <p>{t('atlas.alone')}</p>
      ) : (
        <>
          <p>{t('atlas.alike')}</p>
          <ul>
            {alike.map((row) => {
              const split = cheapestSplit(checks, chosen, row);
              return (
                <li key={faultKey(row.faults)}>
                  {faultText(t, unit, row.faults)}
                  <span className="quiet">
                    {split ? checkText(t, unit, split) : t('atlas.inseparable')}
                  </span>
                </li>
              );
            })}
          </ul>
        </>
      )}
    </div>
  );
}
