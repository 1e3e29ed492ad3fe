import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Problem } from '../../../core/formats';
import type { Quantity } from '../../../core/quantities';
import { DeleteOutlined, PlusOutlined } from '../../shared/icons';
import { useNumbers } from '../../shared/numbers';
import { NumberField } from '../../shared/NumberField';

export interface Column {
  readonly field: string;
  readonly title: string;
  readonly quantity?: Quantity;
  readonly step?: number;
}

interface Props<R> {
  label: string;
  columns: readonly Column[];
  rows: readonly R[];
  /** Path of the rows in the document, as problems name it. */
  path: string;
  problems: readonly Problem[];
  onRows: (rows: R[], field?: string) => void;
  /** The row that comes after the last. */
  next: (last: R) => R;
}

/** A measured table to type in: a cell with a problem is marked, and said in words under its row. */
export function RowsTable<R extends object>(props: Props<R>) {
  const { label, columns, rows, path, problems, onRows, next } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const at = (k: number, field: string) =>
    problems.filter((p) => p.path === `${path}[${k}].${field}`);
  return (
    <div className="rows-table" tabIndex={0} role="region" aria-label={label}>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">#</th>
            {columns.map(({ field, title, quantity }) => (
              <th key={field} scope="col">
                {title}
                {quantity && <span className="rows-unit"> {numbers.unit(quantity)}</span>}
              </th>
            ))}
            <th scope="col">
              <span className="visually-hidden">{t('rows.remove')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, k) => {
            const found = columns.flatMap((c) => at(k, c.field));
            return (
              <tr key={k} data-faulty={found.length > 0}>
                <th scope="row">{k + 1}</th>
                {columns.map(({ field, title, quantity, step }) => (
                  <td key={field}>
                    <NumberField
                      bare
                      label={t('rows.cell', { title, n: k + 1 })}
                      value={(row as Record<string, number>)[field] ?? 0}
                      {...(quantity ? { quantity } : {})}
                      {...(step === undefined ? {} : { step })}
                      faulty={at(k, field).length > 0}
                      onValue={(value) =>
                        onRows(
                          rows.map((r, j) => (j === k ? { ...r, [field]: value } : r)),
                          `${path} ${k} ${field}`,
                        )
                      }
                    />
                  </td>
                ))}
                <td>
                  <Button
                    type="text"
                    size="small"
                    icon={<DeleteOutlined />}
                    aria-label={t('rows.removeRow', { n: k + 1 })}
                    disabled={rows.length <= 2}
                    onClick={() => onRows(rows.filter((_r, j) => j !== k))}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Button
        icon={<PlusOutlined />}
        size="small"
        onClick={() => onRows([...rows, next(rows.at(-1)!)])}
      >
        {t('rows.add')}
      </Button>
    </div>
  );
}
