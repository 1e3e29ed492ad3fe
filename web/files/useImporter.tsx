import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { isModel } from '../../core/formats';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { reasonOf } from '../shared/reasonOf';
import { readSettings, settingsChanged } from '../state/settingsSlice';
import { unfolded, type Chosen } from './everything';
import { failureText } from './failureText';
import { openChosenFile } from './openFiles';
import { incomingAttempt, incomingLesson, incomingModel, withPictures } from './incoming';
import { takeIn, type Incoming, type Line } from './takeIn';
import { useAskWhichStays } from './useAskWhichStays';

export interface ImportLine extends Line {
  readonly file: string;
}

export interface Importer {
  readonly busy: boolean;
  /** The file that is being read. */
  readonly reading: string;
  readonly report: readonly ImportLine[];
  readonly open: (files: File[]) => Promise<void>;
  readonly cancel: () => void;
  readonly undo: (line: ImportLine) => void;
  readonly dismiss: () => void;
}

/** Opens documents from files. Nothing that differs is replaced without being asked, and a replacement can be undone. */
export function useImporter(): Importer {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const ask = useAskWhichStays();
  const settings = useAppSelector((state) => state.settings);
  const [busy, setBusy] = useState(false);
  const [reading, setReading] = useState('');
  const [report, setReport] = useState<ImportLine[]>([]);
  const cancelling = useRef(new AbortController());
  // The worker ends with the screen.
  useEffect(() => () => cancelling.current.abort(), []);

  const taking = { services, dispatch, t };
  const inOf = <T,>(incoming: Incoming<T>): Promise<Line> => takeIn(incoming, { ask, word: t });

  async function take({ file, source }: Chosen, signal: AbortSignal): Promise<Line> {
    const opened = await openChosenFile(file, signal);
    if (!opened.ok)
      return {
        good: false,
        text: `${failureText(t, opened.failure)} ${t('import.nothingChanged')}`,
      };
    if (opened.file.kind === 'lesson')
      return inOf(incomingLesson(await withPictures(services, opened.file.pack), taking));
    const { document } = opened.file;
    if (document.format === 'fair-sprocket/attempt')
      return inOf(incomingAttempt(document, source, taking));
    if (isModel(document)) return inOf(incomingModel(document, taking));
    const kind = t(`documentKinds.${document.format}`);
    return { good: false, text: `${t('import.notHere', { kind })} ${t('import.nothingChanged')}` };
  }

  function failed(error: unknown, signal: AbortSignal): string {
    const reason = typeof error === 'string' ? error : reasonOf(error);
    return signal.aborted ? t('import.cancelled') : t('import.failed', { reason });
  }

  async function open(files: File[]): Promise<void> {
    const { signal } = (cancelling.current = new AbortController());
    setBusy(true);
    const lines: ImportLine[] = [];
    const one = async (chosen: Chosen) => {
      const { name } = chosen.file;
      setReading(name);
      try {
        signal.throwIfAborted();
        lines.push({ file: name, ...(await take(chosen, signal)) });
      } catch (error) {
        lines.push({ file: name, good: false, text: failed(error, signal) });
      }
    };
    for (const file of files) {
      try {
        const inside = await unfolded(file, signal);
        if (inside.ok) {
          for (const chosen of inside.files) await one(chosen);
          if (inside.settings !== null)
            dispatch(settingsChanged(readSettings(inside.settings, settings)));
        } else
          lines.push({
            file: file.name,
            good: false,
            text: `${failureText(t, inside.failure)} ${t('import.nothingChanged')}`,
          });
      } catch (error) {
        lines.push({ file: file.name, good: false, text: failed(error, signal) });
      }
    }
    setReport(lines);
    setReading('');
    setBusy(false);
  }

  const undo = (line: ImportLine) => {
    const settled = (text: string, good: boolean) =>
      setReport((now) => now.map((l) => (l === line ? { file: line.file, good, text } : l)));
    line.undo?.().then(
      () => settled(t('import.undone', { title: line.file }), true),
      (error: unknown) => settled(t('import.failed', { reason: String(error) }), false),
    );
  };

  return {
    busy,
    reading,
    report,
    open,
    cancel: () => cancelling.current.abort(),
    undo,
    dismiss: () => setReport([]),
  };
}
