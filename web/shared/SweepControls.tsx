import { Button, Progress, Select } from 'antd';
import { useTranslation } from 'react-i18next';
import './SweepControls.css';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onValue: (value: T) => void;
  runLabel: string;
  running: boolean;
  /** Per cent. */
  done: number;
  onRun: () => void;
  onCancel: () => void;
  /** Why the last one failed; empty when it did not. */
  failure: string;
}

/** What is swept, a button that runs it, how far it is, and a button that ends it. */
export function SweepControls<T extends string>(props: Props<T>) {
  const { t } = useTranslation();
  const { label, value, options, onValue, runLabel, running, done, failure } = props;
  return (
    <div className="sweep-controls">
      <Select<T>
        aria-label={label}
        value={value}
        disabled={running}
        onChange={onValue}
        style={{ width: 200 }}
        options={[...options]}
      />
      {running ? (
        <Button onClick={props.onCancel}>{t('sweep.cancel')}</Button>
      ) : (
        <Button type="primary" onClick={props.onRun}>
          {runLabel}
        </Button>
      )}
      {running && <Progress percent={done} aria-label={runLabel} />}
      {failure !== '' && <span role="alert">{failure}</span>}
    </div>
  );
}
