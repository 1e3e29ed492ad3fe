import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { useTell } from './useTell';

/** Says that something is deleted, with ten seconds to think better of it. */
export function useUndoNotice(): (key: string, text: string, onUndo: () => void) => void {
  const { t } = useTranslation();
  const tell = useTell();
  return (key, text, onUndo) =>
    tell.info(
      <span>
        {text}{' '}
        <Button size="small" onClick={onUndo}>
          {t('app.undo')}
        </Button>
      </span>,
      { key, seconds: 10 },
    );
}
