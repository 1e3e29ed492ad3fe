import { App, Button } from 'antd';
import { useTranslation } from 'react-i18next';

/** Says that something is deleted, with ten seconds to think better of it. */
export function useUndoNotice(): (key: string, text: string, onUndo: () => void) => void {
  const { t } = useTranslation();
  const { message } = App.useApp();
  return (key, text, onUndo) => {
    message.open({
      key,
      type: 'info',
      duration: 10,
      content: (
        <span>
          {text}{' '}
          <Button
            size="small"
            onClick={() => {
              onUndo();
              message.destroy(key);
            }}
          >
            {t('app.undo')}
          </Button>
        </span>
      ),
    });
  };
}
