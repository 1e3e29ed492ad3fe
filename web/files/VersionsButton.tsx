import dayjs from 'dayjs';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import type { Model } from '../../core/formats';
import type { Lesson } from '../../core/lesson';
import type { Past } from '../storage/records';
import { useServices } from '../state/hooks';
import './Versions.css';

interface Props<T extends Lesson | Model> {
  document: T;
  /** What a version is told by. */
  factsOf: (version: T) => string;
  onBring: (version: T) => void;
}

/** Earlier versions of a document: looked at, and brought back in the place of what is there now. */
export function VersionsButton<T extends Lesson | Model>({ document, factsOf, onBring }: Props<T>) {
  const { t } = useTranslation();
  const tell = useTell();
  const { documents } = useServices();
  const [versions, setVersions] = useState<readonly Past<T>[] | null>(null);
  const failed = () => tell.error(t('versions.failed'));
  const open = () =>
    void documents
      .history(document.format, document.id)
      .then((past) => setVersions(past as unknown as Past<T>[]), failed);
  const bring = async (version: T) => {
    await documents.setAside(document);
    onBring(version);
    setVersions(null);
  };
  return (
    <>
      <Button onClick={open}>{t('versions.open')}</Button>
      <Modal
        open={versions !== null}
        title={t('versions.title')}
        footer={null}
        onCancel={() => setVersions(null)}
      >
        <p className="quiet">{t('versions.how')}</p>
        {versions?.length === 0 && <p>{t('versions.none')}</p>}
        <ul className="plain-versions">
          {versions?.map(({ at, document: version }) => (
            <li key={at}>
              <strong>{dayjs(at).format('YYYY-MM-DD HH:mm')}</strong>
              <p>{factsOf(version)}</p>
              <Button size="small" onClick={() => void bring(version).catch(failed)}>
                {t('versions.bring')}
              </Button>
            </li>
          ))}
        </ul>
      </Modal>
    </>
  );
}
