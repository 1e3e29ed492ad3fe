import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { shelfOf } from './modelPlaces';

interface Props {
  /** The unit that the address names; `undefined` where it names none and the shelf is empty. */
  asked: string | undefined;
}

/** What a bench says that has no unit to show, and where there are some. */
export function NoUnit({ asked }: Props) {
  const { t } = useTranslation();
  return (
    <p className="library-empty">
      {asked === undefined ? t('noUnit.empty') : t('noUnit.unknown', { unit: asked })}{' '}
      <Link to={shelfOf('fair-sprocket/unit')}>{t('nav.models')}</Link>
    </p>
  );
}
