import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { CloseOutlined } from './icons';
import { useTell } from './useTell';

/** Says that something is deleted, with ten seconds to think better of it. */
export function useUndoNotice(): (key: string, text: string, onUndo: () => void) => void {
  const { t } = useTranslation();
  const tell = useTell();
  return (key, text, onUndo) =>
    tell.info(
      (away) => (
        <span>
          {text}{' '}
          <Button
            size="small"
            onClick={() => {
              onUndo();
              away();
            }}
          >
            {t('app.undo')}
          </Button>{' '}
          <Button
            size="small"
            type="text"
            icon={<CloseOutlined />}
            aria-label={t('app.close')}
            onClick={away}
          />
        </span>
      ),
      { key, seconds: 10, pressed: 'stays' },
    );
}
