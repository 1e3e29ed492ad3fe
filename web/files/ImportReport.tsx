import { Alert, Button, Spin } from 'antd';
import { useTranslation } from 'react-i18next';
import type { Importer } from './useImporter';

/** What became of each file. */
export function ImportReport({ importer }: { importer: Importer }) {
  const { t } = useTranslation();
  if (importer.busy)
    return (
      <p className="row import-reading" role="status">
        <Spin size="small" /> {t('import.reading', { file: importer.reading })}
        <Button size="small" onClick={importer.cancel}>
          {t('app.cancel')}
        </Button>
      </p>
    );
  if (importer.report.length === 0) return null;
  const bad = importer.report.filter((line) => !line.good).length;
  return (
    <Alert
      style={{ marginBottom: 18 }}
      type={bad > 0 ? 'error' : 'success'}
      showIcon
      closable={{ closeIcon: true, onClose: importer.dismiss, 'aria-label': t('app.close') }}
      title={bad > 0 ? t('import.someFailed', { count: bad }) : t('import.allIn')}
      description={
        <ul style={{ margin: 0, paddingLeft: 18 }}>
          {importer.report.map((line, k) => (
            <li key={k}>
              <strong>{line.file}</strong>: {line.text}{' '}
              {line.undo && (
                <Button size="small" onClick={() => importer.undo(line)}>
                  {t('app.undo')}
                </Button>
              )}
            </li>
          ))}
        </ul>
      }
    />
  );
}
