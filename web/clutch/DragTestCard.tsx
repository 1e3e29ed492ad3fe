import { Button } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Clutch, ClutchState } from '../../core/clutch';
import { dragTest } from '../../core/shift';
import { useGapText } from '../shared/useGapText';

const ASKED = ['running', 'off', 'pedal', 'gauge'] as const;
type Asked = (typeof ASKED)[number];

interface Props {
  clutch: Clutch;
  state: ClutchState;
}

/** Does it release: engine running, engine off, the pedal's feel, the feeler gauge; what they say together. */
export function DragTestCard({ clutch, state }: Props) {
  const { t } = useTranslation();
  const gapText = useGapText();
  const [done, setDone] = useState<readonly Asked[]>([]);
  const test = dragTest(clutch, state);
  const reading = (asked: Asked): string => {
    switch (asked) {
      case 'running':
        return t(`clutch.tests.drag_.${test.running}`);
      case 'off':
        return t(`clutch.tests.drag_.${test.off}`);
      case 'pedal':
        return t(test.spongy ? 'clutch.tests.drag_.spongy' : 'clutch.tests.drag_.firm', {
          travel: gapText(test.springy),
        });
      case 'gauge':
        return test.gap > 0
          ? t('clutch.gapIs', { gap: gapText(test.gap) })
          : t('clutch.tests.drag_.touching');
    }
  };
  return (
    <section className="shop-steps" aria-label={t('clutch.tests.drag')}>
      {ASKED.map((asked) => (
        <div key={asked} className="shop-step">
          <Button onClick={() => setDone([...new Set([...done, asked])])}>
            {t(`clutch.tests.ask.${asked}`)}
          </Button>
          <span role="status">{done.includes(asked) ? reading(asked) : ''}</span>
        </div>
      ))}
      <p className="shop-reading" aria-live="polite">
        {done.length === ASKED.length
          ? t(`clutch.tests.says.${test.says}`)
          : t('clutch.tests.allFour')}
      </p>
    </section>
  );
}
