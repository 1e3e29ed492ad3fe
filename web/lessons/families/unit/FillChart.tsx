import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { solveUnit, type Range, type ShiftElement, type Unit } from '../../../../core/geartrain';
import { toNumber } from '../../../../core/numerics';
import { applyOf, cellKey, rowsAlike, type FillChartQuestion } from '../../../../core/lesson';
import { ChartGrid, type ChartCell, type ChartColumn } from '../../../apply/ChartGrid';
import { Mark } from '../../../apply/Mark';
import { formatRatio } from '../../../shared/numbers';

interface Props {
  question: FillChartQuestion;
  unit: Unit;
  /** Cells that are on. */
  on: readonly string[];
  /** Left out once the prediction is committed; then the model's rows stand beside the student's. */
  onCell: ((cell: string) => void) | undefined;
  shown: string | null;
  onRange: ((range: string) => void) | undefined;
}

/** The chart a student fills in. After the commit each row says whether it does what the unit's row does. */
export function FillChart({ question, unit, on, onCell, shown, onRange }: Props) {
  const { t } = useTranslation();
  const ranges = unit.ranges.filter((r) => question.ranges.includes(r.id));
  const judged = useMemo(
    () =>
      new Map(
        unit.ranges.map((r) => [r.id, rowsAlike(unit, applyOf(unit, r.id, on), r.apply)] as const),
      ),
    [unit, on],
  );
  const open = onCell !== undefined;
  const cellOf = (range: Range, element: ShiftElement): ChartCell => {
    const cell = cellKey(range.id, element.id);
    const given = question.given.includes(cell);
    const filled = on.includes(cell);
    const state = filled ? 'applied' : 'open';
    const oneWay = element.kind === 'one-way';
    const differs =
      !open && !oneWay && !judged.get(range.id) && filled !== range.apply.includes(element.id);
    return {
      content: <Mark state={state} kind={element.kind} />,
      words: t(given ? 'fill.given' : `elementStates.${state}`),
      on: filled,
      onToggle: open && !given && !oneWay ? () => onCell(cell) : undefined,
      mark: differs ? 'wrong' : given ? 'given' : undefined,
    };
  };
  const after: ChartColumn[] = open
    ? []
    : [
        {
          key: 'yours',
          title: t('fill.yours'),
          cell: (range) => outcomeText(t, unit, applyOf(unit, range.id, on)),
        },
        {
          key: 'model',
          title: t('fill.model'),
          cell: (range) => (
            <>
              <strong>
                {range.apply.length === 0 ? t('apply.nothingOn') : range.apply.join(' ')}
              </strong>{' '}
              {outcomeText(t, unit, range.apply)}
            </>
          ),
        },
      ];
  return (
    <div className="fill-chart" tabIndex={0} role="region" aria-label={t('fill.chart')}>
      <ChartGrid
        label={t('fill.chart')}
        ranges={ranges}
        elements={unit.elements}
        cellOf={cellOf}
        after={after}
        isCurrent={(range) => range.id === shown}
        onRange={onRange && ((range) => onRange(range.id))}
      />
    </div>
  );
}

function outcomeText(
  t: ReturnType<typeof useTranslation>['t'],
  unit: Unit,
  apply: readonly string[],
): string {
  const { ratio, outcome } = solveUnit(unit, apply);
  return ratio ? formatRatio(toNumber(ratio)) : t(`outcomes.${outcome}`);
}
