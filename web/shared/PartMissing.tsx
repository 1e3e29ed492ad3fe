import { Button } from 'antd';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';

/** gone: the server does not answer · newer: it does, but this part is no longer there, since a new version is */
export type Missing = { readonly kind: 'gone' | 'newer'; readonly reason: string };

/** A part is on its way. */
export function Loading() {
  const { t } = useTranslation();
  return <div className="shell-loading" role="progressbar" aria-label={t('app.loading')} />;
}

/** A part could not be fetched: why, and the way to try again. */
export function PartMissing({ kind, reason, onAgain }: Missing & { onAgain: () => void }) {
  const { t } = useTranslation();
  useEffect(() => {
    window.addEventListener('online', onAgain);
    return () => window.removeEventListener('online', onAgain);
  }, [onAgain]);
  return (
    <main className="page" id="main" role="alert">
      <h1>{t(`missingPart.${kind}.title`)}</h1>
      <p style={{ margin: '12px 0' }}>{t(`missingPart.${kind}.detail`)}</p>
      <p className="row">
        <Button type="primary" onClick={onAgain}>
          {t('missingPart.again')}
        </Button>
        {kind === 'newer' && (
          <Button onClick={() => location.reload()}>{t('missingPart.reload')}</Button>
        )}
      </p>
      <details style={{ marginTop: 20 }}>
        <summary>{t('errors.details')}</summary>
        <code>{reason}</code>
      </details>
    </main>
  );
}
