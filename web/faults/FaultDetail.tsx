import { useTranslation } from 'react-i18next';
import { cheapestSplit, faultKey, signatureOf, type Candidate } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import type { AtlasTable } from '../workers/protocol';
import { checkText, faultText, severityText } from './faultWords';
import { useNumbers } from '../shared/numbers';

interface Props {
  unit: Unit;
  table: AtlasTable;
  chosen: Candidate;
}

/** A fault, what looks just like it on the road, and the cheapest check that splits each from it. */
export function FaultDetail({ unit, table, chosen }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const alike = table.rows.filter((r) => r !== chosen && signatureOf(r) === signatureOf(chosen));
  const silent = signatureOf(chosen) === signatureOf(table.sound);
  const far = chosen.faults.map((f) => severityText(t, numbers, f)).filter((s) => s !== '');
  return (
    <div className="atlas-detail">
      <strong>{faultText(t, unit, chosen.faults)}</strong>
      {far.length > 0 && <p className="quiet">{far.join(', ')}</p>}
      {silent && <p>{t('atlas.silent')}</p>}
      {alike.length === 0 ? (
        <p>{t('atlas.alone')}</p>
      ) : (
        <>
          <p>{t('atlas.alike')}</p>
          <ul>
            {alike.map((row) => {
              const split = cheapestSplit(table.checks, chosen, row);
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
