import { useTranslation } from 'react-i18next';
import type { Port, Role } from '../../core/geartrain';
import './RoleStrip.css';

const CHOICES = ['drives', 'driven', 'held'] as const;

interface Props {
  port: Port;
  role: Role | null;
  onRole: (role: Role) => void;
}

/** Three roles to choose from for one part; native radio buttons, so arrow keys work them. */
export function RoleStrip({ port, role, onRole }: Props) {
  const { t } = useTranslation();
  return (
    <div
      className="role-strip"
      role="radiogroup"
      aria-label={t('bench.roleOf', { part: t(`parts.${port}`) })}
    >
      {CHOICES.map((choice) => (
        <label
          key={choice}
          className={`role-choice role-choice-${choice}`}
          data-on={role === choice}
        >
          <input
            type="radio"
            name={`role-${port}`}
            checked={role === choice}
            onChange={() => onRole(choice)}
            data-part={port}
          />
          {t(`roles.${choice}`)}
        </label>
      ))}
    </div>
  );
}
