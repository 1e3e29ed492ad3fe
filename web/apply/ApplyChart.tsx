import { memo, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { TFunction } from 'i18next';
import {
  spreadOf,
  type ChartRow,
  type Range,
  type ShiftElement,
  type Unit,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { formatNumber, formatRatio } from '../shared/numbers';
import { useChartRows } from '../state/useUnitAnswers';
import { isLarge } from '../workers/unitWorker';
import { sameElements } from './applySlice';
import { ChartGrid, type ChartCell, type ChartColumn } from './ChartGrid';
import { Mark } from './Mark';
import './ApplyChart.css';

interface Props {
  unit: Unit;
  ranges: readonly Range[];
  isCurrent?: (range: Range) => boolean;
  onRange?: ((range: Range) => void) | undefined;
  onCell?: ((range: Range, element: ShiftElement) => void) | undefined;
  heading?: Parameters<typeof ChartGrid>[0]['heading'];
}

const NONE = '–';
const WAITS = '…';

/** The apply chart with all that follows from it: ratio, step, engine braking and who holds the reaction. */
export const ApplyChart = memo(function ApplyChart(props: Props) {
  const { unit, ranges, isCurrent, onRange, onCell, heading } = props;
  const { t } = useTranslation();
  const rows = useChartRows(unit, ranges);
  const byId = useMemo(() => new Map(rows?.map((row) => [row.range.id, row])), [rows]);
  /** What is known of a range: of a large unit it comes later, and a changed row waits for its own. */
  const rowOf = (range: Range): ChartRow | null => {
    const row = byId.get(range.id);
    return row && sameElements(row.range.apply, range.apply) ? row : null;
  };
  const spread = rows && spreadOf(rows);
  const cellOf = (range: Range, element: ShiftElement): ChartCell => {
    const on = range.apply.includes(element.id);
    const state = rowOf(range)?.drive.elements.get(element.id)?.state ?? (on ? 'applied' : 'open');
    const movable = onCell && element.kind !== 'one-way';
    return {
      content: <Mark state={state} kind={element.kind} />,
      words: t(`elementStates.${state}`),
      on,
      onToggle: movable ? () => onCell(range, element) : undefined,
    };
  };
  const after: ChartColumn[] = [
    {
      key: 'ratio',
      title: t('bench.ratio'),
      numeric: true,
      cell: (range) => {
        const row = rowOf(range);
        if (!row) return WAITS;
        const { ratio, outcome } = row.drive;
        return ratio ? formatRatio(toNumber(ratio)) : t(`outcomes.${outcome}`);
      },
    },
    {
      key: 'step',
      title: t('apply.step'),
      numeric: true,
      cell: (range) => {
        const { step = null } = rowOf(range) ?? {};
        return step === null ? NONE : formatNumber(step, 2);
      },
    },
    {
      key: 'braking',
      title: t('apply.braking'),
      cell: (range) => {
        const { braking = null } = rowOf(range) ?? {};
        return braking === null ? NONE : t(braking ? 'apply.yes' : 'apply.no');
      },
    },
    // A box of gears and sleeves holds nothing: no empty column.
    ...(rows?.some((row) => row.holds.length > 0)
      ? [
          {
            key: 'holds',
            title: t('apply.holds'),
            cell: (range: Range) => holdsText(t, rowOf(range)),
          },
        ]
      : []),
  ];
  return (
    <>
      <ChartGrid
        label={t('apply.chart')}
        ranges={ranges}
        elements={unit.elements}
        cellOf={cellOf}
        after={after}
        {...(isCurrent ? { isCurrent } : {})}
        onRange={onRange}
        heading={heading}
        long={isLarge(unit)}
      />
      {spread !== null && (
        <p className="apply-spread">
          {t('apply.spread')} <strong className="figure">{formatRatio(spread)}</strong>
          <span className="quiet"> {t('apply.spreadSaid')}</span>
        </p>
      )}
    </>
  );
});

/** "B1 0.44", "B2 shares, F1 shares": who holds and how much, × input torque. */
function holdsText(t: TFunction, row: ChartRow | null): string {
  const holds = row?.holds ?? [];
  if (holds.length === 0) return NONE;
  return holds
    .map(({ element, torque }) =>
      torque === null ? t('apply.sharesIt', { element }) : `${element} ${formatNumber(torque, 2)}`,
    )
    .join(', ');
}
