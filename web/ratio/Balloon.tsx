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
  children?: ReactNode;
}

/** A numbered balloon of the drawing: names a part, says its role, and carries its controls. */
export function Balloon({ number, port, detail, role, state, selected, corner, children }: Props) {
  const { t } = useTranslation();
  return (
    <div className={`balloon balloon-${corner}`}>
      <span className="balloon-mark" data-mark={port} data-selected={selected} aria-hidden="true">
        {number}
      </span>
      <div>
        <div className="balloon-name">
          {t(`parts.${port}`)} <span className="quiet">{detail}</span>
        </div>
        {role && (
          <div className={`balloon-state role-${paintOf(role)}`}>
            <span className="balloon-role">{t(`roles.${role}`)}</span> {state}
          </div>
        )}
        {children}
      </div>
    </div>
  );
}
