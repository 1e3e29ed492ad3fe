import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { TFunction } from 'i18next';
import {
  chartRows,
  spreadOf,
  type ChartRow,
  type Range,
  type ShiftElement,
  type Unit,
} from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import { formatNumber, formatRatio } from '../shared/numbers';
import { ChartGrid, type ChartCell, type ChartColumn } from './ChartGrid';
import { Mark } from './Mark';

interface Props {
  unit: Unit;
  ranges: readonly Range[];
  isCurrent?: (range: Range) => boolean;
  onRange?: ((range: Range) => void) | undefined;
  onCell?: ((range: Range, element: ShiftElement) => void) | undefined;
  heading?: Parameters<typeof ChartGrid>[0]['heading'];
}

const NONE = '–';

/** The apply chart with all that follows from it: ratio, step, engine braking and who holds the reaction. */
export function ApplyChart({ unit, ranges, isCurrent, onRange, onCell, heading }: Props) {
  const { t } = useTranslation();
  const rows = useMemo(() => chartRows(unit, ranges), [unit, ranges]);
  const rowOf = (range: Range): ChartRow => rows[ranges.indexOf(range)]!;
  const spread = spreadOf(rows);
  const cellOf = (range: Range, element: ShiftElement): ChartCell => {
    const state = rowOf(range).drive.elements.get(element.id)?.state ?? 'open';
    const movable = onCell && element.kind !== 'one-way';
    return {
      content: <Mark state={state} kind={element.kind} />,
      words: t(`elementStates.${state}`),
      on: range.apply.includes(element.id),
      onToggle: movable ? () => onCell(range, element) : undefined,
    };
  };
  const after: ChartColumn[] = [
    {
      key: 'ratio',
      title: t('bench.ratio'),
      numeric: true,
      cell: (range) => {
        const { ratio, outcome } = rowOf(range).drive;
        return ratio ? formatRatio(toNumber(ratio)) : t(`outcomes.${outcome}`);
      },
    },
    {
      key: 'step',
      title: t('apply.step'),
      numeric: true,
      cell: (range) => {
        const { step } = rowOf(range);
        return step === null ? NONE : formatNumber(step, 2);
      },
    },
    {
      key: 'braking',
      title: t('apply.braking'),
      cell: (range) => {
        const { braking } = rowOf(range);
        return braking === null ? NONE : t(braking ? 'apply.yes' : 'apply.no');
      },
    },
    // A box of gears and sleeves holds nothing: no empty column.
    ...(ranges.some((r) => rowOf(r).holds.length > 0)
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
      />
      {spread !== null && (
        <p className="apply-spread">
          {t('apply.spread')} <strong className="figure">{formatRatio(spread)}</strong>
          <span className="quiet"> {t('apply.spreadSaid')}</span>
        </p>
      )}
    </>
  );
}

/** "B1 0.44", "B2 shares, F1 shares": who holds and how much, × input torque. */
function holdsText(t: TFunction, { holds }: ChartRow): string {
  if (holds.length === 0) return NONE;
  return holds
    .map(({ element, torque }) =>
      torque === null ? t('apply.sharesIt', { element }) : `${element} ${formatNumber(torque, 2)}`,
    )
    .join(', ');
}
