import { Button, Segmented, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  faultKey,
  oddReadings,
  REMEDIES,
  type Fault,
  type Reading,
  type Remedy,
  type Suspect,
} from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { MOST_CAUSES } from '../../core/formats';
import type { DeskSession } from '../workers/faultWorker';
import { boardOf } from './deskWork';
import type { DeskWork } from './work';
import { checkName, faultsOfKey, faultText, kindText, shortTarget, targetName } from './faultWords';

interface Props {
  unit: Unit | null;
  session: DeskSession;
  work: DeskWork;
  readings: readonly Reading[];
  known: readonly Suspect[];
  onWork: (change: Partial<DeskWork>) => void;
  needs?: ReactNode;
  needsMet: boolean;
  onVerdict: () => void;
}

/** What is wrong, and what is to be done: adjust, repair in place, or strip down and for what. */
export function DecidePanel(props: Props) {
  const { unit, session, work, readings, known, needs, needsMet, onWork, onVerdict } = props;
  const { t } = useTranslation();
  const ready = work.named.length > 0 && work.remedy !== null && needsMet;
  return (
    <div className="decide">
      {!known.some((s) => s.fits) && (
        <NothingFits unit={unit} session={session} readings={readings} onWork={onWork} />
      )}
      <h3>{t('desk.decide')}</h3>
      <Select
        aria-label={t('desk.cause')}
        mode="multiple"
        maxCount={MOST_CAUSES}
        placeholder={t('desk.causePlaceholder')}
        value={[...work.named]}
        onChange={(named) => onWork({ named })}
        optionFilterProp="label"
        options={boardOf(session.candidates).map(({ target, faults }) => ({
          label: targetName(t, unit, target),
          options: faults
            .filter(([key]) => !work.crossed.includes(key) || work.named.includes(key))
            .map(([key, list]) => ({
              value: key,
              label: `${shortTarget(t, unit, target)}: ${kindText(t, list[0]!.faults[0]!.kind)}`,
            })),
        }))}
      />
      <Segmented<Remedy | ''>
        aria-label={t('desk.remedy')}
        block
        value={work.remedy ?? ''}
        onChange={(remedy) => remedy !== '' && onWork({ remedy })}
        options={REMEDIES.map((r) => ({ value: r, label: t(`faults.remedies.${r}`) }))}
      />
      {needs}
      <Button type="primary" disabled={!ready} onClick={onVerdict}>
        {t('desk.verdict')}
      </Button>
    </div>
  );
}

interface NothingProps {
  unit: Unit | null;
  session: DeskSession;
  readings: readonly Reading[];
  onWork: (change: Partial<DeskWork>) => void;
}

/** Pairs offered at most. */
const SHOWN_PAIRS = 6;

/** No single fault gives all of this: which reading is the odd one, and which two faults would. */
function NothingFits({ unit, session, readings, onWork }: NothingProps) {
  const { t } = useTranslation();
  const [pairs, setPairs] = useState<readonly Fault[][] | 'looking' | null>(null);
  const odd = oddReadings(session.candidates, readings);
  const look = () => {
    setPairs('looking');
    session.pairsThatFit(readings).then(setPairs, () => setPairs(null));
  };
  return (
    <div className="nothing-fits" role="alert">
      <strong>{t('desk.nothingFits')}</strong>
      {odd.length > 0 && (
        <p>{t('desk.odd', { what: odd.map((r) => checkName(t, unit, r.check)).join(', ') })}</p>
      )}
      {pairs === null && (
        <Button size="small" onClick={look}>
          {t('desk.lookForTwo')}
        </Button>
      )}
      {pairs === 'looking' && <p className="quiet">{t('desk.looking')}</p>}
      {Array.isArray(pairs) && pairs.length === 0 && <p>{t('desk.noPair')}</p>}
      {Array.isArray(pairs) && pairs.length > 0 && (
        <ul>
          {(pairs as Fault[][]).slice(0, SHOWN_PAIRS).map((pair) => (
            <li key={faultKey(pair)}>
              <button
                type="button"
                onClick={() => onWork({ named: pair.map((f) => faultKey([f])) })}
              >
                {faultText(t, unit, faultsOfKey(faultKey(pair)))}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
