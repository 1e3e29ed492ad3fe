import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useTell } from '../shared/useTell';
import { DownloadOutlined } from '../shared/icons';
import { reasonOf } from '../shared/reasonOf';
import { useAppSelector, useServices } from '../state/hooks';
import { selectAttempts } from '../state/attemptsSlice';
import { selectLibrary } from '../state/librarySlice';
import { isDue, takeAll, TAKEN_ALONG, type MadeAt } from './everything';

/** Everything in one file; and a word when a month of work was never taken along. */
export function TakeAll() {
  const { t } = useTranslation();
  const tell = useTell();
  const services = useServices();
  const settings = useAppSelector((state) => state.settings);
  const library = useAppSelector(selectLibrary);
  const attempts = useAppSelector(selectAttempts);
  const [busy, setBusy] = useState(false);
  // Not known yet: nothing is said.
  const [taken, setTaken] = useState<string | null | undefined>(undefined);
  useEffect(() => {
    let over = false;
    services.documents.readSetting(TAKEN_ALONG).then(
      (value) => !over && setTaken(typeof value === 'string' ? value : null),
      () => undefined,
    );
    return () => {
      over = true;
    };
  }, [services]);
  const made: MadeAt[] = [
    ...Object.values(library.byId).map((r) => ({
      own: r.origin !== 'demo' || r.changed,
      at: r.revision,
    })),
    ...Object.values(attempts).map((r) => ({
      own: r.source !== 'demo',
      at: Date.parse(r.attempt.startedAt),
    })),
  ];
  const due = taken !== undefined && isDue(made, taken, Date.parse(services.now()));
  const take = async () => {
    setBusy(true);
    try {
      const counts = await takeAll(services, settings);
      setTaken(services.now());
      tell.success(t('takeAll.taken', counts));
    } catch (error) {
      tell.error(t('takeAll.failed', { reason: reasonOf(error) }));
    }
    setBusy(false);
  };
  return (
    <>
      <Button icon={<DownloadOutlined />} loading={busy} onClick={() => void take()}>
        {t('takeAll.take')}
      </Button>
      {due && (
        <p role="status" className="take-all-due">
          {t('takeAll.due')}
        </p>
      )}
    </>
  );
}
