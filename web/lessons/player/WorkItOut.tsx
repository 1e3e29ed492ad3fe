import { Button } from 'antd';
import { useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Unexplained } from './unexplained';
import './WorkItOut.css';

/** The lines that lead to an answer, once they are asked for; at once where nothing else explains it. */
export function WorkItOut({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const unexplained = useContext(Unexplained);
  const [asked, setAsked] = useState(false);
  if (unexplained) return <LineByLine>{children}</LineByLine>;
  return asked ? children : <Button onClick={() => setAsked(true)}>{t('reveal.workItOut')}</Button>;
}

/** Down to which line a student came out the same: the next is where the two ways part. */
function LineByLine({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const list = useRef<HTMLDivElement>(null);
  const [lines, setLines] = useState(0);
  const [parted, setParted] = useState<number | null>(null);
  useEffect(() => {
    const items = [...(list.current?.querySelectorAll('ol > li') ?? [])];
    setLines(items.length);
    items.forEach((item, k) => item.toggleAttribute('data-parts', k === parted));
  }, [children, parted]);
  return (
    <div className="line-by-line">
      <div ref={list}>{children}</div>
      {lines > 0 && (
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
              {parted < lines
                ? t('reveal.partsAt', { line: parted + 1 })
                : t('reveal.partsNowhere')}
            </p>
          )}
        </div>
      )}
    </div>
  );
}
