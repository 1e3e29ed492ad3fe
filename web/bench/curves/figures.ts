import type { Quantity } from '../../../core/quantities';
import {
  formatNumber,
  formatReading,
  placesIn,
  type Numbers,
  type Places,
} from '../../shared/numbers';
import type { Curve, Figures } from './curve';

/** What is measured in each row: an axis, a curve or a column of figures. */
export interface Measured<Row> {
  /** Without its unit where there is a quantity. */
  readonly title: string;
  /** In the stored unit of its quantity. */
  readonly of: (row: Row) => number;
  readonly quantity?: Quantity;
  /** Digits after the point in the table; three significant ones when left out. */
  readonly places?: Places;
}

interface Worded<Row> {
  readonly title: string;
  readonly text: (row: Row, k: number) => string;
}

type Column<Row> = Measured<Row> | Worded<Row>;

type Titled = Pick<Measured<never>, 'title' | 'quantity'>;

/** Title and unit: a table that is taken away must say in each column what it is in. */
export const headOf = (numbers: Numbers, { title, quantity }: Titled): string =>
  quantity ? numbers.headed(title, quantity) : title;

const shownOf = <Row>(numbers: Numbers, { of, quantity }: Measured<Row>, row: Row): number =>
  quantity ? numbers.toDisplay(of(row), quantity) : of(row);

/** A curve's points in the units that are shown. */
export const lineOf = <Row>(
  numbers: Numbers,
  rows: readonly Row[],
  x: Measured<NoInfer<Row>>,
  y: Measured<NoInfer<Row>>,
): Curve['points'] =>
  rows.map((row) => ({ x: shownOf(numbers, x, row), y: shownOf(numbers, y, row) }));

/**
 * The same figures as the curves.
 * @param every only each so-manieth row, from the first
 */
export function figuresOf<Row>(
  numbers: Numbers,
  rows: readonly Row[],
  columns: readonly Column<NoInfer<Row>>[],
  every = 1,
): Figures {
  const cell = (column: Column<Row>, row: Row, k: number): string => {
    if ('text' in column) return column.text(row, k);
    const shown = shownOf(numbers, column, row);
    return column.places === undefined
      ? formatReading(shown)
      : formatNumber(shown, placesIn(numbers.system, column.places));
  };
  return {
    titles: columns.map((column) => headOf(numbers, column)),
    rows: rows
      .filter((_row, k) => k % every === 0)
      .map((row, k) => columns.map((column) => cell(column, row, k))),
  };
}
