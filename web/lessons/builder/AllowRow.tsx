import { Checkbox } from 'antd';
import { useTranslation } from 'react-i18next';

interface Props<K extends string> {
  allow: Readonly<Record<K, boolean>>;
  /** In the order in which they are shown. */
  of: readonly K[];
  name: (key: K) => string;
  onAllow: (change: Partial<Record<K, boolean>>) => void;
}

/** What the student may do on a bench in a lesson. */
export function AllowRow<K extends string>({ allow, of, name, onAllow }: Props<K>) {
  const { t } = useTranslation();
  return (
    <div className="row">
      <span className="label">{t('builder.studentMay')}</span>
      {of.map((key) => (
        <Checkbox
          key={key}
          checked={allow[key]}
          onChange={(e) => onAllow({ [key]: e.target.checked } as Partial<Record<K, boolean>>)}
        >
          {name(key)}
        </Checkbox>
      ))}
    </div>
  );
}
