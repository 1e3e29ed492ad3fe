import { Button, Checkbox, Input } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { LOG_LIMITS, type LogEntry } from '../../core/assembly';
import { FileButton } from '../shared/FileButton';
import type { OnBench } from './onBench';
import { partName } from './partName';
import { smallPhoto } from './photo';
import './Log.css';

interface Props extends OnBench {
  /** What was taken off last. */
  part: string;
}

/** What is written down of a part as it comes off: which way it lay, on which bag it stands, how it looked. */
export function LogForm({ job, parts, work, onWork, part }: Props) {
  const { t } = useTranslation();
  const [note, setNote] = useState('');
  const [doubt, setDoubt] = useState(false);
  const [photo, setPhoto] = useState<string | null>(null);
  const [problem, setProblem] = useState<'too-large' | 'no-picture' | null>(null);
  const choose = async (file: File) => {
    const small = await smallPhoto(file);
    setProblem(small.ok ? null : small.cause);
    if (small.ok) setPhoto(small.url);
  };
  const full = work.log.length >= LOG_LIMITS.entries;
  const write = () => {
    const entry: LogEntry = { part, note: note.trim(), doubt, ...(photo ? { photo } : {}) };
    onWork({ log: [...work.log, entry] });
    setNote('');
    setDoubt(false);
    setPhoto(null);
  };
  const name = partName(t, job.unit ?? null, parts.get(part)!);
  return (
    <section className="job-log" aria-label={t('strip.log.title')}>
      <h3 className="label">{t('strip.log.of', { part: name })}</h3>
      <Input
        aria-label={t('strip.log.note')}
        placeholder={t('strip.log.how')}
        maxLength={LOG_LIMITS.note}
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      {photo && (
        <img className="job-log-photo" src={photo} alt={t('strip.log.photoOf', { part: name })} />
      )}
      {problem && (
        <p className="strip-told" role="alert">
          {t(`strip.log.${problem}`)}
        </p>
      )}
      <div className="row">
        <FileButton accept="image/*" onFiles={([file]) => file && void choose(file)}>
          {t('strip.log.photo')}
        </FileButton>
        <Checkbox checked={doubt} onChange={(e) => setDoubt(e.target.checked)}>
          {t('strip.log.doubt')}
        </Checkbox>
        <Button onClick={write} disabled={full || (note.trim() === '' && !photo)}>
          {t('strip.log.write')}
        </Button>
      </div>
      {full && <p className="quiet">{t('strip.log.full', { most: LOG_LIMITS.entries })}</p>}
    </section>
  );
}

/** What was written down of a part, beside the hand that puts it back. */
export function LogOf({ job, parts, work, part }: Props) {
  const { t } = useTranslation();
  const entries = work.log.filter((e) => e.part === part);
  if (entries.length === 0) return null;
  const name = partName(t, job.unit ?? null, parts.get(part)!);
  return (
    <section className="job-log" aria-label={t('strip.log.title')}>
      <h3 className="label">{t('strip.log.title')}</h3>
      {entries.map((entry, k) => (
        <div key={k}>
          {entry.photo && (
            <img
              className="job-log-photo"
              src={entry.photo}
              alt={t('strip.log.photoOf', { part: name })}
            />
          )}
          <p>
            {entry.note}
            {entry.doubt && <em> ({t('strip.log.doubted')})</em>}
          </p>
        </div>
      ))}
    </section>
  );
}
