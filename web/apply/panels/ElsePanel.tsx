import { Button, Spin } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Outcome, Unit } from '../../../core/geartrain';
import { formatRatio } from '../../shared/numbers';
import { useCombined } from '../../state/useUnitAnswers';
import { sameElements } from '../applySlice';
import { ToothSearchDialog } from './ToothSearchDialog';
import './ElsePanel.css';
import '../../bench/ElementsTable.css';
import { TableScroll } from '../../shared/TableScroll';

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
  const [shown, setShown] = useState(MOST_GROUPS);
  const all = useCombined(unit);
  const inChart = (way: readonly string[]) => unit.ranges.some((r) => sameElements(r.apply, way));
  if (!all) return <Spin />;
  const { count, counts, groups } = all;
  const left = groups.length - shown;
  return (
    <>
      <p>
        {t('apply.combined', { count })}{' '}
        {OUTCOMES.flatMap((o) => (counts[o] ? [`${counts[o]} ${t(`outcomes.${o}`)}`] : [])).join(
          ', ',
        )}
        .
      </p>
      <TableScroll>
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
            {groups.slice(0, shown).map(({ ratio, ways }) => (
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
      </TableScroll>
      {left > 0 && (
        <Button onClick={() => setShown(shown + MOST_GROUPS)}>
          {t('apply.showMore', { count: Math.min(left, MOST_GROUPS) })}
        </Button>
      )}
      <Button onClick={() => setSearching(true)}>{t('search.open')}</Button>
      {searching && <ToothSearchDialog unit={unit} onClose={() => setSearching(false)} />}
    </>
  );
}

const MOST_WAYS = 4;
/** Ratios shown at once. */
const MOST_GROUPS = 40;
