import { Button, Spin } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Outcome, RatioGroup, Unit } from '../../../core/geartrain';
import { formatRatio } from '../../shared/numbers';
import { useNear } from '../../shared/useNear';
import { useCombined } from '../../state/useUnitAnswers';
import { isLarge } from '../../workers/unitWorker';
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
            {groups.slice(0, shown).map((group) => (
              <GroupRow
                key={group.ratio}
                group={group}
                applied={applied}
                onApply={onApply}
                inChart={group.ways.some(inChart)}
                long={isLarge(unit)}
              />
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
/** px */
const ROW_HEIGHT = 41;

interface GroupRowProps {
  group: RatioGroup;
  applied: readonly string[];
  onApply: (ids: string[]) => void;
  /** The unit's chart has one of its ways. */
  inChart: boolean;
  /** The list is so long that what is far from the screen is left undrawn. */
  long: boolean;
}

/** One ratio and the ways to get it. */
function GroupRow({ group, applied, onApply, inChart, long }: GroupRowProps) {
  const { t } = useTranslation();
  const { ref, near, height } = useNear<HTMLTableRowElement>(long, ROW_HEIGHT);
  const { ratio, ways } = group;
  return (
    <tr ref={ref} style={near ? undefined : { height }}>
      <td className="num">
        <strong>{formatRatio(ratio)}</strong>
      </td>
      <td>
        {near &&
          ways.slice(0, MOST_WAYS).map((way) => (
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
          <span className="quiet">{t('apply.more', { count: ways.length - MOST_WAYS })}</span>
        )}
      </td>
      <td>{inChart ? t('apply.yes') : '–'}</td>
    </tr>
  );
}
