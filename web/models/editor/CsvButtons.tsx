import { Button } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_JSON_BYTES, type TableProblem } from '../../../core/formats';
import { download, fileName } from '../../shared/download';
import { FileButton } from '../../shared/FileButton';
import { TableProblems } from './ModelProblems';

interface Props<R> {
  name: string;
  write: () => string;
  read: (text: string) => R | { readonly ok: false; readonly problems: readonly TableProblem[] };
  onRead: (read: R) => void;
}

/** A table out to a spreadsheet and back in; what can't be read changes nothing. */
export function CsvButtons<R extends { readonly ok: true }>(props: Props<R>) {
  const { name, write, read, onRead } = props;
  const { t } = useTranslation();
  const [problems, setProblems] = useState<readonly TableProblem[]>([]);
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_JSON_BYTES) {
      setProblems([{ code: 'csv-too-large', row: 0, column: '', value: '' }]);
      return;
    }
    const result = read(await file.text());
    setProblems(result.ok ? [] : result.problems);
    if (result.ok) onRead(result);
  };
  return (
    <>
      <div className="row">
        <FileButton accept=".csv,.txt" onFiles={([file]) => void take(file)}>
          {t('rows.csvIn')}
        </FileButton>
        <Button onClick={() => download(fileName(name, 'csv'), write(), 'text/csv')}>
          {t('rows.csvOut')}
        </Button>
      </div>
      <TableProblems problems={problems} />
    </>
  );
}
