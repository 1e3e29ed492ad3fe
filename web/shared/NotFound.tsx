import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';

export function NotFound() {
  const { t } = useTranslation();
  return (
    <main className="page" id="main">
      <h1>{t('errors.notFound')}</h1>
      <p style={{ marginTop: 12 }}>
        <Link to="/">{t('errors.home')}</Link>
      </p>
    </main>
  );
}
