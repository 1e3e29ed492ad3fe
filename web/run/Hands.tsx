import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import type { AttemptAnswer } from '../../core/lesson';
import { formatNumber } from '../shared/numbers';
import type { Called } from './runChannel';

/** An answer on the board, with what it would be on a record. */
export interface CalledOut extends Called {
  readonly entry: AttemptAnswer;
}

interface Props {
  called: readonly CalledOut[];
  counts: boolean;
  revealed: boolean;
  onHands: (called: readonly CalledOut[]) => void;
  onReveal: () => void;
}

/** What the class has said, with hands counted by the keys 1, 2, 3 …; the most usual one meets the model. */
export function Hands({ called, counts, revealed, onHands, onReveal }: Props) {
  const { t } = useTranslation();
  const most = Math.max(1, ...called.map((c) => c.hands));
  const change = (index: number, by: number) =>
    onHands(
      called.flatMap((c, k) => {
        const hands = k === index ? c.hands + by : c.hands;
        return hands > 0 ? [{ ...c, hands }] : [];
      }),
    );
  return (
    <section className="run-hands" aria-label={t('run.said')} data-revealed={revealed}>
      {called.length === 0 && <p>{t('run.nothingSaid')}</p>}
      <ol>
        {called.map((c, k) => (
          <li key={c.text} data-right={revealed && c.entry.score === 1}>
            <span className="run-hands-text">
              <b>{k + 1}</b> {revealed && c.entry.score === 1 ? '✓ ' : ''}
              {c.text}
              {revealed && c.entry.misconception && (
                <span className="run-hands-why">
                  {t(`misconceptions.${c.entry.misconception}`)}
                </span>
              )}
            </span>
            {counts && (
              <span className="run-hands-bar">
                <i style={{ width: `${(100 * c.hands) / most}%` }} />
                <strong>{formatNumber(c.hands, 0)}</strong>
              </span>
            )}
            {!revealed && (
              <span className="run-hands-keys">
                <Button
                  aria-label={t('run.less', { answer: c.text })}
                  onClick={() => change(k, -1)}
                >
                  −
                </Button>
                <Button aria-label={t('run.more', { answer: c.text })} onClick={() => change(k, 1)}>
                  +
                </Button>
              </span>
            )}
          </li>
        ))}
      </ol>
      {!revealed && called.length > 0 && (
        <Button type="primary" onClick={onReveal}>
          {t('run.keys.reveal')}
        </Button>
      )}
    </section>
  );
}
