import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { combinations, ratioGroups, type Outcome, type Unit } from '../../../core/geartrain';
import { formatRatio } from '../../shared/numbers';
import { sameElements } from '../applySlice';
import { ToothSearchDialog } from './ToothSearchDialog';

interface Props {
  unit: Unit;
  applied: readonly string[];
  onApply: (ids: string[]) => void;
}

const OUTCOMES: readonly Outcome[] = ['drives', 'neutral', 'tied-up', 'output-held', 'input-held'];

/** What else this gear train could do: every combination of its elements, and other teeth for it. */
export function ElsePanel({ unit, applied, onApply }: Props) {
  const { t } = useTranslation();
  const [searching, setSearching] = useState(false);
  const all = useMemo(() => combinations(unit), [unit]);
  const groups = useMemo(() => ratioGroups(all), [all]);
  const counts = OUTCOMES.map((o) => [o, all.filter((c) => c.outcome === o).length] as const);
  const inChart = (way: readonly string[]) => unit.ranges.some((r) => sameElements(r.apply, way));
  return (
    <>
      <p>
        {t('apply.combined', { count: all.length })}{' '}
        {counts
          .filter(([, n]) => n > 0)
          .map(([o, n]) => `${n} ${t(`outcomes.${o}`)}`)
          .join(', ')}
        .
      </p>
      <table className="plain apply-elements">
        <caption className="visually-hidden">{t('apply.whatElse')}</caption>
        <thead>
          <tr>
            <th scope="col" className="num">
              {t('bench.ratio')}
            </th>
            <th scope="col">{t('apply.withThese')}</th>
            <th scope="col">{t('apply.inChart')}</th>
          </tr>
        </thead>
        <tbody>
          {groups.map(({ ratio, ways }) => (
            <tr key={ratio}>
              <td className="num">
                <strong>{formatRatio(ratio)}</strong>
              </td>
              <td>
                {ways.slice(0, MOST_WAYS).map((way) => (
                  <Button
                    key={way.join()}
                    size="small"
                    type={sameElements(way, applied) ? 'primary' : 'default'}
                    aria-pressed={sameElements(way, applied)}
                    onClick={() => onApply([...way])}
                    className="else-way"
                  >
                    {way.length === 0 ? t('apply.nothingOn') : way.join(' ')}
                  </Button>
                ))}
                {ways.length > MOST_WAYS && (
                  <span className="quiet">
                    {t('apply.more', { count: ways.length - MOST_WAYS })}
                  </span>
                )}
              </td>
              <td>{ways.some(inChart) ? t('apply.yes') : '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button onClick={() => setSearching(true)}>{t('search.open')}</Button>
      {searching && <ToothSearchDialog unit={unit} onClose={() => setSearching(false)} />}
    </>
  );
}

const MOST_WAYS = 4;
