import { Button } from 'antd';
import { useContext, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Unexplained } from './unexplained';
import './WorkItOut.css';

interface Props {
  lines: number;
  /** @param parted the line that a student did not get, from 0; `null` while none is named */
  children: (parted: number | null) => ReactNode;
}

/** The lines that lead to an answer, once they are asked for; at once where nothing else explains it. */
export function WorkItOut({ lines, children }: Props) {
  const { t } = useTranslation();
  const unexplained = useContext(Unexplained);
  const [asked, setAsked] = useState(false);
  if (unexplained && lines > 0) return <LineByLine lines={lines}>{children}</LineByLine>;
  return asked ? (
    children(null)
  ) : (
    <Button onClick={() => setAsked(true)}>{t('reveal.workItOut')}</Button>
  );
}

/** Down to which line a student came out the same: the next is where the two ways part. */
function LineByLine({ lines, children }: Props) {
  const { t } = useTranslation();
  const [parted, setParted] = useState<number | null>(null);
  return (
    <div className="line-by-line">
      {children(parted)}
      <div className="line-by-line-ask" role="group" aria-label={t('reveal.whichLine')}>
        <span className="label">{t('reveal.whichLine')}</span>
        <div className="row">
          {Array.from({ length: lines }, (_, k) => (
            <Button
              key={k}
              aria-pressed={parted === k}
              type={parted === k ? 'primary' : 'default'}
              onClick={() => setParted(k)}
            >
              {k + 1}
            </Button>
          ))}
          <Button aria-pressed={parted === lines} onClick={() => setParted(lines)}>
            {t('reveal.noLine')}
          </Button>
        </div>
        {parted !== null && (
          <p role="status">
            {parted < lines ? t('reveal.partsAt', { line: parted + 1 }) : t('reveal.partsNowhere')}
          </p>
        )}
      </div>
    </div>
  );
}
