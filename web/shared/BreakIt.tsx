import { Select } from 'antd';
import { useId, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import './BreakIt.css';

interface Props {
  /** Whether something is broken now. */
  broken: boolean;
  children: ReactNode;
}

/** The switch that breaks what stands on a bench: choose a fault and watch. */
export function BreakIt({ broken, children }: Props) {
  const { t } = useTranslation();
  const id = useId();
  return (
    <div className="break-it" data-broken={broken} role="group" aria-labelledby={id}>
      <span className="label" id={id}>
        {t('breakIt.label')}
      </span>
      {children}
    </div>
  );
}

interface ChoiceProps<F extends string> {
  value: F | null;
  of: readonly F[];
  name: (fault: F) => string;
  onValue: (fault: F | null) => void;
}

/** The same with a few faults to choose from. */
export function BreakItChoice<F extends string>({ value, of, name, onValue }: ChoiceProps<F>) {
  const { t } = useTranslation();
  return (
    <BreakIt broken={value !== null}>
      <Select<F | ''>
        aria-label={t('breakIt.label')}
        value={value ?? ''}
        onChange={(v) => onValue(v === '' ? null : v)}
        options={[
          { value: '', label: t('breakIt.sound') },
          ...of.map((f) => ({ value: f, label: name(f) })),
        ]}
      />
    </BreakIt>
  );
}
