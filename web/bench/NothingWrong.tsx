import { useTranslation } from 'react-i18next';
import { CheckOutlined } from '../shared/icons';

/** The model as it stands is sound. */
export function NothingWrong() {
  const { t } = useTranslation();
  return (
    <p className="unit-sound" role="status">
      <CheckOutlined /> {t('unitFindings.none')}
    </p>
  );
}
