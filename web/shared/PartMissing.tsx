import { Button } from 'antd';
import { useEffect, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import './PartMissing.css';

/** gone: the server does not answer · newer: it does, but this part is no longer there, since a new version is */
export interface Missing {
  readonly kind: 'gone' | 'newer';
  readonly reason: string;
}

/** A part is on its way. */
export function Loading() {
  const { t } = useTranslation();
  return <div className="shell-loading" role="progressbar" aria-label={t('app.loading')} />;
}

interface Props extends Missing {
  /** It is all of the screen, or stands somewhere on one. */
  whole: boolean;
  onAgain: () => void;
}

/** A part could not be fetched: why, and the way to try again. */
export function PartMissing({ kind, reason, whole, onAgain }: Props) {
  const { t } = useTranslation();
  const Title = whole ? 'h1' : 'h2';
  useEffect(() => {
    window.addEventListener('online', onAgain);
    return () => window.removeEventListener('online', onAgain);
  }, [onAgain]);
  return (
    <Frame whole={whole}>
      <Title>{t(`missingPart.${kind}.title`)}</Title>
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
    </Frame>
  );
}

function Frame({ whole, children }: { whole: boolean; children: ReactNode }) {
  return whole ? (
    <main className="page" id="main">
      <div role="alert">{children}</div>
    </main>
  ) : (
    <div className="missing-part" role="alert">
      {children}
    </div>
  );
}
