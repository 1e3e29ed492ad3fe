import { App, Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { CloseOutlined } from './icons';

/** Says that something is deleted, with ten seconds to think better of it. A press beside the offer does not lose it. */
export function useUndoNotice(): (key: string, text: string, onUndo: () => void) => void {
  const { t } = useTranslation();
  const { message } = App.useApp();
  return (key, text, onUndo) => {
    const away = () => message.destroy(key);
    const undo = () => {
      onUndo();
      away();
    };
    message.open({
      key,
      type: 'info',
      duration: 10,
      content: (
        <span className="row">
          <span>{text}</span>
          <Button size="small" onClick={undo}>
            {t('app.undo')}
          </Button>
          <Button
            size="small"
            type="text"
            icon={<CloseOutlined />}
            aria-label={t('app.close')}
            onClick={away}
          />
        </span>
      ),
    });
  };
}
