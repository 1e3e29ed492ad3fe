import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { Port, Role } from '../../core/geartrain';
import { paintOf } from '../bench/paint';
import './Balloon.css';

interface Props {
  number: number;
  port: Port;
  detail: string;
  role: Role | null;
  /** What it does, in words: "1 200 rev/min", "takes 350 N·m". */
  state: string;
  selected: boolean;
  corner: 'top-left' | 'top-right' | 'bottom-left';
  /** What else the sheet shows: how high the rows are on a phone. */
  rows: string;
  children?: ReactNode;
}

/** A numbered balloon of the drawing: names a part, says its role, and carries its controls. */
export function Balloon({
  number,
  port,
  detail,
  role,
  state,
  selected,
  corner,
  rows,
  children,
}: Props) {
  const { t } = useTranslation();
  return (
    <div className={`balloon balloon-${corner}`} data-rows={rows}>
      <span className="balloon-mark" data-mark={port} data-selected={selected} aria-hidden="true">
        {number}
      </span>
      <div>
        <div className="balloon-name">
          {t(`parts.${port}`)}
          <span className="quiet"> {detail}</span>
        </div>
        {role && (
          <div className={`balloon-state role-${paintOf(role)}`}>
            {t(`roles.${role}`)} {state}
          </div>
        )}
        {children}
      </div>
    </div>
  );
}
