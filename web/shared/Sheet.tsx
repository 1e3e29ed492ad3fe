import type { ReactNode } from 'react';
import './Sheet.css';

const COLUMNS = ['1', '2', '3', '4', '5', '6'];
const ROWS = ['A', 'B', 'C', 'D'];

interface Props {
  label: string;
  /** On a phone it is as high as what stands on it. */
  grows?: boolean;
  children: ReactNode;
}

/** A drawing sheet: frame with zone marks. What is drawn fills it. */
export function Sheet({ label, grows = false, children }: Props) {
  return (
    <section className="sheet" role="group" aria-label={label} data-grows={grows}>
      <div className="sheet-zones sheet-zones-top" aria-hidden="true">
        {COLUMNS.map((mark) => (
          <span key={mark}>{mark}</span>
        ))}
      </div>
      <div className="sheet-zones sheet-zones-side" aria-hidden="true">
        {ROWS.map((mark) => (
          <span key={mark}>{mark}</span>
        ))}
      </div>
      <div className="sheet-field">{children}</div>
    </section>
  );
}

/** Rows of the title block in a sheet's lower right corner. */
export function TitleBlock({ rows }: { rows: readonly (readonly [string, ReactNode])[] }) {
  return (
    <dl className="title-block">
      {rows.map(([name, value]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}
