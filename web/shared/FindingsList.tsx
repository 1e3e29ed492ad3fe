import type { ReactNode } from 'react';
import { WarningOutlined } from './icons';
import './FindingsList.css';

/** What is wrong or odd, a line each; nothing when there is none. */
export function FindingsList({ items }: { items: readonly ReactNode[] }) {
  if (items.length === 0) return null;
  return (
    <div className="findings" role="status">
      <WarningOutlined />
      <ul>
        {items.map((item, k) => (
          <li key={k}>{item}</li>
        ))}
      </ul>
    </div>
  );
}
