import { Alert, Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { takeNewVersion } from './newVersion';

/** Asks before a new build takes the place of the one that is open. */
export function NewVersionNotice() {
  const { t } = useTranslation();
  return (
    <Alert
      type="info"
      showIcon
      banner
      closable
      title={t('newVersion.ready')}
      description={
        <span className="row">
          {t('newVersion.detail')}
          <Button size="small" onClick={takeNewVersion}>
            {t('newVersion.take')}
          </Button>
        </span>
      }
    />
  );
}
