import { useTranslation } from 'react-i18next';
import { formatShare } from '../shared/numbers';
import './Desk.css';

/** A case being laid out: every fault that this machine can have is tried first. */
export function Opening({ done, of }: { done: number; of: number }) {
  const { t } = useTranslation();
  const all = Math.max(1, of);
  return (
    <div className="desk-opening">
      <p>{t('desk.opening')}</p>
      <progress aria-label={t('desk.opening')} value={done} max={all} />
      <p>{formatShare(done / all)}</p>
    </div>
  );
}
