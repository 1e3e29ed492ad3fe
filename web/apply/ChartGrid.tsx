import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { Range, ShiftElement } from '../../core/geartrain';
import './ChartGrid.css';
import { gearName } from '../shared/unitNames';
import { useNear } from '../shared/useNear';

/** What stands in one cell. */
export interface ChartCell {
  readonly content: ReactNode;
  /** The cell's state in words. */
  readonly words: string;
  readonly on: boolean;
  /** Turns the cell over; left out where it can't be worked. */
  readonly onToggle?: (() => void) | undefined;
  readonly mark?: 'right' | 'wrong' | 'given' | undefined;
}

export interface ChartColumn {
  readonly key: string;
  readonly title: string;
  readonly numeric?: boolean;
  readonly cell: (range: Range) => ReactNode;
}

interface Props {
  label: string;
  ranges: readonly Range[];
  elements: readonly ShiftElement[];
  cellOf: (range: Range, element: ShiftElement) => ChartCell;
  /** Columns after the elements. */
  after?: readonly ChartColumn[];
  isCurrent?: (range: Range) => boolean;
  onRange?: ((range: Range) => void) | undefined;
  /** Replaces lever and gear, for editing them. */
  heading?: ((range: Range) => ReactNode) | undefined;
  /** So many rows that those far from the screen are left undrawn. */
  long?: boolean;
}

/** An apply chart worked by mouse and by keyboard: arrows move between cells, space and enter turn one over. */
export function ChartGrid(props: Props) {
  const { label, ranges, elements, after = [] } = props;
  const { t } = useTranslation();
  const body = useRef<HTMLTableSectionElement>(null);
  const [focus, setFocus] = useState('');
  // The tab key must land on a cell that can be worked: a given one, or a one-way clutch's, can't.
  const reachable = reachableCell(props, focus);
  return (
    <table className="plain apply-chart">
      <caption className="visually-hidden">{label}</caption>
      <thead>
        <tr>
          <th scope="col">{t('apply.lever')}</th>
          <th scope="col">{t('apply.gear')}</th>
          {elements.map((e) => (
            <th key={e.id} scope="col" title={e.name} className="apply-chart-element">
              {e.id}
            </th>
          ))}
          {after.map((c) => (
            <th key={c.key} scope="col" className={c.numeric ? 'num' : undefined}>
              {c.title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody ref={body} onKeyDown={(event) => moveFocus(event, body.current)}>
        {ranges.map((range) => (
          <Row key={range.id} {...props} range={range} reachable={reachable} onFocus={setFocus} />
        ))}
      </tbody>
    </table>
  );
}

const nameOf = (range: Range, element: ShiftElement) => `${range.id} ${element.id}`;

/** The cell that the tab key lands on: the last one that had the focus, else the first that can be worked. */
function reachableCell({ ranges, elements, cellOf }: Props, focus: string): string | undefined {
  const had = ranges.find((r) => focus.startsWith(`${r.id} `));
  const same = had && elements.find((e) => nameOf(had, e) === focus);
  if (same && cellOf(had, same).onToggle) return focus;
  for (const range of ranges)
    for (const element of elements)
      if (cellOf(range, element).onToggle) return nameOf(range, element);
  return undefined;
}

interface RowProps extends Props {
  range: Range;
  reachable: string | undefined;
  onFocus: (name: string) => void;
}

const ROW_HEIGHT = 35;

function Row(props: RowProps) {
  const { range, elements, cellOf, after = [], isCurrent, onRange, heading, reachable } = props;
  const { t } = useTranslation();
  const { ref, near, height } = useNear<HTMLTableRowElement>(props.long ?? false, ROW_HEIGHT);
  if (!near)
    return (
      <tr ref={ref} style={{ height }}>
        <td colSpan={2 + elements.length + after.length}>{gearName(range)}</td>
      </tr>
    );
  return (
    <tr ref={ref} aria-current={isCurrent?.(range)}>
      {heading ? (
        heading(range)
      ) : (
        <RowHeading range={range} onRange={onRange ? () => onRange(range) : undefined} />
      )}
      {elements.map((element) => (
        <Cell
          key={element.id}
          name={nameOf(range, element)}
          label={t('apply.cell', { element: element.id, gear: gearName(range) })}
          cell={cellOf(range, element)}
          reachable={reachable === nameOf(range, element)}
          onFocus={props.onFocus}
        />
      ))}
      {after.map((c) => (
        <td key={c.key} className={c.numeric ? 'num' : undefined}>
          {c.cell(range)}
        </td>
      ))}
    </tr>
  );
}

function RowHeading({ range, onRange }: { range: Range; onRange?: (() => void) | undefined }) {
  const { t } = useTranslation();
  return (
    <>
      <td>{range.lever}</td>
      <td>
        {onRange ? (
          <button type="button" className="row-button" onClick={onRange}>
            {range.gear}
            <span className="visually-hidden"> {t('apply.showRange', { id: range.id })}</span>
          </button>
        ) : (
          range.gear
        )}
      </td>
    </>
  );
}

interface CellProps {
  name: string;
  label: string;
  cell: ChartCell;
  reachable: boolean;
  onFocus: (name: string) => void;
}

function Cell({ name, label, cell, reachable, onFocus }: CellProps) {
  const { content, words, on, onToggle, mark } = cell;
  return (
    <td className="chart-cell" data-mark={mark}>
      {onToggle ? (
        <button
          type="button"
          className="chart-cell-button"
          data-cell={name}
          aria-pressed={on}
          aria-label={`${label}: ${words}`}
          tabIndex={reachable ? 0 : -1}
          onFocus={() => onFocus(name)}
          onClick={onToggle}
        >
          {content}
        </button>
      ) : (
        <span className="chart-cell-still">
          {content}
          <span className="visually-hidden">{words}</span>
        </span>
      )}
    </td>
  );
}

/** Arrow keys go to the next cell that can be worked, in the row or the column. */
function moveFocus(event: KeyboardEvent, body: HTMLTableSectionElement | null): void {
  const step = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[
    event.key
  ];
  const from = (event.target as HTMLElement).closest('td');
  if (!step || !from || !body || !(event.target as HTMLElement).dataset['cell']) return;
  event.preventDefault();
  const rows = [...body.rows];
  let r = rows.indexOf(from.parentElement as HTMLTableRowElement);
  let c = from.cellIndex;
  for (;;) {
    r += step[0]!;
    c += step[1]!;
    const cell = rows[r]?.cells[c];
    if (!cell) return;
    const button = cell.querySelector<HTMLElement>('[data-cell]');
    if (button) {
      button.focus();
      return;
    }
  }
}
