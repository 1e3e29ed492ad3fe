import { Progress } from 'antd';
import { useTranslation } from 'react-i18next';
import './Desk.css';

/** A case being laid out: every fault that this machine can have is tried first. */
export function Opening({ done, of }: { done: number; of: number }) {
  const { t } = useTranslation();
  return (
    <div className="desk-opening">
      <p>{t('desk.opening')}</p>
      <Progress
        aria-label={t('desk.opening')}
        percent={Math.round((100 * done) / Math.max(1, of))}
      />
    </div>
  );
}
